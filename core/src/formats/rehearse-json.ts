import type { Practice, Shoot, Shot, Units } from '../model';
import { plannedFilm } from '../motion';
import {
  type Controls,
  controlsOf,
  countOf,
  type FlownPath,
  layoutOf,
  marksOf,
  sayHands,
  scoreTry,
  tooMuchIn,
} from '../rehearse';
import { sceneOf } from '../scene';

const round = (value: number, digits = 3): number => Number(value.toFixed(digits));
const finite = (value: number): number | null => (Number.isFinite(value) ? round(value) : null);

/** What `arc marks` prints: count and marks of one shot. Fields are described in docs/formats.md. */
export function marksJson(shoot: Shoot, shot: Shot) {
  const film = plannedFilm(sceneOf(shoot, shot));
  const count = countOf(film, shoot.practice);
  const { moments, rail, floor, aim, ring, edges, notes } = marksOf(film, shoot.practice, 'metric');
  const at = ({ atS, what, said }: (typeof moments)[number]) => ({ atS: round(atS), what, said });
  return {
    name: shot.name,
    count: {
      fromS: round(count.fromS),
      toS: round(count.toS),
      beatsPerMin: round(count.beatsPerMin, 1),
      beatFrom: count.beatFrom,
      phases: count.phases.map(({ kind, leg, fromS, toS }) => ({
        kind,
        move: leg + 1,
        fromS: round(fromS),
        toS: round(toS),
      })),
      cues: count.cues.map(({ atS, kind, said }) => ({ atS: round(atS), kind, said })),
    },
    moments: moments.map(at),
    rail: rail.map((row) => ({ ...at(row), placeM: round(row.placeM, 4), readM: round(row.readM, 4) })),
    floor: floor.map((row) => ({
      ...at(row),
      goneM: round(row.goneM),
      steps: row.steps,
      foot: row.foot,
      eastM: round(row.eastM),
      northM: round(row.northM),
    })),
    aim: aim.map((row) => ({
      ...at(row),
      panDeg: round(row.panDeg, 2),
      tiltDeg: round(row.tiltDeg, 2),
      rollDeg: round(row.rollDeg, 2),
    })),
    ring: ring.map(({ atS, distanceM, ringDeg }) => ({
      atS: round(atS),
      distanceM: finite(distanceM),
      ringDeg: round(ringDeg, 1),
    })),
    edges: edges.map(({ when, edge, name, inside, trailing, sentence }) => ({
      when,
      edge,
      name,
      inside: round(inside),
      trailing,
      sentence,
    })),
    notes,
    units: {
      atS: 's of action',
      placeM: 'm from the start',
      readM: 'm, as the eye reads it',
      panDeg: 'degrees from the start',
      tiltDeg: 'degrees above level',
      ringDeg: 'degrees from infinity',
      inside: 'frame widths',
    },
  };
}

/** How many rows a strip of controls is told in each second. */
const TOLD_HZ = 10;

/** What `arc sticks` prints: what every hand does over one shot, by a layout of sticks. */
export function sticksJson(shoot: Shoot, shot: Shot, layout: Practice['layout']) {
  const film = plannedFilm(sceneOf(shoot, shot));
  const controls: Controls = controlsOf(film, { ...shoot.practice, layout }, 'metric');
  const tooMuch = tooMuchIn(controls);
  const every = Math.max(1, Math.round(controls.rateHz / TOLD_HZ));
  const { drone } = controls;
  return {
    name: shot.name,
    layout: Number(layout),
    hands: sayHands(tooMuch, controls),
    said: controls.said,
    ...(drone
      ? {
          sticks: layoutOf(layout),
          speed: drone.speed,
          enough: drone.enough,
          courseDeg: drone.courseDeg === null ? null : round(drone.courseDeg, 1),
          full: {
            speedMps: round(drone.limits.speedMps),
            climbMps: round(drone.limits.climbMps),
            turnDegps: round(drone.limits.turnDegps),
            tiltDegps: round(drone.limits.tiltDegps),
          },
          rows: drone.rows
            .map((row, i) => ({
              tS: round(i / drone.rateHz),
              forward: round(row.forward),
              right: round(row.right),
              up: round(row.up),
              turn: round(row.turn),
              tilt: round(row.tilt),
            }))
            .filter((_, i) => i % Math.max(1, Math.round(drone.rateHz / TOLD_HZ)) === 0),
        }
      : {}),
    controls: controls.tracks.map(({ id, name, hand, full, busy, rows }) => ({
      id,
      name,
      hand,
      full,
      busy: busy.map(({ fromS, toS }) => ({ fromS: round(fromS), toS: round(toS) })),
      rows: [...rows].filter((_, i) => i % every === 0).map((value) => round(value)),
    })),
    rowsPerS: controls.rateHz / every,
    tooMuch: tooMuch.map(({ fromS, toS, what, why }) => ({ fromS: round(fromS), toS: round(toS), what, why })),
  };
}

/** What `arc score` prints: a way that was flown, held against the plan of one shot. */
export function scoreJson(shoot: Shoot, shot: Shot, flown: FlownPath, units: Units = 'metric') {
  const { score, parts, said } = scoreTry(plannedFilm(sceneOf(shoot, shot)), flown, units);
  return {
    name: shot.name,
    score,
    said,
    parts: parts.map(({ part, score: of, weight, measured, sentence, mend }) => ({
      part,
      score: of,
      weight,
      measured: round(measured, 4),
      sentence,
      mend,
    })),
    units: {
      path: 'm',
      timing: 's',
      place: 'frame widths',
      ends: 'm or degrees past the mark',
      evenness: 'frame widths, or a share of the pace',
      level: 'degrees',
      sharp: 'share of the frames',
    },
  };
}

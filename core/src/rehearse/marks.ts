import type { Practice, Units } from '../model';
import { sayLength } from '../model';
import type { Film, Samples } from '../motion';
import { edgeMarks, type EdgeMark } from '../image';
import { focusPlan } from '../reading';
import { countOf, ON_FOOT } from './count';
import { footFalls } from './foot-falls';

/** A moment at which somebody has to be somewhere. */
export interface Moment {
  atS: number;
  what: 'start' | 'pause' | 'subject pauses' | 'on the way' | 'soon' | 'end';
  /** `Start`, `Mark 2, pause`, `Soon the end`. */
  said: string;
}

/** Where the pointer of a carriage stands, and where an eye beside the rail reads it; metres from where it starts. */
export interface RailMark extends Moment {
  placeM: number;
  readM: number;
}

/** Where feet stand: metres and steps from the start, the foot that comes down there, and the place on the ground. */
export interface FloorMark extends Moment {
  goneM: number;
  steps: number;
  foot: 'left' | 'right' | null;
  eastM: number;
  northM: number;
}

/** How the head stands: degrees from where it starts, right and up positive. */
export interface AimMark extends Moment {
  panDeg: number;
  tiltDeg: number;
  rollDeg: number;
}

export interface RingMark {
  atS: number;
  distanceM: number;
  /** Degrees from infinity. */
  ringDeg: number;
}

/** All that can be put down for one shot; empty lists where there is nothing to be marked. */
export interface Marks {
  moments: Moment[];
  rail: RailMark[];
  floor: FloorMark[];
  aim: AimMark[];
  ring: RingMark[];
  edges: EdgeMark[];
  /** What is marked how, in a sentence each. */
  notes: string[];
}

/** The edge mark that warns comes so long before the end, s, or this share of the way where that is shorter. */
const SOON_S = 1;
const SOON_SHARE = 0.25;
/** A walk that goes slower than this pauses, m/s, when it lasts so long, s. Common practice, no published source. */
const PAUSES_MPS = 0.08;
const PAUSES_S = 0.4;
const TURNS_DEG = 0.5;
const TRAVELS_M = 0.02;

/**
 * Where an eye reads a pointer that stands off its scale: by similar triangles, `p + (p − e) s / (D − s)` for a pointer
 * at p along the scale and s before it, seen from e along and D away. All in metres.
 */
export function readOff(placeM: number, offM: number, eyeAlongM: number, eyeOffM: number): number {
  return placeM + ((placeM - eyeAlongM) * offM) / Math.max(1e-3, eyeOffM - offM);
}

const rowAt = ({ count, tS, captureRateHz }: Samples, atS: number) =>
  Math.min(count - 1, Math.max(0, Math.round((atS - tS[0]) * captureRateHz)));

/** The moments of a shot at which somebody has to be somewhere, in order of time. */
export function momentsOf(film: Film, practice: Practice): Moment[] {
  const { marksS } = countOf(film, practice);
  const [startS, endS] = [marksS[0] ?? 0, marksS.at(-1) ?? film.scene.durationS];
  const moments: Moment[] = [{ atS: startS, what: 'start', said: 'Start' }];
  marksS.slice(1, -1).forEach((atS, i) => moments.push({ atS, what: 'pause', said: `Mark ${i + 2}` }));
  for (const atS of subjectPauses(film))
    if (atS > startS + 0.2 && atS < endS - 0.2)
      moments.push({ atS, what: 'subject pauses', said: 'Pause with the subject' });
  const soonS = endS - Math.min(SOON_S, (endS - startS) * SOON_SHARE);
  if (soonS > startS + 0.1) moments.push({ atS: soonS, what: 'soon', said: 'Soon the end' });
  if (endS > startS) moments.push({ atS: endS, what: 'end', said: 'End' });
  for (const share of [0.25, 0.5, 0.75]) {
    const atS = startS + (endS - startS) * share;
    if (moments.every((other) => Math.abs(other.atS - atS) > 0.4))
      moments.push({ atS, what: 'on the way', said: 'On the way' });
  }
  return moments.sort((a, b) => a.atS - b.atS);
}

/** When a subject that walks comes to a stand, s of action. */
function subjectPauses({ scene }: Film): number[] {
  const { subjectAt, durationS } = scene;
  if (!subjectAt) return [];
  const [a, b] = [new Float64Array(3), new Float64Array(3)];
  const step = Math.max(0.05, durationS / 20_000);
  const pauses: number[] = [];
  let [stoodS, walked] = [0, false];
  subjectAt(0, a);
  for (let tS = step; tS <= durationS + 1e-9; tS += step) {
    subjectAt(tS, b);
    const stands = Math.hypot(b[0] - a[0], b[1] - a[1]) / step < PAUSES_MPS;
    stoodS = stands ? stoodS + step : 0;
    if (!stands) walked = true;
    if (walked && stands && Math.abs(stoodS - PAUSES_S) < step / 2) pauses.push(tS - PAUSES_S);
    a.set(b);
  }
  return pauses;
}

/** Marks of a shot for rail, floor, head, ring and frame. */
export function marksOf(film: Film, practice: Practice, units: Units): Marks {
  const { scene, filmed, samples } = film;
  const moments = momentsOf(film, practice);
  const gone = new Float64Array(filmed.count);
  const along = new Float64Array(filmed.count);
  for (let row = 1; row < filmed.count; row += 1) {
    const [dx, dy, dz] = (['xM', 'yM', 'zM'] as const).map((key) => filmed[key][row] - filmed[key][row - 1]);
    gone[row] = gone[row - 1] + Math.hypot(dx, dy);
    along[row] = along[row - 1] + Math.hypot(dx, dy, dz);
  }
  const last = filmed.count - 1;
  const { kind } = scene.rig;
  const rail = (kind === 'slider' || kind === 'wheels') && along[last] > TRAVELS_M;
  const floor = ON_FOOT.has(kind) && gone[last] > TRAVELS_M * 5;
  const falls = floor ? footFalls(filmed) : [];
  const spread = (column: Float64Array) =>
    column.reduce((most, v) => Math.max(most, v), -Infinity) -
    column.reduce((least, v) => Math.min(least, v), Infinity);
  const turns = [filmed.panDeg, filmed.tiltDeg, filmed.rollDeg].some((column) => spread(column) > TURNS_DEG);
  const pulls = spread(filmed.focusDistanceM.map((m) => 1 / m)) > 1e-3;
  const soon = moments.find(({ what }) => what === 'soon');
  // The picture is shown at its own speed: the row that shows the moment.
  const soonShown = soon ? shownRow(samples, soon.atS) : null;
  const offM = practice.pointerOffMm / 1000;
  const notes: string[] = [];
  const startRow = rowAt(filmed, moments[0].atS);
  const railMarks = rail
    ? moments.map((moment): RailMark => {
        const placeM = along[rowAt(filmed, moment.atS)] - along[startRow];
        return { ...moment, placeM, readM: readOff(placeM, offM, practice.eyeAlongM, practice.eyeOffM) };
      })
    : [];
  if (rail && offM > 0) {
    const worst = railMarks.reduce((most, { placeM, readM }) => Math.max(most, Math.abs(readM - placeM)), 0);
    notes.push(
      `Read from ${sayLength(practice.eyeOffM, units)} away, ${sayLength(Math.abs(practice.eyeAlongM), units)} ` +
        `${practice.eyeAlongM < 0 ? 'before' : 'along from'} the start, the pointer seems up to ` +
        `${sayLength(worst, units)} off: write the marks from where the eye will be.`,
    );
  }
  const floorMarks = floor
    ? moments.map((moment): FloorMark => {
        const row = rowAt(filmed, moment.atS);
        const done = falls.filter(({ atS }) => atS <= moment.atS + 1e-9);
        return {
          ...moment,
          goneM: gone[row] - gone[startRow],
          steps: done.length,
          foot: done.at(-1)?.foot ?? null,
          eastM: filmed.xM[row],
          northM: filmed.yM[row],
        };
      })
    : [];
  if (floor)
    notes.push('Tape under the lens, not under the feet; whoever carries it stands a forearm behind the tape.');
  return {
    moments,
    rail: railMarks,
    floor: floorMarks,
    aim: turns
      ? moments.map((moment): AimMark => {
          const row = rowAt(filmed, moment.atS);
          return {
            ...moment,
            panDeg: filmed.panDeg[row] - filmed.panDeg[startRow],
            tiltDeg: filmed.tiltDeg[row],
            rollDeg: filmed.rollDeg[row],
          };
        })
      : [],
    ring: pulls
      ? focusPlan(film).marks.map(({ actionS, distanceM, ringDeg }) => ({ atS: actionS, distanceM, ringDeg }))
      : [],
    edges: edgeMarks(scene, samples, units, soonShown),
    notes,
  };
}

/** The first shown row in which a moment of action is seen. */
function shownRow({ count, tS }: Samples, atS: number): number {
  let best = 0;
  for (let row = 1; row < count; row += 1) if (Math.abs(tS[row] - atS) < Math.abs(tS[best] - atS)) best = row;
  return best;
}

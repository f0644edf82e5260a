import type { Scene } from '../../scene';
import { percent } from '../../findings';
import { type Aim, AIM_MODES, type AimMode, sayLength, trim, type Units } from '../../model';
import type { Adjustment } from './adjustment';

/** Changes of where the camera looks and what is sharp. */

const MODE_WORDS: Record<AimMode, string> = {
  subject: 'Keep turning with the subject',
  locked: 'Lock the head',
  panFollow: 'Let the head follow in pan only',
  panTiltFollow: 'Let the head follow in pan and tilt, horizon level',
  allFollow: 'Free all axes of the head',
};

const aimed = ({ shot }: Scene, aim: Partial<Aim>) => ({ ...shot, aim: { ...shot.aim, ...aim } });

/** One of some other ways of turning the camera. */
export function modes(scene: Scene, wanted: readonly AimMode[] = AIM_MODES): Adjustment {
  return wanted
    .filter((mode) => mode !== scene.shot.aim.mode)
    .map((mode) => ({ shot: aimed(scene, { mode }), instruction: MODE_WORDS[mode] }));
}

/** A head that keeps up: less smoothing, no dead band. */
export function tighterHead(scene: Scene): Adjustment {
  const { smoothingS, deadBandDeg } = scene.shot.aim;
  if (smoothingS === 0 && deadBandDeg === 0) return [];
  return [0.5, 0.25, 0].map((share) => ({
    shot: aimed(scene, {
      smoothingS: Math.round(smoothingS * share * 100) / 100,
      deadBandDeg: Math.round(deadBandDeg * share * 10) / 10,
    }),
    instruction:
      share === 0
        ? 'Take smoothing and dead band off the head'
        : `Set smoothing to ${trim(smoothingS * share, 2)} s and the dead band to ${trim(deadBandDeg * share, 1)}°`,
  }));
}

const STEPS = [0.03, 0.06, 0.1, 0.15, 0.2, 0.3];
const within = (value: number) => Math.round(Math.min(0.45, Math.max(-0.45, value)) * 100) / 100;

/** The subject lower or higher in the frame. */
export function placeUp(scene: Scene, sign: 1 | -1): Adjustment {
  const { place } = scene.shot.aim;
  return STEPS.map((step) => ({
    shot: aimed(scene, { place: { ...place, v: within(place.v + sign * step) } }),
    instruction:
      `Frame ${sign > 0 ? 'lower: the subject' : 'higher: the subject'} ${percent(step)} of the height ` +
      `${sign > 0 ? 'up' : 'down'}`,
  }));
}

/** The subject farther to one side; to the middle first where that lies on the way. */
export function placeAcross(scene: Scene, sign: 1 | -1): Adjustment {
  const { place } = scene.shot.aim;
  return STEPS.map((step) => ({
    shot: aimed(scene, { place: { ...place, u: within(place.u + sign * step) } }),
    instruction: `Frame the subject ${percent(step)} of the width more to the ${sign > 0 ? 'right' : 'left'}`,
  }));
}

export function placeInMiddle(scene: Scene): Adjustment {
  return [
    {
      shot: aimed(scene, { place: { u: 0, v: scene.shot.aim.place.v } }),
      instruction: 'Frame the subject in the middle',
    },
  ];
}

/** A pan or tilt that looks elsewhere, turned so that the subject lies in its middle. */
export function turnedToSubject({ shot }: Scene): Adjustment {
  const { move } = shot;
  if (move.kind !== 'pan' && move.kind !== 'whipPan' && move.kind !== 'tilt') return [];
  const half = Math.round(Math.abs(move.toDeg - move.fromDeg) / 2) * Math.sign(move.toDeg - move.fromDeg);
  const what = move.kind === 'tilt' ? 'Tilt' : 'Pan';
  return [
    {
      shot: { ...shot, move: { ...move, fromDeg: -2 * half, toDeg: 0 } },
      instruction: `${what} onto the subject, by ${Math.abs(2 * half)}°`,
    },
    {
      shot: { ...shot, move: { ...move, fromDeg: -half, toDeg: half } },
      instruction: `${what} across the subject, ${Math.abs(half)}° to either side`,
    },
  ];
}

/** A head or a hand that follows the focus. */
export function focusFollows({ shot }: Scene): Adjustment {
  return shot.focus.mode === 'follow'
    ? []
    : [{ shot: { ...shot, focus: { mode: 'follow' } }, instruction: 'Let the focus follow the subject' }];
}

/** Somebody or something quicker at the ring. */
export function otherPuller({ shot }: Scene): Adjustment {
  const quicker = { hand: ['motor'], motor: [], autofocus: ['motor', 'hand'] } as const;
  const words = { hand: 'Let a hand pull the focus', motor: 'Let a motor pull the focus' };
  return quicker[shot.puller].map((puller) => ({ shot: { ...shot, puller }, instruction: words[puller] }));
}

/** Racks that take more time, as far as the next one leaves room. */
export function longerRacks({ shot }: Scene): Adjustment {
  const { focus } = shot;
  if (focus.mode !== 'racks') return [];
  return [1.3, 1.6, 2, 2.5, 3, 4].map((times) => {
    const racks = focus.racks.map((rack, i) => ({
      ...rack,
      overS: Math.round(Math.min(rack.overS * times, (focus.racks[i + 1]?.atS ?? Infinity) - rack.atS) * 10) / 10,
    }));
    return {
      shot: { ...shot, focus: { ...focus, racks } },
      instruction: `Let the focus take ${trim(Math.max(...racks.map(({ overS }) => overS)), 1)} s from one to the next`,
    };
  });
}

/** The focus left where it is for the whole move, with a stop that holds it. */
export function oneFocus({ shot }: Scene, nearestM: number, farthestM: number, units: Units): Adjustment {
  if (!(nearestM > 0)) return [];
  const distanceM = Math.max(0.05, Math.round((2 / (1 / nearestM + 1 / farthestM)) * 100) / 100);
  return FULL_STOPS.filter((n) => n >= shot.fNumber).map((fNumber) => ({
    shot: { ...shot, fNumber, focus: { mode: 'fixed', distanceM } },
    instruction:
      'Leave the focus at ' +
      `${sayLength(distanceM, units)}${fNumber > shot.fNumber ? ` and stop down to f/${fNumber}` : ''}`,
  }));
}

const FULL_STOPS = [2.8, 4, 5.6, 8, 11, 16];

export function stopDown({ shot }: Scene): Adjustment {
  return FULL_STOPS.filter((n) => n > shot.fNumber).map((fNumber) => ({
    shot: { ...shot, fNumber },
    instruction: `Stop down to f/${fNumber}`,
  }));
}

/**
 * The focus left where it serves the nearest and the farthest the subject comes alike: halfway in dioptres. Distances
 * in metres.
 */
export function focusBetween({ shot }: Scene, nearestM: number, farthestM: number, units: Units): Adjustment {
  if (shot.focus.mode !== 'fixed' || !(nearestM > 0)) return [];
  const distanceM = Math.round((2 / (1 / nearestM + 1 / farthestM)) * 100) / 100;
  return [
    {
      shot: { ...shot, focus: { mode: 'fixed', distanceM: Math.max(0.05, distanceM) } },
      instruction: `Set the focus to ${sayLength(distanceM, units)}`,
    },
  ];
}

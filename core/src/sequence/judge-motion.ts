import { trim } from '../model';
import { speedWords } from '../findings';
import { type Edge, turnWithin } from './edge';
import type { Joined, JoinFinding } from './join-finding';
import { speedOf } from './picture-motion';

/** How the whole picture moves on both sides of a cut: calm into calm, going on, or against each other. */

const DEG = 180 / Math.PI;

/** Which way a picture moves, degrees: 0 to the right, 90 up. */
const wayDeg = ({ motion }: Edge): number => Math.atan2(motion.upwards, motion.rightwards) * DEG;

const WAYS = [
  'to the right',
  'up to the right',
  'up',
  'up to the left',
  'to the left',
  'down to the left',
  'down',
  'down to the right',
];
export const wayWords = (edge: Edge): string => WAYS[((Math.round(wayDeg(edge) / 45) % 8) + 8) % 8];

const moves = (edge: Edge): string => `${wayWords(edge)} at ${speedWords(speedOf(edge.motion))}`;
const apartDeg = (from: Edge, to: Edge): number => Math.abs(turnWithin(wayDeg(from) - wayDeg(to)));
const timesFaster = (a: number, b: number): number => Math.max(a, b) / Math.max(1e-9, Math.min(a, b));

/** The whole picture at a cut that hides nothing of it. */
export function judgeMotion({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  if (kind === 'whip' || kind === 'spin' || kind === 'dark' || kind === 'black') return [];
  const [a, b] = [speedOf(from.motion), speedOf(to.motion)];
  const common = { id: 'motion' as const, value: Math.abs(a - b), limit: L.startSpeed, unit: 'frame widths/s' };
  const reason = 'The eye follows the picture over the cut: what goes on, or rests on both sides, is not noticed.';
  if (a < L.restSpeed && b < L.restSpeed)
    return [{ ...common, grade: 'calm', sentence: 'The picture rests on both sides of the cut.', reason }];
  const [slow, fast] = [Math.min(a, b), Math.max(a, b)];
  if (slow < L.restSpeed) {
    const grade = fast > L.startSpeed * 2 ? 'jolt' : fast > L.startSpeed ? 'ripple' : 'calm';
    const leaves = a > b;
    return [
      {
        ...common,
        grade,
        sentence: leaves
          ? `It leaves going ${moves(from)} and comes into a picture that rests.`
          : `It leaves a picture that rests and comes in going ${moves(to)}.`,
        reason:
          grade === 'calm' ? reason : 'A move that is cut off or thrown in is felt as a jerk: let it come to rest.',
      },
    ];
  }
  const apart = apartDeg(from, to);
  const against = apart > 135;
  const times = timesFaster(a, b);
  const grade = against
    ? slow > L.startSpeed / 2
      ? 'jolt'
      : 'ripple'
    : apart > L.sameWayDeg || times > 3
      ? fast > L.startSpeed
        ? 'ripple'
        : 'calm'
      : 'calm';
  const how = against ? 'the other way' : apart > L.sameWayDeg ? 'another way' : 'on the same way';
  return [
    {
      ...common,
      grade,
      sentence: `It leaves going ${moves(from)} and goes on ${moves(to)}: ${how}.`,
      reason,
    },
  ];
}

/** Two whips that are to be one: blurred on both sides, one way, one speed. */
export function judgeWhip({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  if (kind !== 'whip') return [];
  const [a, b] = [speedOf(from.motion), speedOf(to.motion)];
  const apart = apartDeg(from, to);
  const times = timesFaster(a, b);
  const said = `The first whips ${moves(from)}, the second ${moves(to)}`;
  const common = { id: 'whip' as const, value: times, limit: L.sameSpeedFactor, unit: '×' };
  const reason = 'Cut on the blur: one direction and one speed make two whips one.';
  if (Math.min(a, b) < L.whipSpeed)
    return [
      {
        ...common,
        grade: Math.min(a, b) < L.whipSpeed / 3 ? 'jolt' : 'ripple',
        sentence: `${said}: below ${speedWords(L.whipSpeed)} nothing blurs, and the cut is seen.`,
        reason,
        value: Math.min(a, b),
        limit: L.whipSpeed,
        unit: 'frame widths/s',
      },
    ];
  if (apart > L.sameWayDeg)
    return [
      {
        ...common,
        grade: 'jolt',
        sentence: `${said}: ${apart > 135 ? 'they go against each other' : 'they do not go one way'}.`,
        reason,
        value: apart,
        limit: L.sameWayDeg,
        unit: '°',
      },
    ];
  const grade = times > L.sameSpeedFactor * 2 ? 'jolt' : times > L.sameSpeedFactor ? 'ripple' : 'calm';
  return [
    {
      ...common,
      grade,
      sentence: grade === 'calm' ? `${said}: one whip.` : `${said}: one is ${trim(times, 1)} times as fast.`,
      reason,
    },
  ];
}

/** Two turns of the picture that are to be one. */
export function judgeSpin({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  if (kind !== 'spin') return [];
  const [a, b] = [from.motion.turnDegps, to.motion.turnDegps];
  const times = timesFaster(Math.abs(a), Math.abs(b));
  const turns = (degps: number) => `${trim(Math.abs(degps), 0)}°/s ${degps > 0 ? 'clockwise' : 'anticlockwise'}`;
  const said = `The picture turns ${turns(a)} before the cut and ${turns(b)} after it`;
  const common = { id: 'spin' as const, value: times, limit: L.sameSpeedFactor, unit: '×' };
  const reason = 'A turn that goes on at one speed carries the eye over the cut; cut where it is quickest.';
  const slowest = Math.min(Math.abs(a), Math.abs(b));
  if (slowest < L.spinDegps)
    return [
      {
        ...common,
        grade: 'jolt',
        sentence: `${said}: below ${trim(L.spinDegps, 1)}°/s it is no spin.`,
        reason,
        value: slowest,
        limit: L.spinDegps,
        unit: '°/s',
      },
    ];
  if (a * b < 0) return [{ ...common, grade: 'jolt', sentence: `${said}: they turn against each other.`, reason }];
  const grade = times > L.sameSpeedFactor * 2 ? 'jolt' : times > L.sameSpeedFactor ? 'ripple' : 'calm';
  return [{ ...common, grade, sentence: grade === 'calm' ? `${said}: one turn.` : `${said}.`, reason }];
}

/** The horizon at a cut, and how it turns. */
export function judgeRoll({ kind, from, to, limits: L }: Joined): JoinFinding[] {
  if (kind === 'spin' || kind === 'black') return [];
  const [a, b] = [from.motion.turnDegps, to.motion.turnDegps];
  if (Math.abs(a - b) > L.spinDegps && kind !== 'dark' && kind !== 'whip') {
    const turns = (degps: number) =>
      Math.abs(degps) < 1 ? 'does not turn' : `turns at ${trim(Math.abs(degps), 0)}°/s`;
    return [
      {
        id: 'roll',
        grade: Math.abs(a - b) > L.spinDegps * 3 ? 'jolt' : 'ripple',
        sentence: `The picture ${turns(a)} before the cut and ${turns(b)} after it${a * b < 0 ? ', the other way' : ''}.`,
        reason: 'A turn that is cut off is felt as a jerk: let it end, or let the next shot turn on.',
        value: Math.abs(a - b),
        limit: L.spinDegps,
        unit: '°/s',
      },
    ];
  }
  const off = Math.abs(turnWithin(from.rollDeg - to.rollDeg));
  if (off <= L.rollDeg) return [];
  const hidden = kind === 'dark' || kind === 'whip' || kind === 'ground';
  return [
    {
      id: 'roll',
      grade: hidden ? 'calm' : off > L.rollDeg * 4 ? 'jolt' : 'ripple',
      sentence: `The horizon tips by ${trim(off, 0)}° at the cut${hidden ? ', which it hides' : ''}.`,
      reason: 'A horizon that is level on one side and not on the other is seen at once.',
      value: off,
      limit: L.rollDeg,
      unit: '°',
    },
  ];
}

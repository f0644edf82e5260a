import { severity } from '../findings';
import { toTheOtherSide, turned, withTiming } from '../edit';
import { type Cut, type Leg, legsOf, type Shot, trim, withLeg } from '../model';
import { turnWithin } from './edge';
import { type JoinFindingId, joinLimits } from './join-finding';
import type { JoinReading } from './joins';
import { speedOf } from './picture-motion';
import { cutSeconds, type Told } from './told';

/** A change of two shots that could help where they meet, and of which troubles. */
export interface Candidate {
  helps: readonly JoinFindingId[];
  /** Of several that differ only by how much, the first that helps is enough. */
  like: string;
  instruction: string;
  shots: Shot[];
}

const named = ({ name }: Shot): string => `“${name}”`;

/** Each leg of a shot changed. */
const everyLeg = (shot: Shot, edit: (leg: Leg) => Leg): Shot =>
  legsOf(shot).reduce((next, _, i) => withLeg(next, i, edit), shot);

const round1 = (value: number) => Math.round(value * 10) / 10;

/** The stretch in the cut later or earlier at one of its ends; null where nothing would be left. */
function withCut({ shot, frames, scene }: Told, change: Partial<Cut>): Shot | null {
  const now = { inS: frames.first / frames.rateHz, outS: frames.end / frames.rateHz };
  const cut = { ...now, ...change };
  const wholeS = frames.whole / frames.rateHz;
  if (cut.inS < 0 || cut.outS > wholeS + 1e-9 || cut.outS - cut.inS < joinLimits(scene.limits).seenS) return null;
  return { ...shot, cut };
}

const MOVED: readonly JoinFindingId[] = [
  'motion',
  'whip',
  'spin',
  'dark',
  'ground',
  'eye',
  'place',
  'action',
  'roll',
  'line',
  'size',
];

/** What could help, most natural first. */
export function* candidates(one: Told, other: Told, join: JoinReading): Generator<Candidate> {
  const [a, b] = [one.shot, other.shot];
  if (one.frames.short)
    yield { helps: ['short'], like: 'all', instruction: `Use all of ${named(a)}`, shots: [{ ...a, cut: null }] };
  if (other.frames.short)
    yield { helps: ['short'], like: 'all', instruction: `Use all of ${named(b)}`, shots: [{ ...b, cut: null }] };
  for (const told of [one, other]) {
    const { frames, shot } = told;
    const { seenS } = joinLimits(told.scene.limits);
    if (cutSeconds(frames) < seenS && frames.whole / frames.rateHz >= seenS)
      yield {
        helps: ['short'],
        like: 'all',
        instruction: `Use all of ${named(shot)}`,
        shots: [{ ...shot, cut: null }],
      };
  }
  for (const byS of [0.2, 0.4, 0.6, 0.8, 1, 1.5, 2, 3, 4]) {
    const inS = round1(other.frames.first / other.frames.rateHz + byS);
    const outS = round1(one.frames.end / one.frames.rateHz - byS);
    const later = withCut(other, { inS });
    if (later)
      yield {
        helps: MOVED,
        like: 'later',
        instruction: `Cut into ${named(b)} ${byS} s later, at ${inS} s`,
        shots: [later],
      };
    const earlier = withCut(one, { outS });
    if (earlier)
      yield {
        helps: MOVED,
        like: 'earlier',
        instruction: `Cut out of ${named(a)} ${byS} s earlier, at ${outS} s`,
        shots: [earlier],
      };
    if (earlier && later)
      yield {
        helps: MOVED,
        like: 'both',
        instruction: `Cut out of ${named(a)} at ${outS} s and into ${named(b)} at ${inS} s`,
        shots: [earlier, later],
      };
  }
  yield* speeds(one, other, join);
  for (const shot of [b, a])
    yield {
      helps: ['motion', 'whip', 'spin', 'line', 'eye', 'place'],
      like: `mirror ${shot.id}`,
      instruction: `Mirror the move of ${named(shot)}`,
      shots: [everyLeg(shot, toTheOtherSide)],
    };
  for (const byDeg of turnsFor(join))
    yield {
      helps: ['size', 'line', 'light'],
      like: 'round',
      instruction: `Film ${named(b)} from ${trim(Math.abs(byDeg), 0)}° further ${byDeg > 0 ? 'clockwise' : 'anticlockwise'}`,
      shots: [everyLeg(b, (leg) => ({ ...leg, move: turned(leg.move, byDeg) }))],
    };
  const { focalLengthMinMm, focalLengthMaxMm } = other.scene.lens;
  for (const times of [1.4, 2, 1 / 1.4, 0.5]) {
    const focalLengthMm = Math.round(b.focalLengthMm * times);
    if (focalLengthMm < focalLengthMinMm || focalLengthMm > focalLengthMaxMm) continue;
    yield {
      helps: ['size', 'motion', 'whip'],
      like: times > 1 ? 'longer' : 'wider',
      instruction: `Film ${named(b)} at ${focalLengthMm} mm`,
      shots: [{ ...b, focalLengthMm }],
    };
  }
  if (Math.abs(a.frameRateHz - b.frameRateHz) > 0.01)
    yield {
      helps: ['rate'],
      like: 'rate',
      instruction: `Show ${named(b)} at ${trim(a.frameRateHz, 2)} frames a second`,
      shots: [{ ...b, frameRateHz: a.frameRateHz, captureRateHz: (b.captureRateHz * a.frameRateHz) / b.frameRateHz }],
    };
  if (a.shutterDeg !== b.shutterDeg)
    yield {
      helps: ['rate'],
      like: 'shutter',
      instruction: `Film ${named(b)} with the shutter of ${named(a)}, ${trim(a.shutterDeg, 0)}°`,
      shots: [{ ...b, shutterDeg: a.shutterDeg }],
    };
  yield {
    helps: ['light'],
    like: 'light',
    instruction: `Film ${named(b)} in the light of ${named(a)}`,
    shots: [{ ...b, light: { ...b.light, at: a.light.at, ev100: a.light.ev100 } }],
  };
  const black = { ...a, join: { ...a.join, kind: 'black' as const } };
  yield {
    helps: ['motion', 'size', 'line', 'eye', 'light', 'roll', 'whip', 'dark', 'ground', 'spin', 'action', 'place'],
    like: 'black',
    instruction: `Let ${trim(a.join.blackS, 1)} s of black lie between them`,
    shots: [black],
  };
  if (a.join.kind !== 'cut' && a.join.kind !== 'black')
    yield {
      helps: ['whip', 'dark', 'ground', 'spin', 'action', 'place'],
      like: 'cut',
      instruction: 'Make it a plain cut',
      shots: [{ ...a, join: { ...a.join, kind: 'cut' as const } }],
    };
}

/** One whip or turn as fast as the other: so much time for its move. */
function* speeds(one: Told, other: Told, { kind, from, to }: JoinReading): Generator<Candidate> {
  if (kind !== 'whip' && kind !== 'spin') return;
  const speed =
    kind === 'whip'
      ? (edge: typeof from) => speedOf(edge.motion)
      : (edge: typeof from) => Math.abs(edge.motion.turnDegps);
  const [a, b] = [speed(from), speed(to)];
  for (const [shot, times] of [
    [other.shot, b / a],
    [one.shot, a / b],
  ] as const) {
    if (!Number.isFinite(times) || times <= 0 || Math.abs(times - 1) < 0.05 || shot.then.length > 0) continue;
    const { holdStartS, holdEndS, durationS } = shot.timing;
    const movingS = round1((durationS - holdStartS - holdEndS) * times);
    const timing = withTiming(shot.timing, 'durationS', Math.max(0.2, round1(holdStartS + holdEndS + movingS)));
    // What is in the cut goes along with the move.
    const scale = (s: number) => round1(Math.max(0, holdStartS + (s - holdStartS) * times));
    const cut = shot.cut && { inS: scale(shot.cut.inS), outS: scale(shot.cut.outS) };
    yield {
      helps: ['whip', 'spin'],
      like: `take ${shot.id}`,
      instruction: `Take ${trim(timing.durationS, 1)} s for ${named(shot)}`,
      shots: [{ ...shot, timing, cut }],
    };
  }
}

/** Turns of the camera about the subject that could help: over the line, or 30° and more round. */
function turnsFor({ from, to, findings }: JoinReading): number[] {
  const [a, b] = [from.subject, to.subject];
  if (!a || !b) return [];
  const has = (id: JoinFindingId) => findings.some((row) => row.id === id && severity(row) > 0);
  const turns: number[] = [];
  if (has('line')) turns.push(Math.round(turnWithin(2 * (b.headingDeg - b.bearingDeg))));
  if (has('size')) {
    const now = turnWithin(b.bearingDeg - a.bearingDeg);
    const way = now < 0 ? -1 : 1;
    for (const wanted of [32, 45, 60]) turns.push(Math.round(way * wanted - now), Math.round(-way * wanted - now));
  }
  return turns.filter((deg) => deg !== 0);
}

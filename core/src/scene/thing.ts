import type { Piece, PieceKind, Walk } from '../model';
import { type Going, groundHeightM, standingSize, WHEEL_SHARE } from '../site';
import { driveOf, type Driving } from './drive';
import { jumpedM } from './jump';
import { stepsOf } from './steps';
import { headingOf, walkAt, WALK_STEP_S, type WalkAt } from './walk';

/** How a thing stands at a moment, degrees: heading clockwise from north, leaning to its right, its front up. */
export interface Stance {
  headingDeg: number;
  leanDeg: number;
  pitchDeg: number;
}

export type StanceAt = (tS: number, out: Stance) => void;

/** A piece of the site, where it is and how it stands there. */
export interface Thing {
  piece: Piece;
  /** Writes where its base is at a moment of action, metres. */
  at: WalkAt;
  /** The same without jumps: what whoever goes along follows. */
  wayAt: WalkAt;
  stanceAt: StanceAt;
  /** It goes somewhere during the shot, or turns. */
  walks: boolean;
  /** How it goes at a moment: a step, or turned wheels; null for what has neither. */
  goingAt: ((tS: number) => Going) | null;
  /** The tightest turn of its way, m, and the least that such a thing can; null for what turns as it likes. */
  turn: { tightestM: number; leastM: number } | null;
}

/** How hard things brake in ordinary driving, m/s². */
const BRAKES = { soft: 2.5, usual: 3.5 };
/**
 * How things that drive turn and brake: the least radius that such a thing turns on, and how hard it brakes in ordinary
 * driving. Common practice, no published source.
 */
export const DRIVING: Partial<Record<PieceKind, Driving>> = {
  car: { turnRadiusM: 5.5, brakeMps2: BRAKES.usual, leans: false },
  lorry: { turnRadiusM: 9, brakeMps2: BRAKES.soft, leans: false },
  motorbike: { turnRadiusM: 2.8, brakeMps2: 4.5, leans: true },
  bicycle: { turnRadiusM: 1.6, brakeMps2: BRAKES.usual, leans: true },
  scooter: { turnRadiusM: 1.2, brakeMps2: BRAKES.soft, leans: true },
  board: { turnRadiusM: 1.5, brakeMps2: 1.5, leans: true },
  boat: { turnRadiusM: 7, brakeMps2: 0.8, leans: false },
};

const RAD = Math.PI / 180;

/** A thing that stays where it is, or turns on its spot. */
export function standing(piece: Piece): Thing {
  const turnDegps = piece.kind === 'turntable' ? piece.turnDegps : 0;
  const at = walkAt([{ tS: 0, xM: piece.xM, yM: piece.yM, zM: piece.zM }]);
  return {
    piece,
    at,
    wayAt: at,
    stanceAt: (tS, out) => {
      out.headingDeg = piece.headingDeg + turnDegps * tS;
      out.leanDeg = 0;
      out.pitchDeg = 0;
    },
    walks: turnDegps !== 0,
    goingAt: null,
    turn: null,
  };
}

/** A thing that goes its way through a shot. */
export function walking(piece: Piece, walk: Walk, ground: readonly Piece[]): Thing {
  const goes = walk.points.some(({ xM, yM }) => Math.hypot(xM - walk.points[0].xM, yM - walk.points[0].yM) > 0.05);
  const driving = goes ? DRIVING[piece.kind] : undefined;
  return driving ? driven(piece, walk, ground, driving) : walked(piece, walk, ground);
}

function walked(piece: Piece, walk: Walk, ground: readonly Piece[]): Thing {
  const plain = walkAt(walk.points);
  const wayAt = overGround(plain, walk, ground, () => [0, 0]);
  const heading = headingOf(walk.points, piece.headingDeg);
  return {
    piece,
    at: jumping(wayAt, walk),
    wayAt,
    stanceAt: (tS, out) => {
      out.headingDeg = heading(tS);
      out.leanDeg = 0;
      out.pitchDeg = 0;
    },
    walks: true,
    goingAt: piece.kind === 'figure' || piece.kind === 'dog' ? stepping(piece, plain, walk) : null,
    turn: null,
  };
}

/** Steps fit the speed over the ground; who rides, sits or lies makes none. */
function stepping(piece: Piece, at: WalkAt, { points }: Walk): Thing['goingAt'] {
  const tallM = piece.kind === 'figure' ? standingSize(piece).heightM : piece.heightM * 1.6;
  if (points.length < 2 || (piece.kind === 'figure' && piece.pose !== 'stand')) return null;
  let steps: ReturnType<typeof stepsOf> | null = null;
  const [a, b] = [new Float64Array(3), new Float64Array(3)];
  const speedAt = (tS: number) => {
    at(tS - SPEED_S, a);
    at(tS + SPEED_S, b);
    return Math.hypot(b[0] - a[0], b[1] - a[1]) / (2 * SPEED_S);
  };
  return (tS) => {
    steps ??= stepsOf(speedAt, tallM, points[0].tS - 1, points[points.length - 1].tS + 1);
    const step = steps(tS);
    return { step, turned: step.through };
  };
}

const SPEED_S = 0.05;

function driven(piece: Piece, walk: Walk, ground: readonly Piece[], driving: Driving): Thing {
  const drive = driveOf(walk.points, driving);
  const half = piece.lengthM * 0.35;
  // A vehicle stands on its axles: the ground is taken under both.
  const wayAt = overGround(drive.at, walk, ground, (tS) => {
    const rad = drive.headingDeg(tS) * RAD;
    return [half * Math.sin(rad), half * Math.cos(rad)];
  });
  const wheelM = (WHEEL_SHARE[piece.kind] ?? 0.25) * piece.heightM;
  const spot = new Float64Array(3);
  // Who rides on it, a camera on it and its own picture ask for the same moment.
  const latest = { tS: NaN, headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  const standAt = (tS: number) => {
    latest.tS = tS;
    latest.headingDeg = drive.headingDeg(tS);
    latest.leanDeg = drive.leanDeg(tS);
    if (walk.footing === 'drawn') latest.pitchDeg = drive.pitchDeg(tS);
    else {
      const rad = latest.headingDeg * RAD;
      drive.at(tS, spot);
      const over = (sign: number) =>
        groundHeightM(ground, spot[0] + sign * half * Math.sin(rad), spot[1] + sign * half * Math.cos(rad));
      latest.pitchDeg = Math.atan2(over(1) - over(-1), 2 * half) / RAD;
    }
  };
  return {
    piece,
    at: jumping(wayAt, walk),
    wayAt,
    stanceAt: (tS, out) => {
      if (tS !== latest.tS) standAt(tS);
      out.headingDeg = latest.headingDeg;
      out.leanDeg = latest.leanDeg;
      out.pitchDeg = latest.pitchDeg;
    },
    walks: true,
    goingAt: (tS) => ({
      step: { through: 0, stride: 0, running: false },
      turned: drive.goneM(tS) / (2 * Math.PI * wheelM),
    }),
    turn: { tightestM: drive.tightestM, leastM: driving.turnRadiusM },
  };
}

/** A way with its jumps. */
function jumping(way: WalkAt, { jumps }: Walk): WalkAt {
  if (jumps.length === 0) return way;
  return (tS, out, offset = 0) => {
    way(tS, out, offset);
    out[offset + 2] += jumpedM(jumps, tS);
  };
}

/** A way with its heights: as drawn, or those of the ground under it (under both ends of what is long), softened. */
function overGround(
  plain: WalkAt,
  { footing }: Walk,
  ground: readonly Piece[],
  reach: (tS: number) => readonly [number, number],
): WalkAt {
  if (footing === 'drawn') return plain;
  const spot = new Float64Array(3);
  const under = (tS: number) => {
    plain(tS, spot);
    const [dx, dy] = reach(tS);
    if (dx === 0 && dy === 0) return groundHeightM(ground, spot[0], spot[1]);
    return (groundHeightM(ground, spot[0] + dx, spot[1] + dy) + groundHeightM(ground, spot[0] - dx, spot[1] - dy)) / 2;
  };
  let [lastS, lastM] = [NaN, 0];
  const softened = (tS: number) => {
    if (tS === lastS) return lastM;
    let sum = 0;
    for (let k = -SOFT; k <= SOFT; k += 1) sum += under(tS + (k / SOFT) * (WALK_STEP_S / 2));
    [lastS, lastM] = [tS, sum / (2 * SOFT + 1)];
    return lastM;
  };
  return (tS, out, offset = 0) => {
    plain(tS, out, offset);
    out[offset + 2] = softened(tS);
  };
}

const SOFT = 3;

/** A thing that stands on or rides another one: it goes and turns as that does. */
export function riding(piece: Piece, carrier: Thing): Thing {
  if (!carrier.walks) return standing(piece);
  const rest = carrier.piece;
  const [sin, cos] = [Math.sin(rest.headingDeg * RAD), Math.cos(rest.headingDeg * RAD)];
  const [dx, dy] = [piece.xM - rest.xM, piece.yM - rest.yM];
  const [across, along, up] = [dx * cos - dy * sin, dx * sin + dy * cos, piece.zM - rest.zM];
  const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  const from = new Float64Array(3);
  const on =
    (way: WalkAt): WalkAt =>
    (tS, out, offset = 0) => {
      way(tS, from);
      carrier.stanceAt(tS, stance);
      turnedInto(stance, across, along, up, out, offset);
      for (let axis = 0; axis < 3; axis += 1) out[offset + axis] += from[axis];
    };
  return {
    piece,
    at: on(carrier.at),
    wayAt: on(carrier.wayAt),
    stanceAt: (tS, out) => {
      carrier.stanceAt(tS, out);
      out.headingDeg += piece.headingDeg - rest.headingDeg;
    },
    walks: true,
    goingAt: null,
    turn: null,
  };
}

/** Writes the unit vectors across, along and up of a thing as it stands, each as east, north, up. */
export function turnedBy(stance: Stance, out: Float64Array): Float64Array {
  turnedInto(stance, 1, 0, 0, out, 0);
  turnedInto(stance, 0, 1, 0, out, 3);
  turnedInto(stance, 0, 0, 1, out, 6);
  return out;
}

/** Writes where a point of a thing's own frame (across, along, up; metres) is from its base, as it stands. */
export function turnedInto(
  { headingDeg, leanDeg, pitchDeg }: Stance,
  across: number,
  along: number,
  up: number,
  out: Float64Array,
  offset = 0,
): void {
  const [sin, cos] = [Math.sin(headingDeg * RAD), Math.cos(headingDeg * RAD)];
  const [sinLean, cosLean] = [Math.sin(leanDeg * RAD), Math.cos(leanDeg * RAD)];
  const [sinPitch, cosPitch] = [Math.sin(pitchDeg * RAD), Math.cos(pitchDeg * RAD)];
  const a = across * cosLean + up * sinLean;
  const upright = up * cosLean - across * sinLean;
  const b = along * cosPitch - upright * sinPitch;
  out[offset] = a * cos + b * sin;
  out[offset + 1] = b * cos - a * sin;
  out[offset + 2] = along * sinPitch + upright * cosPitch;
}

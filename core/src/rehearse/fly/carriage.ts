/** A carriage on its rail, pushed by hand: metres from its start and metres a second. */
export interface CarriageState {
  alongM: number;
  mps: number;
}

export interface Rail {
  lengthM: number;
  massKg: number;
  /** Friction as a share of the weight, and what slows it with its speed, N s/m. */
  dragShare: number;
  viscousNspm: number;
}

/** What a hand does: it pushes with a share of its force, or leads the carriage to a place as a finger does. */
export interface CarriagePush {
  share: number;
  toM: number | null;
}

const GRAVITY = 9.80665;
/** What a hand pushes a small carriage with at most, and how stiffly a finger leads it. Common practice. */
export const HAND_N = 12;
const FINGER_NPM = 220;
const FINGER_NSPM = 26;

/** The carriage after `h` seconds more; it stops at the ends of its rail with a bump. */
export function pushed(state: CarriageState, push: CarriagePush, rail: Rail, h: number): CarriageState {
  const hand =
    push.toM === null
      ? push.share * HAND_N
      : Math.max(-HAND_N, Math.min(HAND_N, (push.toM - state.alongM) * FINGER_NPM - state.mps * FINGER_NSPM));
  const hold = rail.dragShare * rail.massKg * GRAVITY;
  // Friction stops what it can, and only slows what it cannot.
  const driven = state.mps + ((hand - rail.viscousNspm * state.mps) / rail.massKg) * h;
  const stops = (hold / rail.massKg) * h;
  const mps = Math.abs(driven) <= stops ? 0 : driven - Math.sign(driven) * stops;
  const alongM = state.alongM + ((state.mps + mps) / 2) * h;
  if (alongM <= 0) return { alongM: 0, mps: 0 };
  if (alongM >= rail.lengthM) return { alongM: rail.lengthM, mps: 0 };
  return { alongM, mps };
}

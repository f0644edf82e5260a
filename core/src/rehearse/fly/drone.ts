import type { Rig, StickSpeed } from '../../model';

/** What a simulated drone is told: sticks and wheel, each from −1 to 1. */
export interface DroneInput {
  forward: number;
  right: number;
  up: number;
  /** Clockwise seen from above. */
  turn: number;
  /** The wheel of the camera's tilt. */
  tilt: number;
}
export const HANDS_OFF: DroneInput = { forward: 0, right: 0, up: 0, turn: 0, tilt: 0 };

/** What full sticks ask for in a stick speed. */
export interface DroneLimits {
  speedMps: number;
  climbMps: number;
  turnDegps: number;
  tiltDegps: number;
  tiltMinDeg: number;
  tiltMaxDeg: number;
  accelerationMps2: number;
}

export interface DroneState {
  xM: number;
  yM: number;
  zM: number;
  vxMps: number;
  vyMps: number;
  vzMps: number;
  panDeg: number;
  panDegps: number;
  tiltDeg: number;
  tiltDegps: number;
}

/** How long each axis runs behind its stick, s, first order. Common practice, no published source. */
export const DRONE_LAGS = { travelS: 0.4, climbS: 0.3, turnS: 0.18, tiltS: 0.15 } as const;
/** Sticks are soft about their middle: a share of the cube. Common practice, no published source. */
const EXPO = 0.35;
const RAD = Math.PI / 180;

/** What of the full speed a stick asks for. */
export const fromStick = (stick: number): number => (1 - EXPO) * stick + EXPO * stick ** 3;

/** The stick that asks for a share of the full speed; beyond 1 stays beyond 1. */
export function toStick(share: number): number {
  let stick = share;
  for (let i = 0; i < 20; i += 1) stick -= (fromStick(stick) - share) / (1 - EXPO + 3 * EXPO * stick ** 2);
  return stick;
}

export const stickShare = (rig: Rig, speed: StickSpeed): number =>
  speed === 'slow' ? rig.slowShare : speed === 'normal' ? rig.normalShare : 1;

export function droneLimits(rig: Rig, speed: StickSpeed): DroneLimits {
  const share = stickShare(rig, speed);
  return {
    speedMps: rig.speedMaxMps * share,
    climbMps: Math.max(0.2, rig.climbMaxMps * share),
    turnDegps: rig.panRateMaxDegps * share,
    tiltDegps: rig.tiltRateMaxDegps * share,
    tiltMinDeg: rig.tiltMinDeg,
    tiltMaxDeg: rig.tiltMaxDeg,
    accelerationMps2: rig.accelerationMaxMps2,
  };
}

/** One axis that follows a wished speed with a lag; the way gone meanwhile, exact for a wish that stays. */
function lagged(v: number, wish: number, lagS: number, h: number, mostGain: number): { v: number; goneBy: number } {
  const keep = Math.exp(-h / lagS);
  const next = wish + (v - wish) * keep;
  const gain = next - v;
  if (Math.abs(gain) <= mostGain) return { v: next, goneBy: wish * h + (v - wish) * lagS * (1 - keep) };
  const limited = v + Math.sign(gain) * mostGain;
  return { v: limited, goneBy: ((v + limited) / 2) * h };
}

/** Wind that is left when a drone holds itself against it, m/s east and north: see `wind.ts`. */
export interface Push {
  eastMps: number;
  northMps: number;
}

/**
 * A simulated drone after `h` seconds more. Sticks ask for speeds over the ground in the drone's own heading, or along a
 * held course; it follows each with a lag and no faster than it gains speed; the tilt stops at its ends.
 */
export function flown(
  state: DroneState,
  input: DroneInput,
  limits: DroneLimits,
  h: number,
  courseDeg: number | null = null,
  push: Push = { eastMps: 0, northMps: 0 },
): DroneState {
  const turned = lagged(state.panDegps, fromStick(input.turn) * limits.turnDegps, DRONE_LAGS.turnS, h, Infinity);
  const panDeg = state.panDeg + turned.goneBy;
  const heading = (courseDeg ?? (state.panDeg + panDeg) / 2) * RAD;
  const [sin, cos] = [Math.sin(heading), Math.cos(heading)];
  const forward = fromStick(input.forward) * limits.speedMps;
  const right = fromStick(input.right) * limits.speedMps;
  const mostGain = limits.accelerationMps2 * h;
  const x = lagged(state.vxMps, forward * sin + right * cos, DRONE_LAGS.travelS, h, mostGain);
  const y = lagged(state.vyMps, forward * cos - right * sin, DRONE_LAGS.travelS, h, mostGain);
  const z = lagged(state.vzMps, fromStick(input.up) * limits.climbMps, DRONE_LAGS.climbS, h, mostGain);
  const tilted = lagged(state.tiltDegps, fromStick(input.tilt) * limits.tiltDegps, DRONE_LAGS.tiltS, h, Infinity);
  const wantedTilt = state.tiltDeg + tilted.goneBy;
  const tiltDeg = Math.min(limits.tiltMaxDeg, Math.max(limits.tiltMinDeg, wantedTilt));
  return {
    xM: state.xM + x.goneBy + push.eastMps * h,
    yM: state.yM + y.goneBy + push.northMps * h,
    zM: state.zM + z.goneBy,
    vxMps: x.v,
    vyMps: y.v,
    vzMps: z.v,
    panDeg,
    panDegps: turned.v,
    tiltDeg,
    tiltDegps: tiltDeg === wantedTilt ? tilted.v : 0,
  };
}

import type { StickSpeed } from '../../model';
import type { Film } from '../../motion';
import {
  DRONE_LAGS,
  droneLimits,
  type DroneInput,
  type DroneLimits,
  type DroneState,
  flown,
  HANDS_OFF,
  toStick,
} from '../fly/drone';
import { planAt, planRate } from './plan-at';

/** What the sticks of a drone do over a shot: one row each `1 / rateHz` seconds of action. */
export interface DroneSticks {
  rateHz: number;
  rows: DroneInput[];
  /** The slowest stick speed that does it; `enough` is false where even the fastest does not. */
  speed: StickSpeed;
  enough: boolean;
  limits: DroneLimits;
  /** The course is held while the camera turns, at this bearing; null: forward is where the camera looks. */
  courseDeg: number | null;
  /** Where the drone stands and how it moves when the shot begins. */
  from: DroneState;
}

const STICKS_HZ = 50;
/** A flight of hours has no more rows than this. */
const MOST_ROWS = 45_000;
const sticksHz = ({ scene }: Film): number => Math.min(STICKS_HZ, MOST_ROWS / Math.max(1, scene.durationS));
const RAD = Math.PI / 180;
/** How hard what is left of an error is taken back, each second. */
const TAKES_BACK = 2;
/** A stick up to here leaves room to correct. */
const ROOM = 0.98;

/** The state of a plan at a moment, as a drone that flies it. */
export function planned({ filmed }: Film, tS: number): DroneState {
  const endS = filmed.tS[filmed.count - 1];
  const at = (column: Parameters<typeof planAt>[1]) => planAt(filmed, column);
  const rate = (column: Parameters<typeof planAt>[1]) => planRate(at(column), tS, filmed.tS[0], endS);
  return {
    xM: at('xM')(tS),
    yM: at('yM')(tS),
    zM: at('zM')(tS),
    vxMps: rate('xM'),
    vyMps: rate('yM'),
    vzMps: rate('zM'),
    panDeg: at('panDeg')(tS),
    panDegps: rate('panDeg'),
    tiltDeg: at('tiltDeg')(tS),
    tiltDegps: rate('tiltDeg'),
  };
}

/** Sticks that fly a plan in one stick speed, by what the simulated drone does with them. */
function sticksIn(film: Film, limits: DroneLimits, courseDeg: number | null): { rows: DroneInput[]; most: number } {
  const { filmed } = film;
  const endS = filmed.tS[filmed.count - 1];
  const rateHz = sticksHz(film);
  const h = 1 / rateHz;
  const columns = (['xM', 'yM', 'zM', 'panDeg', 'tiltDeg'] as const).map((column) => planAt(filmed, column));
  let state = planned(film, 0);
  const rows: DroneInput[] = [];
  let most = 0;
  const lags = [DRONE_LAGS.travelS, DRONE_LAGS.travelS, DRONE_LAGS.climbS, DRONE_LAGS.turnS, DRONE_LAGS.tiltS];
  const count = Math.max(1, Math.round(endS * rateHz));
  for (let n = 0; n < count; n += 1) {
    const nextS = (n + 1) * h;
    const is = [state.xM, state.yM, state.zM, state.panDeg, state.tiltDeg];
    const moves = [state.vxMps, state.vyMps, state.vzMps, state.panDegps, state.tiltDegps];
    // The speed to have at the end of the step, with what is off taken back; the wish that the lag turns into it.
    const wishes = columns.map((at, k) => {
      const speed = planRate(at, nextS, 0, endS);
      const off = at(nextS - h) - is[k];
      const keep = Math.exp(-h / lags[k]);
      return (speed + TAKES_BACK * off - moves[k] * keep) / (1 - keep);
    });
    const heading = (courseDeg ?? state.panDeg) * RAD;
    const [sin, cos] = [Math.sin(heading), Math.cos(heading)];
    const shares = {
      forward: (wishes[0] * sin + wishes[1] * cos) / limits.speedMps,
      right: (wishes[0] * cos - wishes[1] * sin) / limits.speedMps,
      up: wishes[2] / limits.climbMps,
      turn: wishes[3] / limits.turnDegps,
      tilt: wishes[4] / limits.tiltDegps,
    };
    const input = { ...HANDS_OFF };
    for (const key of Object.keys(shares) as (keyof DroneInput)[]) {
      const stick = toStick(shares[key]);
      most = Math.max(most, Math.abs(stick));
      input[key] = Math.min(1, Math.max(-1, stick));
    }
    rows.push(input);
    state = flown(state, input, limits, h, courseDeg);
  }
  return { rows, most };
}

/** How much the two sticks of travel wander over a flight. */
const wander = (rows: readonly DroneInput[]): number =>
  rows.slice(1).reduce((sum, row, i) => sum + Math.hypot(row.forward - rows[i].forward, row.right - rows[i].right), 0);

/** The sticks of a shot that a drone flies: in the slowest stick speed that does it, by the course or the heading. */
export function droneSticks(film: Film): DroneSticks {
  const { rig } = film.scene;
  const from = planned(film, 0);
  const goes = courseOf(film);
  let last: DroneSticks | null = null;
  for (const speed of ['slow', 'normal', 'fast'] as const) {
    const limits = droneLimits(rig, speed);
    const free = sticksIn(film, limits, null);
    const held = goes === null ? null : sticksIn(film, limits, goes);
    const takeHeld = held !== null && held.most <= free.most + 1e-9 && wander(held.rows) < wander(free.rows) * 0.7;
    const chosen = takeHeld ? held : free;
    last = {
      rateHz: sticksHz(film),
      rows: chosen.rows,
      speed,
      enough: chosen.most <= ROOM,
      limits,
      courseDeg: takeHeld ? goes : null,
      from,
    };
    if (last.enough) return last;
  }
  return last as DroneSticks;
}

/** The bearing of a way that goes straight while the camera turns; null where it does not. */
function courseOf({ filmed }: Film): number | null {
  const last = filmed.count - 1;
  const [dx, dy] = [filmed.xM[last] - filmed.xM[0], filmed.yM[last] - filmed.yM[0]];
  const straight = Math.hypot(dx, dy);
  let gone = 0;
  for (let row = 1; row <= last; row += 1)
    gone += Math.hypot(filmed.xM[row] - filmed.xM[row - 1], filmed.yM[row] - filmed.yM[row - 1]);
  if (straight < 1 || straight < gone * 0.9) return null;
  return (Math.atan2(dx, dy) / RAD + 360) % 360;
}

/** The way that sticks fly, from where the shot begins: one state more than there are rows. */
export function flightOf({ rows, rateHz, limits, courseDeg, from }: DroneSticks): DroneState[] {
  const states = [from];
  for (const row of rows) states.push(flown(states[states.length - 1], row, limits, 1 / rateHz, courseDeg));
  return states;
}

import type { Drone } from '../../model';
import { GRAVITY } from '../elliptic';
import { windAtHeightMps } from '../wind';

export interface DroneFlight {
  massKg: number;
  /** Of the greatest thrust, to hover. */
  hoverShare: number;
  windMps: number;
  /** Minutes in the air until the reserve, in still air and in that wind. */
  stillMin: number;
  enduranceMin: number;
  /** Ground speed left against the wind, m/s. */
  upwindMps: number;
  overMassKg: number;
  /** It leaves the ground and holds itself against that wind. */
  flies: boolean;
}

/**
 * Drag of wind as a share of weight at a drone's full speed: it then leans about 25° (common practice, no published
 * source).
 */
const LEAN_AT_FULL_SPEED = Math.tan((25 * Math.PI) / 180);

/**
 * Take-off mass and time in the air: power to hover grows with mass to the 3/2 (actuator disc, momentum theory in any
 * helicopter text); wind is drag that grows with its square and is held by thrust.
 */
export function droneFlight(drone: Drone, payloadKg: number): DroneFlight {
  const bodyKg = drone.bodyMassG / 1000;
  const massKg = bodyKg + payloadKg;
  const windMps = windAtHeightMps(drone.windMps, drone.heightM);
  const dragShare = LEAN_AT_FULL_SPEED * (windMps / drone.speedMaxMps) ** 2;
  const thrustTimes = Math.hypot(1, dragShare);
  const stillW = drone.hoverW * (massKg / bodyKg) ** 1.5;
  const usableWh = drone.batteryWh * (1 - drone.reserveShare);
  return {
    massKg,
    hoverShare: (massKg * GRAVITY) / drone.thrustMaxN,
    windMps,
    stillMin: (usableWh / stillW) * 60,
    enduranceMin: (usableWh / (stillW * thrustTimes ** 1.5)) * 60,
    upwindMps: drone.speedMaxMps - windMps,
    flies: ((massKg * GRAVITY) / drone.thrustMaxN) * thrustTimes < 1 && windMps < drone.speedMaxMps,
    overMassKg: Math.max(0, massKg - drone.bodyMaxG / 1000),
  };
}

/** Takes of a shot, and minutes to fly to its start each time: common practice, no published source. */
const TAKES = 3;
const TO_START_MIN = 1;

/** Minutes in the air that shots of these lengths (s) ask for. */
export const flightMinutes = (durationsS: readonly number[]): number =>
  durationsS.reduce((sum, durationS) => sum + TAKES * (durationS / 60 + TO_START_MIN), 0);

/**
 * Batteries for so many minutes of flight, with a take-off and a landing of a minute and a half for each; infinite when
 * one does not last for that.
 */
export const batteriesFor = (flightMin: number, enduranceMin: number): number =>
  enduranceMin <= 1.5 ? Infinity : Math.ceil(flightMin / (enduranceMin - 1.5));

import { type Film, seeded } from '../../motion';
import { planAt, type WayColumn } from '../../rehearse';
import type { Faults } from './device';

const DEG = Math.PI / 180;

/** Noise of about a normal spread of 1, the same for the same seed. */
export function noiseOf(seed: number): () => number {
  const next = seeded(seed);
  return () => (next() + next() + next() + next() - 2) * Math.sqrt(3);
}

/**
 * What is carried out of one column of a plan at a moment of the device’s clock: late, at its pace, behind by its lag
 * (what it was told a lag ago), past its end and back.
 */
export function carriedColumn({ filmed }: Film, column: WayColumn, faults: Faults): (tS: number) => number {
  const at = planAt(filmed, column);
  const lastS = filmed.tS[filmed.count - 1];
  const total = filmed[column][filmed.count - 1] - filmed[column][0];
  return (tS) => {
    const planS = (tS - faults.startLateS - faults.lagS) * faults.pace;
    const past = faults.overshootShare === 0 ? 0 : total * faults.overshootShare * pastAndBack(planS - lastS);
    return at(planS) + past;
  };
}

/** 1 at its most, a fifth of a second after the end, and over after another; smooth at both ends. */
function pastAndBack(sinceS: number): number {
  const part = (sinceS + 0.25) / 0.7;
  return part <= 0 || part >= 1 ? 0 : Math.sin(Math.PI * part) ** 2;
}

export interface Pose {
  placeM: [number, number, number];
  anglesDeg: [number, number, number];
}

/** Where a camera is and looks when the plan is carried out by hand: with steps, trembling, and off level. */
export function carriedPose(film: Film, faults: Faults): (tS: number) => Pose {
  const [x, y, z, pan, tilt, roll] = (['xM', 'yM', 'zM', 'panDeg', 'tiltDeg', 'rollDeg'] as const).map((key) =>
    carriedColumn(film, key, faults),
  );
  const next = seeded(faults.seed);
  const phases = Array.from({ length: 3 }, () => 2 * Math.PI * next());
  const tremor = (k: number, tS: number) =>
    faults.tremorDeg * Math.sqrt(2 / 3) * Math.sin(2 * Math.PI * faults.tremorHz * tS + phases[k]);
  const lastS = film.filmed.tS[film.filmed.count - 1] / faults.pace;
  return (tS) => {
    // Nobody steps before the start and after the end.
    const goes = Math.min(
      1,
      Math.max(0, (tS - faults.startLateS) * 2),
      Math.max(0, (faults.startLateS + lastS - tS) * 2),
    );
    const step = 2 * Math.PI * faults.stepRateHz * tS + phases[0];
    const bob = (faults.bobMm / 2000) * goes * Math.cos(step);
    const heading = pan(tS) * DEG;
    const sway = (faults.bobMm / 3000) * goes * Math.sin(step / 2);
    return {
      placeM: [x(tS) + sway * Math.cos(heading), y(tS) - sway * Math.sin(heading), z(tS) + bob],
      anglesDeg: [pan(tS) + tremor(0, tS), tilt(tS) + tremor(1, tS), roll(tS) + faults.levelOffDeg + tremor(2, tS)],
    };
  };
}

import type { Lens, Limits, Puller } from '../model';
import { largest, type Samples } from '../motion';
import { ringDegPerDioptre } from '../optics';

/** The fastest that the focus has to go, in real time. */
export interface FocusPull {
  dioptresPerS: number;
  ringDegps: number;
  /** In which recorded frame. */
  row: number;
}

/** The fastest pull of a shot as it was filmed; null when the focus never stirs. */
export function fastestPull(filmed: Samples, lens: Lens): FocusPull | null {
  const { focusDistanceM, count, captureRateHz } = filmed;
  const rate = new Float64Array(count).fill(NaN);
  for (let row = 1; row < count; row += 1)
    rate[row] = Math.abs(1 / focusDistanceM[row] - 1 / focusDistanceM[row - 1]) * captureRateHz;
  const peak = largest(rate);
  return peak && peak.value > 1e-6
    ? { dioptresPerS: peak.value, ringDegps: peak.value * ringDegPerDioptre(lens), row: peak.row }
    : null;
}

/**
 * What of a pull counts for who pulls, and what they usually manage: hands and motors turn a ring, autofocus steps
 * through dioptres.
 */
export function pullBy(
  pull: FocusPull,
  puller: Puller,
  limits: Pick<Limits, 'handRing' | 'motorRing' | 'autofocusRate'>,
): { value: number; limit: number; unit: string } {
  if (puller === 'autofocus') return { value: pull.dioptresPerS, limit: limits.autofocusRate, unit: 'dioptres/s' };
  return { value: pull.ringDegps, limit: puller === 'hand' ? limits.handRing : limits.motorRing, unit: 'deg/s' };
}

export const PULLER_WORDS: Record<Puller, { subject: string; does: string }> = {
  hand: { subject: 'a hand', does: 'turns evenly' },
  motor: { subject: 'a motor', does: 'turns evenly' },
  autofocus: { subject: 'autofocus', does: 'keeps up' },
};

import { type Limits, smoothSpeed } from '../model';

/** What a shutter does to motion: hard and jittery, the subject smeared, both at once never. */
export type ShutterLook = 'fine' | 'short' | 'long';

/** Judges a shutter by what moves in the picture: speeds in frame widths a second, smear in frame widths. */
export function shutterLook(
  { shutterDeg, frameRateHz }: { shutterDeg: number; frameRateHz: number },
  seen: { fastest: number; subjectBlur: number },
  limits: Pick<Limits, 'shortShutterDeg' | 'subjectBlur' | 'crossingTimeAt24S'>,
): ShutterLook {
  if (seen.subjectBlur > limits.subjectBlur) return 'long';
  return shutterDeg < limits.shortShutterDeg && seen.fastest > smoothSpeed(frameRateHz, limits) / 2 ? 'short' : 'fine';
}

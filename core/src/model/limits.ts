/** A number that a finding is held against, with where it comes from. */
export interface Limit {
  label: string;
  value: number;
  unit: string;
  source: string;
}

const PRACTICE = 'common practice, no published source';

/** The one table of limits. Findings read their numbers here and nowhere else. */
export const LIMITS = {
  crossingTimeAt24S: {
    label: 'Shortest smooth crossing of the frame at 24 frames a second',
    value: 7,
    unit: 's',
    source: 'crossing-time rule in camera handbooks (from memory); scales with frame rate',
  },
  heldSubjectFactor: { label: 'Wider limit for near and far while a subject is held still in the frame', value: 3, unit: '×', source: PRACTICE },
  heldSubjectSpeed: { label: 'A subject slower than this counts as held', value: 0.04, unit: 'frame widths a second', source: PRACTICE },
  joltFactor: { label: 'From ripple to jolt', value: 2, unit: '×', source: PRACTICE },
  subjectBlur: { label: 'Blur of the subject that is noticed', value: 0.008, unit: 'frame widths', source: PRACTICE },
  shortShutterDeg: { label: 'Shutter below this makes fast motion hard and jittery', value: 90, unit: '°', source: PRACTICE },
  parallaxWeak: { label: 'Near or far against the subject: below this depth hardly shows', value: 0.03, unit: 'frame widths a second', source: PRACTICE },
  parallaxNone: { label: 'Near or far against the subject: below this the move looks like nothing', value: 0.006, unit: 'frame widths a second', source: PRACTICE },
  placeDrift: { label: 'Drift of a held subject from its place', value: 0.03, unit: 'frame widths', source: PRACTICE },
  heldSizeChange: { label: 'Change of a held size', value: 0.02, unit: 'share', source: PRACTICE },
  growthRate: { label: 'Growth or shrinking of the subject', value: 0.35, unit: 'share a second', source: PRACTICE },
  coveredS: { label: 'Foreground before the subject for longer than', value: 1.5, unit: 's', source: PRACTICE },
  cutOffS: { label: 'Head or side outside the frame for longer than', value: 0.2, unit: 's', source: PRACTICE },
  screenAcceleration: { label: 'Start or stop felt as a bump', value: 0.35, unit: 'frame widths per second squared', source: PRACTICE },
  accelerationJoltFactor: { label: 'From a soft bump to a jolt', value: 3, unit: '×', source: PRACTICE },
  wobble: { label: 'Bob and tremor of the body in the picture, peak to peak within a second', value: 0.006, unit: 'frame widths', source: PRACTICE },
  wobbleJoltFactor: { label: 'From a bob to a jolt', value: 4, unit: '×', source: PRACTICE },
  focusRate: { label: 'Focus pull that a hand turns evenly', value: 0.8, unit: 'dioptres a second', source: PRACTICE },
  zoomRate: { label: 'Zoom that draws attention to itself', value: 0.3, unit: 'share a second', source: PRACTICE },
  backgroundGrowth: { label: 'Dolly zoom: least growth of the background that is felt', value: 1.3, unit: '×', source: PRACTICE },
  tightShare: { label: 'Rig use from which it is tight', value: 0.9, unit: 'share of its reach', source: PRACTICE },
  clearTightFactor: { label: 'Room about the camera that is tight', value: 1.25, unit: '× what the rig needs', source: PRACTICE },
  wheelStepM: { label: 'Step of the ground that wheels take', value: 0.03, unit: 'm', source: PRACTICE },
  footStepM: { label: 'Step of the ground that feet take', value: 0.35, unit: 'm', source: PRACTICE },
  wheelSlopeDeg: { label: 'Slope on which wheels hold still', value: 8, unit: '°', source: PRACTICE },
  footSlopeDeg: { label: 'Slope on which feet go steadily', value: 25, unit: '°', source: PRACTICE },
  closePersonM: { label: 'Nearer than this to somebody', value: 1, unit: 'm', source: PRACTICE },
  closingPersonM: { label: 'Nearer than this to somebody while closing', value: 1.8, unit: 'm', source: PRACTICE },
  closingFastM: { label: 'Nearer than this to somebody while closing, in the air or on wheels', value: 5, unit: 'm', source: PRACTICE },
  straightnessM: { label: 'Bend of a path that a straight rail still follows', value: 0.02, unit: 'm', source: PRACTICE },
} as const satisfies Record<string, Limit>;

/** Fastest smooth speed on screen in frame widths a second at a frame rate: one frame width in the crossing time, which shortens as frames come faster. */
export function smoothSpeed(frameRateHz: number): number {
  return frameRateHz / (24 * LIMITS.crossingTimeAt24S.value);
}

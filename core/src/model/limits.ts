import * as z from 'zod';

/** A number that a finding is held against, with where it comes from. All are above 0. */
export interface Limit {
  label: string;
  /** What it is called on the screen: how people speak of it. */
  group: LimitGroup;
  value: number;
  unit: string;
  source: string;
}

export type LimitGroup =
  'Speed on screen' | 'Depth' | 'Framing' | 'Smoothness' | 'Lens and focus' | 'Rig' | 'People' | 'Joins';

const PRACTICE = 'common practice, no published source';

const WINDOW = 'upper bound in Watson, Ahumada & Farrell 1986, J. Opt. Soc. Am. A 3(3) (from memory)';

/** The one table of limits as it ships. Findings read theirs from `limitsOf`, nowhere else. */
export const LIMITS = {
  crossingTimeAt24S: {
    group: 'Speed on screen',
    label: 'Shortest smooth crossing of the frame at 24 frames a second',
    value: 7,
    unit: 's',
    source: 'crossing-time rule in camera handbooks (from memory); scales with frame rate',
  },
  heldSubjectFactor: {
    group: 'Speed on screen',
    label: 'Wider limit for near and far while a subject is held still in the frame',
    value: 3,
    unit: '×',
    source: PRACTICE,
  },
  heldSubjectSpeed: {
    group: 'Speed on screen',
    label: 'A subject slower than this counts as held',
    value: 0.04,
    unit: 'frame widths a second',
    source: PRACTICE,
  },
  joltFactor: { group: 'Speed on screen', label: 'From ripple to jolt', value: 2, unit: '×', source: PRACTICE },
  subjectBlur: {
    group: 'Speed on screen',
    label: 'Blur of the subject that is noticed',
    value: 0.008,
    unit: 'frame widths',
    source: PRACTICE,
  },
  shortShutterDeg: {
    group: 'Speed on screen',
    label: 'Shutter below this makes fast motion hard and jittery',
    value: 90,
    unit: '°',
    source: PRACTICE,
  },
  parallaxWeak: {
    group: 'Depth',
    label: 'Near or far against the subject: below this depth hardly shows',
    value: 0.03,
    unit: 'frame widths a second',
    source: PRACTICE,
  },
  parallaxNone: {
    group: 'Depth',
    label: 'Near or far against the subject: below this the move looks like nothing',
    value: 0.006,
    unit: 'frame widths a second',
    source: PRACTICE,
  },
  placeDrift: {
    group: 'Framing',
    label: 'Drift of a held subject from its place',
    value: 0.03,
    unit: 'frame widths',
    source: PRACTICE,
  },
  heldSizeChange: { group: 'Framing', label: 'Change of a held size', value: 0.02, unit: 'share', source: PRACTICE },
  growthRate: {
    group: 'Framing',
    label: 'Growth or shrinking of the subject',
    value: 0.35,
    unit: 'share a second',
    source: PRACTICE,
  },
  coveredS: {
    group: 'Framing',
    label: 'Foreground before the subject for longer than',
    value: 1.5,
    unit: 's',
    source: PRACTICE,
  },
  coveredAtEnd: {
    group: 'Framing',
    label: 'Part of the subject that foreground may cover in the first and the last frame',
    value: 0.35,
    unit: 'share',
    source: PRACTICE,
  },
  handleS: {
    group: 'Framing',
    label: 'Empty frame before and after whoever crosses it',
    value: 1.5,
    unit: 's',
    source: PRACTICE,
  },
  cutOffS: {
    group: 'Framing',
    label: 'Head or side outside the frame for longer than',
    value: 0.2,
    unit: 's',
    source: PRACTICE,
  },
  screenAcceleration: {
    group: 'Smoothness',
    label: 'Start or stop felt as a bump',
    value: 0.35,
    unit: 'frame widths per second squared',
    source: PRACTICE,
  },
  accelerationJoltFactor: {
    group: 'Smoothness',
    label: 'From a soft bump to a jolt',
    value: 2.5,
    unit: '×',
    source: PRACTICE,
  },
  wobble: {
    group: 'Smoothness',
    label: 'Bob and tremor of the body in the picture, peak to peak within a second',
    value: 0.006,
    unit: 'frame widths',
    source: PRACTICE,
  },
  wobbleJoltFactor: { group: 'Smoothness', label: 'From a bob to a jolt', value: 4, unit: '×', source: PRACTICE },
  handRing: {
    group: 'Lens and focus',
    label: 'Focus ring that a hand turns evenly',
    value: 45,
    unit: '° a second',
    source: PRACTICE,
  },
  motorRing: {
    group: 'Lens and focus',
    label: 'Focus ring that a motor turns evenly',
    value: 180,
    unit: '° a second',
    source: PRACTICE,
  },
  autofocusRate: {
    group: 'Lens and focus',
    label: 'Focus that autofocus follows',
    value: 1.5,
    unit: 'dioptres a second',
    source: PRACTICE,
  },
  airyPixels: {
    group: 'Lens and focus',
    label: 'Diffraction disc that softens the picture',
    value: 2.5,
    unit: 'pixels of the recording',
    source: PRACTICE,
  },
  flickerOff: {
    group: 'Lens and focus',
    label: 'Shutter off whole pulses of lamps by',
    value: 0.15,
    unit: 'pulses',
    source: PRACTICE,
  },
  zoomRate: {
    group: 'Lens and focus',
    label: 'Zoom that draws attention to itself',
    value: 0.3,
    unit: 'share a second',
    source: PRACTICE,
  },
  backgroundGrowth: {
    group: 'Depth',
    label: 'Dolly zoom: least growth of the background that is felt',
    value: 1.3,
    unit: '×',
    source: PRACTICE,
  },
  tightShare: {
    group: 'Rig',
    label: 'Rig use from which it is tight',
    value: 0.9,
    unit: 'share of its reach',
    source: PRACTICE,
  },
  clearTightFactor: {
    group: 'Rig',
    label: 'Room about the camera that is tight',
    value: 1.25,
    unit: '× what the rig needs',
    source: PRACTICE,
  },
  wheelStepM: { group: 'Rig', label: 'Step of the ground that wheels take', value: 0.03, unit: 'm', source: PRACTICE },
  footStepM: { group: 'Rig', label: 'Step of the ground that feet take', value: 0.35, unit: 'm', source: PRACTICE },
  wheelSlopeDeg: { group: 'Rig', label: 'Slope on which wheels hold still', value: 8, unit: '°', source: PRACTICE },
  footSlopeDeg: { group: 'Rig', label: 'Slope on which feet go steadily', value: 25, unit: '°', source: PRACTICE },
  closePersonM: { group: 'People', label: 'Nearer than this to somebody', value: 1, unit: 'm', source: PRACTICE },
  closingPersonM: {
    group: 'People',
    label: 'Nearer than this to somebody while closing',
    value: 1.8,
    unit: 'm',
    source: PRACTICE,
  },
  closingFastM: {
    group: 'People',
    label: 'Nearer than this to somebody at speed, whatever the rig',
    value: 5,
    unit: 'm',
    source: PRACTICE,
  },
  straightnessM: {
    group: 'Rig',
    label: 'Bend of a path that a straight rail still follows',
    value: 0.02,
    unit: 'm',
    source: PRACTICE,
  },
  windowTemporalHz: {
    group: 'Speed on screen',
    label: 'Flicker the eye can follow (window of visibility)',
    value: 30,
    unit: 'Hz',
    source: WINDOW,
  },
  windowSpatialCpd: {
    group: 'Speed on screen',
    label: 'Finest detail the eye can see (window of visibility)',
    value: 60,
    unit: 'cycles a degree',
    source: WINDOW,
  },
  pictureWidthDeg: {
    group: 'Speed on screen',
    label: 'How wide the picture stands before the eye',
    value: 31,
    unit: '°',
    source:
      'a 16:9 picture seen from 3.2 of its heights, the design distance for 1080 lines in ITU-R BT.2022 (from memory)',
  },
  repeats: {
    group: 'Speed on screen',
    label: 'Recorded frame shown for more than',
    value: 1.05,
    unit: 'frames',
    source: PRACTICE,
  },
  unevenSteps: {
    group: 'Speed on screen',
    label: 'Frames left out unevenly: difference between one step and the next',
    value: 0.3,
    unit: 'share',
    source: PRACTICE,
  },
  leanDeg: {
    group: 'Speed on screen',
    label: 'Lean of upright things by the sensor’s read-out',
    value: 3,
    unit: '°',
    source: PRACTICE,
  },
  lockedStops: {
    group: 'Lens and focus',
    label: 'Change of light that a locked exposure bears',
    value: 1.5,
    unit: 'stops',
    source: PRACTICE,
  },
  flareDeg: {
    group: 'Lens and focus',
    label: 'A lamp or the sun as far outside the frame still veils it',
    value: 15,
    unit: '°',
    source: PRACTICE,
  },
  headRoomLeast: { group: 'Framing', label: 'Least head room', value: 0.02, unit: 'frame heights', source: PRACTICE },
  headRoomMost: {
    group: 'Framing',
    label: 'Most head room of a figure cut below the knee or closer',
    value: 0.25,
    unit: 'frame heights',
    source: PRACTICE,
  },
  lookRoom: {
    group: 'Framing',
    label: 'Least room ahead of where a figure looks or goes',
    value: 0.38,
    unit: 'frame widths',
    source: PRACTICE,
  },
  jointS: {
    group: 'Framing',
    label: 'Frame edge at one joint for longer than',
    value: 1.5,
    unit: 's',
    source: PRACTICE,
  },
  horizonRollDeg: {
    group: 'Framing',
    label: 'Roll of the horizon that nobody asked for',
    value: 1,
    unit: '°',
    source: PRACTICE,
  },
  roughness: {
    group: 'Smoothness',
    label: 'Unevenness of one move in the picture (spectral arc length)',
    value: 2.5,
    unit: '',
    source:
      'measure: SPARC, Balasubramanian et al. 2015, J. NeuroEng. Rehabil. 12; the limit is common practice, no published source',
  },
  turnEvenness: {
    group: 'Smoothness',
    label: 'Turning about the subject faster or slower than usual',
    value: 0.25,
    unit: 'share',
    source: PRACTICE,
  },
  centreKept: {
    group: 'Smoothness',
    label: 'Distance to the centre of an orbit changes by',
    value: 0.1,
    unit: 'share',
    source: PRACTICE,
  },
  confusionShare: {
    group: 'Lens and focus',
    label: 'Blur disc that still looks sharp',
    value: 0.00083,
    unit: 'frame widths',
    source:
      '0.030 mm on a 36 mm wide frame, as in depth-of-field tables (S. F. Ray, Applied Photographic Optics, from memory)',
  },
  joinRestSpeed: {
    group: 'Joins',
    label: 'A picture slower than this rests',
    value: 0.04,
    unit: 'frame widths a second',
    source: PRACTICE,
  },
  joinStartSpeed: {
    group: 'Joins',
    label: 'From rest to a picture so fast, or back, is a jerk',
    value: 0.2,
    unit: 'frame widths a second',
    source: PRACTICE,
  },
  joinSameWayDeg: {
    group: 'Joins',
    label: 'Two motions go on in one direction within',
    value: 45,
    unit: '°',
    source: PRACTICE,
  },
  joinSameSpeedFactor: {
    group: 'Joins',
    label: 'Two whips or turns are one while the faster is so many times as fast',
    value: 1.35,
    unit: '×',
    source: PRACTICE,
  },
  joinWhipSpeed: {
    group: 'Joins',
    label: 'A whip blurs from here on',
    value: 1.5,
    unit: 'frame widths a second',
    source: PRACTICE,
  },
  joinEyeLeap: {
    group: 'Joins',
    label: 'The eye leaps farther than this from subject to subject',
    value: 0.3,
    unit: 'frame widths',
    source: PRACTICE,
  },
  joinMatchedPlace: {
    group: 'Joins',
    label: 'A matched place is matched within',
    value: 0.06,
    unit: 'frame widths',
    source: PRACTICE,
  },
  joinAlikeFactor: {
    group: 'Joins',
    label: 'Sizes of one subject closer than this are alike',
    value: 1.3,
    unit: '×',
    source: PRACTICE,
  },
  joinAlikeDeg: {
    group: 'Joins',
    label: 'Looks at one subject closer than this are alike',
    value: 30,
    unit: '°',
    source: 'the 30° rule in handbooks of editing (from memory)',
  },
  joinDarkShare: {
    group: 'Joins',
    label: 'A frame is dark when so much of it is covered',
    value: 0.9,
    unit: 'share',
    source: PRACTICE,
  },
  joinGroundShare: {
    group: 'Joins',
    label: 'A frame is ground or sky when so much of it is',
    value: 0.85,
    unit: 'share',
    source: PRACTICE,
  },
  joinSpinDegps: {
    group: 'Joins',
    label: 'A turn of the picture is felt from here on',
    value: 15,
    unit: '°/s',
    source: PRACTICE,
  },
  joinRollDeg: {
    group: 'Joins',
    label: 'A horizon that tips at a cut is seen from here on',
    value: 3,
    unit: '°',
    source: PRACTICE,
  },
  joinLightStops: {
    group: 'Joins',
    label: 'Light that leaps at a cut is seen from here on',
    value: 1.5,
    unit: 'stops',
    source: PRACTICE,
  },
  joinOnLineDeg: {
    group: 'Joins',
    label: 'A camera so near to the line of action is on neither side of it',
    value: 15,
    unit: '°',
    source: PRACTICE,
  },
  joinActionM: {
    group: 'Joins',
    label: 'A matched action goes on where it was, within',
    value: 0.4,
    unit: 'm',
    source: PRACTICE,
  },
  joinActionMps: {
    group: 'Joins',
    label: 'A matched action goes on as fast, within',
    value: 0.4,
    unit: 'm/s',
    source: PRACTICE,
  },
  joinActionDeg: {
    group: 'Joins',
    label: 'A matched action goes on turned alike, within',
    value: 30,
    unit: '°',
    source: PRACTICE,
  },
  joinSmearFactor: {
    group: 'Joins',
    label: 'Motion is smeared alike while one shutter is open so many times as long',
    value: 2.2,
    unit: '×',
    source: PRACTICE,
  },
  joinSeenS: {
    group: 'Joins',
    label: 'A picture is hardly seen in the cut for less than',
    value: 0.5,
    unit: 's',
    source: PRACTICE,
  },
} as const satisfies Record<string, Limit>;

export type LimitName = keyof typeof LIMITS;
/** The numbers in force for a shoot. */
export type Limits = Record<LimitName, number>;

export const LIMIT_NAMES = Object.keys(LIMITS) as [LimitName, ...LimitName[]];

/** A limit can be set from a hundredth to a hundred times what it ships with. */
export const LIMIT_REACH = 100;

/** Limits that the user has changed; what is not there is as it ships. */
export const OwnLimitsSchema = z.partialRecord(z.enum(LIMIT_NAMES), z.number()).superRefine((own, context) => {
  for (const name of LIMIT_NAMES) {
    const value = own[name];
    if (value === undefined) continue;
    const [least, most] = limitRange(name);
    if (!(value >= least && value <= most))
      context.addIssue({ code: 'custom', path: [name], message: `must be from ${least} to ${most}; it is ${value}` });
  }
});
export type OwnLimits = z.infer<typeof OwnLimitsSchema>;

/** Least and most that a limit can be set to. */
export function limitRange(name: LimitName): [number, number] {
  return [
    Number((LIMITS[name].value / LIMIT_REACH).toPrecision(3)),
    Number((LIMITS[name].value * LIMIT_REACH).toPrecision(3)),
  ];
}

/** The limits in force: as they ship, with the user's own in their place. */
export function limitsOf(own: OwnLimits): Limits {
  return Object.fromEntries(LIMIT_NAMES.map((name) => [name, own[name] ?? LIMITS[name].value])) as Limits;
}

const SHOWN_UNITS: Record<string, string> = {
  'frame widths': '% of the width',
  'frame widths a second': '% of the width a second',
  'frame widths per second squared': '% of the width per second squared',
  'frame heights': '% of the height',
  share: '%',
  'share a second': '% a second',
  'share of its reach': '% of its reach',
};

/** How a limit is shown to people: shares as per cent. The shown number is the limit's value times `times`. */
export function shownLimit({ unit }: Pick<Limit, 'unit'>): { times: number; unit: string } {
  const shown = SHOWN_UNITS[unit];
  return shown === undefined ? { times: 1, unit } : { times: 100, unit: shown };
}

/**
 * Fastest smooth speed on screen in frame widths a second at a frame rate: one frame width in the crossing time, which
 * shortens as frames come faster.
 */
export function smoothSpeed(frameRateHz: number, limits: Pick<Limits, 'crossingTimeAt24S'>): number {
  return frameRateHz / (24 * limits.crossingTimeAt24S);
}

import { type RigKind, trim } from '../model';
import type { Film } from '../motion';
import { angleOfViewDeg, exposureTimeS, onFullFrame } from '../optics';

/** One thing that is set in the camera, held against what the shot does. */
export interface SetUpLine {
  key: string;
  /** Whether it suits the shot. */
  suits: boolean;
  said: string;
}

/** Where a stabiliser has nothing to do. */
const STILL = new Set<RigKind>(['tripod', 'slider', 'jib', 'tableTopArm', 'turntable']);
/** Rigs that hold a camera still themselves. */
const HOLDS = new Set<RigKind>(['gimbal', 'sled', 'drone']);
/**
 * From here on a setting is minded: a turn, a frame as wide, a distance that changes by so much. Common practice, no
 * published source.
 */
const TURN_DEG = 20;
const WIDE_SKY_DEG = 75;
const CROSS_BELOW_MM = 24;
const SAME_DISTANCE = 1.1;
const USUAL_SHUTTER_DEG = [150, 210];

const span = (column: Float64Array): number =>
  column.reduce((a, b) => Math.max(a, b), -Infinity) - column.reduce((a, b) => Math.min(a, b), Infinity);

/** The set-up of a shot's camera as a note that is checked: what suits, and what to set otherwise and why. */
export function setUpNote({ scene, samples, filmed }: Film): SetUpLine[] {
  const { shot, rig, camera, lens, filters } = scene;
  const { setUp } = shot;
  const lines: SetUpLine[] = [];
  const add = (key: string, suits: boolean, said: string) => lines.push({ key, suits, said });
  const turnDeg = Math.max(span(samples.panDeg), span(samples.tiltDeg));

  add(
    'exposure',
    setUp.exposure === 'locked',
    setUp.exposure === 'locked'
      ? `Exposure locked: set it for the brightest of ${turnDeg > TURN_DEG ? `all that it turns over (${trim(turnDeg, 0)}°)` : 'the frame'}.`
      : 'Exposure left to the camera: the picture brightens and darkens while it moves. Lock it.',
  );
  add(
    'whiteBalance',
    setUp.whiteBalance === 'locked',
    setUp.whiteBalance === 'locked'
      ? 'White balance locked.'
      : 'White balance left to the camera: colours drift as the background changes. Lock it.',
  );
  const flat = setUp.profile === 'flat';
  add(
    'profile',
    !flat || setUp.sharpness === 'low',
    flat
      ? setUp.sharpness === 'low'
        ? 'Flat, with sharpness turned low: graded and sharpened afterwards.'
        : 'Flat with sharpening as usual: edges are drawn that no grading takes away. Turn sharpness low.'
      : setUp.sharpness === 'low'
        ? 'As seen on the screen, sharpened afterwards.'
        : 'As seen on the screen: expose so that no highlight is lost, little can be mended.',
  );
  stabiliser();
  focus();
  const [least, most] = USUAL_SHUTTER_DEG;
  const exposure = exposureTimeS(shot.shutterDeg, shot.captureRateHz);
  add(
    'shutter',
    shot.shutterDeg >= least && shot.shutterDeg <= most,
    `Shutter 1/${trim(1 / exposure, 0)} s at ${trim(shot.captureRateHz, 2)} frames a second` +
      (shot.shutterDeg < least
        ? ': short, so that motion is hard and steps. Half of a frame’s time is usual.'
        : shot.shutterDeg > most
          ? ': long, so that motion smears. Half of a frame’s time is usual.'
          : ': half of a frame’s time, as usual.'),
  );
  glass();
  return lines;

  function stabiliser() {
    const has = camera.steadyShare * lens.steadyShare < 1;
    const on = setUp.stabiliser === 'on';
    const still = STILL.has(rig.kind) && rig.shakeShare === 0 && rig.bobShare === 0;
    if (!has) {
      add('stabiliser', true, 'Neither camera nor lens has a stabiliser.');
      return;
    }
    if (still && on)
      add(
        'stabiliser',
        false,
        `Stabilisers on, and ${rig.name} is still: they drift and fight a turn. Switch them off.`,
      );
    else if (HOLDS.has(rig.kind) && on && turnDeg > TURN_DEG)
      add(
        'stabiliser',
        false,
        `Stabilisers on while ${rig.name} turns by ${trim(turnDeg, 0)}°: two that steady fight each other. Try it once ` +
          'with them off.',
      );
    else if (!still && !on && !HOLDS.has(rig.kind) && rig.shakeShare > 0.1)
      add('stabiliser', false, `Stabilisers off in ${rig.name}: switch them on, or all of the trembling stays.`);
    else add('stabiliser', true, on ? 'Stabilisers on.' : 'Stabilisers off.');
  }

  function focus() {
    const distances = filmed.subjectDistanceM.filter((m) => m > 0);
    const ratio = distances.reduce((a, b) => Math.max(a, b), 0) / distances.reduce((a, b) => Math.min(a, b), Infinity);
    if (shot.focus.mode === 'follow' && shot.puller === 'autofocus' && scene.subject && ratio < SAME_DISTANCE)
      add(
        'focus',
        false,
        'Autofocus, and the distance hardly changes: set it once and lock it, so that nothing that passes takes it.',
      );
    else if (shot.focus.mode === 'follow' && shot.puller === 'autofocus')
      add('focus', true, 'Autofocus follows: choose the face or the spot, not the whole frame.');
    else if (shot.focus.mode === 'fixed') add('focus', true, 'Focus set once: lock it, and tape the ring.');
    else add('focus', true, 'Focus is pulled: autofocus off.');
  }

  function glass() {
    const wideDeg = angleOfViewDeg(samples.frameWidthMm, samples.focalLengthMm[0]);
    if (filters.some(({ kind }) => kind === 'polariser'))
      add(
        'polariser',
        wideDeg <= WIDE_SKY_DEG && turnDeg <= TURN_DEG * 1.5,
        turnDeg > TURN_DEG * 1.5
          ? `A polariser on a camera that turns by ${trim(turnDeg, 0)}°: sky and shine change on the way.`
          : wideDeg > WIDE_SKY_DEG
            ? `A polariser on ${trim(wideDeg, 0)}° of view: the sky darkens in one part only.`
            : 'Polariser: turn it for the frame that matters, then leave it.',
      );
    const full = onFullFrame(
      { widthMm: samples.frameWidthMm, heightMm: samples.frameHeightMm },
      samples.focalLengthMm[0],
      4,
    );
    if (filters.some(({ kind }) => kind === 'variableNd'))
      add(
        'variableNd',
        full.focalLengthMm >= CROSS_BELOW_MM,
        full.focalLengthMm >= CROSS_BELOW_MM
          ? 'Variable ND: tape its ring once it is set.'
          : `A variable ND as wide as ${trim(full.focalLengthMm, 0)} mm on full frame: a dark cross shows. Take a fixed one.`,
      );
  }
}

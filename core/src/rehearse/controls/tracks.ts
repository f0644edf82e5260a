import { type Practice, sayCount, type StickLayout, trim, type Units, sayLength } from '../../model';
import type { Film } from '../../motion';
import { ringAtDeg } from '../../optics';
import { optionWords, AimSchema } from '../../model';
import { ON_FOOT } from '../count';
import { footFalls } from '../foot-falls';
import { type DroneSticks, droneSticks } from './drone-sticks';
import { type HeadStick, headStick } from './head-stick';
import { planAt } from './plan-at';

/** What one part of a body does over a shot. */
export interface Track {
  id: string;
  /** `Right thumb, forward`. */
  name: string;
  /** What it has hold of; two tracks of one hand are one hand. */
  hand:
    'left thumb' | 'right thumb' | 'finger' | 'left hand' | 'right hand' | 'both hands' | 'feet' | 'knees' | 'motor';
  /** −1 to 1 (sticks, pushes) or shares of its own range. */
  rows: Float64Array;
  /** What 1 means: `full stick`, `12 N`, `90°`. */
  full: string;
  /** From when to when it does something, s of action; empty: never. */
  busy: { fromS: number; toS: number }[];
}

export interface Controls {
  rateHz: number;
  tracks: Track[];
  /** Sentences: what to set, and when to change it. */
  said: string[];
  drone: DroneSticks | null;
  head: HeadStick | null;
}

const MOST_HZ = 50;
/** A shot of hours has no more rows than this. */
const MOST_ROWS = 45_000;
/** Less of a stick than this is a hand at rest. */
const STIRS = 0.03;
const BRIDGE_S = 0.3;

/** Which stick does what, by layout: its hand and whether up and down, or left and right. */
const LAYOUTS: Record<StickLayout, Record<'forward' | 'right' | 'up' | 'turn', 'left' | 'right'>> = {
  '1': { forward: 'left', turn: 'left', up: 'right', right: 'right' },
  '2': { up: 'left', turn: 'left', forward: 'right', right: 'right' },
  '3': { forward: 'left', right: 'left', up: 'right', turn: 'right' },
  '4': { up: 'left', right: 'left', forward: 'right', turn: 'right' },
};
export const layoutOf = (layout: StickLayout) => LAYOUTS[layout];

const STICK_WORDS = { forward: 'forward and back', right: 'sideways', up: 'up and down', turn: 'turn' } as const;

/** When a track does something; short rests between are not told. */
function busyIn(rows: Float64Array, rateHz: number, stirs: number): Track['busy'] {
  const busy: Track['busy'] = [];
  for (let i = 0; i < rows.length; i += 1) {
    if (Math.abs(rows[i]) < stirs) continue;
    const last = busy.at(-1);
    if (last && i / rateHz - last.toS <= BRIDGE_S) last.toS = (i + 1) / rateHz;
    else busy.push({ fromS: i / rateHz, toS: (i + 1) / rateHz });
  }
  return busy.filter(({ fromS, toS }) => toS - fromS > 0.08);
}

/** The rate of a column against the largest of it: what a hand does that follows it. */
function effort(rows: Float64Array, rateHz: number): { rows: Float64Array; most: number } {
  const rates = new Float64Array(rows.length);
  for (let i = 1; i + 1 < rows.length; i += 1) rates[i] = ((rows[i + 1] - rows[i - 1]) * rateHz) / 2;
  const most = rates.reduce((a, v) => Math.max(a, Math.abs(v)), 0);
  return { rows: most > 0 ? rates.map((v) => v / most) : rates, most };
}

/** What every hand, thumb and foot does over a shot, by what carries the camera. */
export function controlsOf(film: Film, practice: Practice, units: Units): Controls {
  const { scene, filmed } = film;
  const { rig, shot, lens } = scene;
  const rateHz = Math.min(MOST_HZ, MOST_ROWS / Math.max(1, scene.durationS));
  const count = Math.max(2, Math.round(filmed.tS[filmed.count - 1] * rateHz));
  const column = (at: (tS: number) => number) => Float64Array.from({ length: count }, (_, i) => at(i / rateHz));
  const tracks: Track[] = [];
  const said: string[] = [];
  const add = (id: string, name: string, hand: Track['hand'], rows: Float64Array, full: string, stirs = STIRS) => {
    const busy = busyIn(rows, rateHz, stirs);
    if (busy.length > 0) tracks.push({ id, name, hand, rows, full, busy });
  };
  const turning = (name: string, hand: Track['hand'], key: 'panDeg' | 'tiltDeg' | 'rollDeg') => {
    const { rows, most } = effort(column(planAt(filmed, key)), rateHz);
    if (most > 0.3) add(key, name, hand, rows, `${trim(most, 1)}°/s`, Math.max(STIRS, 0.3 / most));
  };

  let drone: DroneSticks | null = null;
  let head: HeadStick | null = null;
  const flies = rig.kind === 'drone' && rig.bankMaxDeg > 0;
  if (flies) {
    drone = droneSticks(film);
    const layout = LAYOUTS[practice.layout];
    for (const key of ['up', 'turn', 'forward', 'right'] as const)
      add(
        key,
        `${layout[key] === 'left' ? 'Left' : 'Right'} stick, ${STICK_WORDS[key]}`,
        layout[key] === 'left' ? 'left thumb' : 'right thumb',
        Float64Array.from(drone.rows, (row) => row[key]),
        'full stick',
      );
    add(
      'tilt',
      'Tilt wheel',
      'finger',
      Float64Array.from(drone.rows, (row) => row.tilt),
      'full wheel',
    );
    said.push(
      `Set the drone to ${drone.speed}${drone.enough ? '' : ', and even that is not enough'}: full stick is ` +
        `${trim(drone.limits.speedMps, 1)} m/s, ${trim(drone.limits.turnDegps, 0)}°/s.`,
    );
    said.push(
      drone.courseDeg !== null
        ? `Hold the course at ${Math.round(drone.courseDeg)}°: the sticks then stay where they are while the camera turns.`
        : 'No course to hold: forward is where the camera looks.',
    );
    if (Math.abs(filmed.rollDeg.reduce((most, v) => Math.max(most, Math.abs(v)), 0)) > 0.5)
      said.push('A drone’s camera does not roll by a stick: that is set beforehand or done in the cut.');
  } else {
    const held = ON_FOOT.has(rig.kind) || rig.kind === 'drone';
    if (rig.kind === 'gimbal') {
      head = headStick(film, practice);
      const mode = shot.aim.mode;
      const byStick = mode === 'locked' || shot.then.some(({ look }) => look.mode === 'locked');
      scene.timeline.forEach(({ leg, fromS }, k) => {
        const own = leg.look.mode ?? mode;
        const before = k === 0 ? mode : (scene.timeline[k - 1].leg.look.mode ?? mode);
        if (own !== before) said.push(`At ${trim(fromS, 1)} s: it ${optionWords(AimSchema.shape.mode, own)}.`);
      });
      said.unshift(`The gimbal ${optionWords(AimSchema.shape.mode, mode)}.`);
      if (head && (byStick || mode === 'subject')) {
        add(
          'pan',
          'Joystick, pan',
          'right thumb',
          head.pan.slice(0, count),
          'full stick',
          practice.deadBandShare + 0.01,
        );
        add(
          'tilt',
          'Joystick, tilt',
          'right thumb',
          head.tilt.slice(0, count),
          'full stick',
          practice.deadBandShare + 0.01,
        );
        said.push(
          head.enough
            ? `Where the joystick turns it: speed ${Math.round(head.speedSetting)}, smoothing ` +
                `${Math.round(head.smoothSetting)} on your scale; the fastest turn is ${trim(head.mostDegps, 1)}°/s.`
            : `The joystick is too slow even at 100: ${trim(head.mostDegps, 1)}°/s are asked, and it turns ` +
                `${trim(head.settings.fullDegps, 1)}°/s.`,
        );
      } else if (head) turning('Handle turned with the body', 'both hands', 'panDeg');
    } else {
      const hand: Track['hand'] = held ? 'both hands' : 'right hand';
      turning(held ? 'Turned with the body' : 'Pan handle', hand, 'panDeg');
      turning(held ? 'Tipped with the wrists' : 'Pan handle, tilt', hand, 'tiltDeg');
    }
    turning('Rolled', held ? 'both hands' : 'right hand', 'rollDeg');
    const along = effort(column(wayAlong(film)), rateHz);
    if (along.most > 0.01 && !held) {
      const motor = rig.kind === 'vehicle' || rig.kind === 'turntable';
      const name =
        rig.kind === 'slider'
          ? 'Carriage'
          : rig.kind === 'jib' || rig.kind === 'tableTopArm'
            ? 'Arm'
            : rig.kind === 'wheels'
              ? 'Pushed'
              : 'Moved';
      add(
        'along',
        name,
        motor ? 'motor' : rig.kind === 'jib' ? 'both hands' : 'left hand',
        along.rows,
        `${trim(along.most, 2)} m/s`,
      );
    }
    if (held) {
      const falls = footFalls(filmed);
      if (falls.length > 0) {
        const feet = new Float64Array(count);
        for (const { atS, foot } of falls) {
          const at = Math.min(count - 1, Math.round(atS * rateHz));
          for (let i = at; i < Math.min(count, at + 8); i += 1) feet[i] = foot === 'left' ? -1 : 1;
        }
        add('feet', `Feet, ${sayCount(falls.length, 'step')}`, 'feet', feet, 'a step');
      }
      const heights = column(planAt(filmed, 'zM'));
      const { rows, most } = effort(heights, rateHz);
      const spread =
        heights.reduce((a, v) => Math.max(a, v), -Infinity) - heights.reduce((a, v) => Math.min(a, v), Infinity);
      if (spread > 0.1)
        add('knees', `Knees and arms, ${sayLength(spread, units)} in height`, 'knees', rows, `${trim(most, 2)} m/s`);
    }
  }
  const rings = effort(
    column((tS) => ringAtDeg(lens, Math.max(0.02, planAt(filmed, 'focusDistanceM')(tS)))),
    rateHz,
  );
  if (rings.most > 1 && shot.puller === 'hand')
    add('focus', 'Focus ring', 'left hand', rings.rows, `${trim(rings.most, 0)}°/s`, Math.max(STIRS, 1 / rings.most));
  else if (rings.most > 1 && shot.puller === 'motor')
    add(
      'focus',
      'Focus wheel, by radio',
      'right hand',
      rings.rows,
      `${trim(rings.most, 0)}°/s`,
      Math.max(STIRS, 1 / rings.most),
    );
  const zoom = effort(column(planAt(filmed, 'focalLengthMm')), rateHz);
  const cropped = filmed.crop.some((crop) => crop > 1.001);
  if (zoom.most > 0.5 && !cropped) add('zoom', 'Zoom ring', 'right hand', zoom.rows, `${trim(zoom.most, 1)} mm/s`);
  return { rateHz, tracks, said, drone, head };
}

/** Metres gone along the way at a moment. */
function wayAlong({ filmed }: Film): (tS: number) => number {
  const { count, xM, yM, zM } = filmed;
  const gone = new Float64Array(count);
  for (let row = 1; row < count; row += 1)
    gone[row] = gone[row - 1] + Math.hypot(xM[row] - xM[row - 1], yM[row] - yM[row - 1], zM[row] - zM[row - 1]);
  return planAt({ ...filmed, xM: gone }, 'xM');
}

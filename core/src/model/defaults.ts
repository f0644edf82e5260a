import { USUAL_BENCH } from './bench';
import { USUAL_DAY } from './day';
import { DEFAULT_BUILDS, DEFAULT_PARTS } from './default-builds';
import { DEFAULT_GAITS, USUAL_GAIT } from './default-gaits';
import { DEFAULT_RIGS } from './default-rigs';
import type { Kit } from './kit';
import { NO_LOG } from './log';
import { USUAL_PRACTICE } from './practice';
import { PLAIN_LOOK, USUAL_SET_UP, WHOLE, type Aim, type Shot } from './shot';
import { SHOOT_FORMAT, SHOOT_VERSION, type Shoot } from './shoot';
import { NO_STORY, UNTOLD } from './story';

/**
 * A raw picture of about 20 megapixels and the pictures that a battery of such a camera takes: common practice, no
 * published source.
 */
export const USUAL_STILLS = { steadyShare: 1, stillMB: 25, stillsPerBattery: 700 };

/** The made-up kit: an own shoot starts with a little of it (`starter-kit.ts`). Names and figures are invented. */
export const DEFAULT_KIT: Kit = {
  cameras: [
    {
      id: 'cam-heron',
      name: 'Heron full frame',
      sensorWidthMm: 36,
      sensorHeightMm: 24,
      pictureWidthPx: 6000,
      pictureHeightPx: 3376,
      frameRatesHz: [24, 25, 30, 50, 60, 120],
      picturesFrom: [],
      readOutMs: 20,
      dataRateMbps: 200,
      bufferAboveHz: 120,
      bufferS: 600,
      ...USUAL_STILLS,
    },
    {
      id: 'cam-wren',
      name: 'Wren crop',
      sensorWidthMm: 23.5,
      sensorHeightMm: 15.6,
      pictureWidthPx: 3840,
      pictureHeightPx: 2160,
      frameRatesHz: [24, 25, 30, 50, 60],
      picturesFrom: [],
      readOutMs: 26,
      dataRateMbps: 100,
      bufferAboveHz: 60,
      bufferS: 600,
      ...USUAL_STILLS,
    },
    {
      id: 'cam-swift',
      name: 'Swift flying camera',
      sensorWidthMm: 17.3,
      sensorHeightMm: 13,
      pictureWidthPx: 5120,
      pictureHeightPx: 2700,
      frameRatesHz: [24, 25, 30, 50, 60],
      picturesFrom: [],
      readOutMs: 22,
      dataRateMbps: 150,
      bufferAboveHz: 60,
      bufferS: 600,
      ...USUAL_STILLS,
    },
  ],
  lenses: [
    {
      id: 'lens-fern-1635',
      name: 'Fern 16–35',
      focalLengthMinMm: 16,
      focalLengthMaxMm: 35,
      closestFocusM: 0.28,
      fNumberMin: 2.8,
      ringDeg: 90,
      breathingShare: 0,
      steadyShare: 1,
    },
    {
      id: 'lens-fern-2470',
      name: 'Fern 24–70',
      focalLengthMinMm: 24,
      focalLengthMaxMm: 70,
      closestFocusM: 0.38,
      fNumberMin: 2.8,
      ringDeg: 120,
      breathingShare: 0,
      steadyShare: 1,
    },
    {
      id: 'lens-moss-35',
      name: 'Moss 35',
      focalLengthMinMm: 35,
      focalLengthMaxMm: 35,
      closestFocusM: 0.3,
      fNumberMin: 1.8,
      ringDeg: 180,
      breathingShare: 0,
      steadyShare: 1,
    },
    {
      id: 'lens-moss-85',
      name: 'Moss 85',
      focalLengthMinMm: 85,
      focalLengthMaxMm: 85,
      closestFocusM: 0.8,
      fNumberMin: 1.8,
      ringDeg: 200,
      breathingShare: 0,
      steadyShare: 1,
    },
    {
      id: 'lens-fern-70200',
      name: 'Fern 70–200',
      focalLengthMinMm: 70,
      focalLengthMaxMm: 200,
      closestFocusM: 1.1,
      fNumberMin: 2.8,
      ringDeg: 150,
      breathingShare: 0,
      steadyShare: 1,
    },
    {
      id: 'lens-swift-12',
      name: 'Swift built-in 12',
      focalLengthMinMm: 12,
      focalLengthMaxMm: 12,
      closestFocusM: 1,
      fNumberMin: 2.8,
      ringDeg: 90,
      breathingShare: 0,
      steadyShare: 1,
    },
  ],
  rigs: DEFAULT_RIGS,
  gaits: DEFAULT_GAITS,
  filters: [
    { id: 'filter-nd2', name: 'Mist ND 2', kind: 'nd', stopsMin: 1, stopsMax: 1 },
    { id: 'filter-nd4', name: 'Mist ND 4', kind: 'nd', stopsMin: 2, stopsMax: 2 },
    { id: 'filter-nd8', name: 'Mist ND 8', kind: 'nd', stopsMin: 3, stopsMax: 3 },
    { id: 'filter-nd64', name: 'Mist ND 64', kind: 'nd', stopsMin: 6, stopsMax: 6 },
    { id: 'filter-vnd', name: 'Dusk variable ND', kind: 'variableNd', stopsMin: 2, stopsMax: 5 },
    { id: 'filter-pol', name: 'Dew polariser', kind: 'polariser', stopsMin: 1.5, stopsMax: 1.5 },
  ],
  parts: DEFAULT_PARTS,
  builds: DEFAULT_BUILDS,
};

/** The subject is kept in the middle. Smoothing, dead band and speed limit are common practice, no published source. */
export const DEFAULT_AIM: Aim = {
  mode: 'subject',
  place: { u: 0, v: 0 },
  smoothingS: 0,
  deadBandDeg: 0,
  rateMaxDegps: 360,
};

/** A first shot: a calm slide past the subject (or past the middle of the site when there is none). */
export function newShot(kit: Kit, id: string, name: string, subjectId: string | null): Shot {
  const lens = kit.lenses.find((row) => row.focalLengthMinMm <= 35 && row.focalLengthMaxMm >= 35) ?? kit.lenses[0];
  const rig = kit.rigs.find((row) => row.kind === 'gimbal') ?? kit.rigs[0];
  return {
    id,
    name,
    note: '',
    ...UNTOLD,
    subjectId,
    subjectPart: WHOLE,
    staging: [],
    walks: [],
    cameraId: kit.cameras[0].id,
    lensId: lens.id,
    rigId: rig.id,
    gaitId: kit.gaits.find((row) => row.id === USUAL_GAIT[rig.kind])?.id ?? kit.gaits[0].id,
    bodySeed: 1,
    stick: 'normal',
    focalLengthMm: Math.min(Math.max(35, lens.focalLengthMinMm), lens.focalLengthMaxMm),
    captureRateHz: kit.cameras[0].frameRatesHz[0],
    frameRateHz: kit.cameras[0].frameRatesHz[0],
    shutterDeg: 180,
    move: {
      kind: 'slide',
      pivotEastM: 0,
      pivotNorthM: 0,
      heightM: 1.2,
      distanceM: 5,
      bearingDeg: 180,
      travelM: 2,
      skewDeg: 0,
    },
    timing: {
      durationS: 8,
      holdStartS: 0.5,
      featherInS: 1.5,
      featherOutS: 1.5,
      holdEndS: 0.5,
      featherShape: 'minimumJerk',
    },
    backwards: false,
    goes: 'stays',
    look: PLAIN_LOOK,
    then: [],
    aim: { ...DEFAULT_AIM },
    fNumber: 5.6,
    focus: { mode: 'follow' },
    puller: 'autofocus',
    light: { ev100: 15, iso: 100, at: null },
    filterIds: [],
    playback: { reversed: false, ramp: [] },
    after: { stabilisingPercent: 0, barsPercent: 0 },
    setUp: USUAL_SET_UP,
    bench: USUAL_BENCH,
    variant: 'A',
    other: null,
  };
}

/** A new shoot: empty ground, a kit, one shot waiting for a subject. */
export function newShoot(id: string, name: string, shotId: string, kit: Kit = DEFAULT_KIT): Shoot {
  return {
    format: SHOOT_FORMAT,
    version: SHOOT_VERSION,
    id,
    name,
    note: '',
    delivery: { widthPx: 3840, heightPx: 2160, alsoShape: 'none' },
    site: { pieces: [], place: null, underlays: [] },
    kit,
    shots: [newShot(kit, shotId, 'First shot', null)],
    story: NO_STORY,
    day: USUAL_DAY,
    practice: USUAL_PRACTICE,
    log: NO_LOG,
    limits: {},
  };
}

import { USUAL_GAIT } from '../../model/default-rigs';
import { motionOf } from '../../motion/legs';
import { filmShot, pathLengthM } from '../../motion/sample';
import { heightsM } from '../../findings/rig/heights';
import { groundHeightM, groundPieces } from '../../site/ground';
import { envelopeOf, reaches } from '../../findings/rig/reach';
import { RIDES } from '../../findings/rig/riding';
import { vehicleCouldGo } from '../../findings/rig/vehicle-way';
import type { Kit } from '../../model/kit';
import type { Scene } from '../../scene/scene';
import type { Piece } from '../../model/piece';
import { shotDurationS, STICK_SPEEDS, type Shot } from '../../model/shot';
import { sayLength, trim, type Units } from '../../model/units';
import { settable } from '../../motion/moves/recipe';
import { recipeOf } from '../../motion/moves';
import { mirrored, raised } from '../../motion/moves/transform';

/** One way to change a shot, gentlest first. Each rung is a whole shot and the instruction that leads to it. */
export type Adjustment = Rung[];

export interface Rung {
  shot: Shot;
  /** The site's pieces, when one of them is to be moved. */
  pieces?: Piece[];
  /** What to do, as a sentence without its end: `Lower the camera to 0.6 m`. */
  instruction: string;
}

/** A drone is only offered where hands and stands do not reach: common practice, no published source. */
const HAND_REACH_M = 2.4;
const LONGER = [1.15, 1.3, 1.5, 1.75, 2, 2.5, 3, 4];

/** Height of the lens where the move begins, above the subject's base. */
const heightOf = ({ move }: Shot): number => recipeOf(move).stand(move).heightM;

/** A duration as a person would set it: to half a second. */
const halfSeconds = (s: number) => Math.min(600, Math.ceil(s * 2 - 1e-9) / 2);

export function longer({ shot }: Scene): Adjustment {
  return LONGER.map((times) => {
    const { timing } = shot;
    const feather = (s: number) => Math.round(s * times * 10) / 10;
    const featherInS = feather(timing.featherInS);
    const featherOutS = feather(timing.featherOutS);
    const durationS = halfSeconds(
      Math.max(timing.durationS * times, timing.holdStartS + timing.holdEndS + featherInS + featherOutS),
    );
    return {
      shot: { ...shot, timing: { ...timing, durationS, featherInS, featherOutS } },
      instruction: `Take ${trim(durationS, 1)} s for it`,
    };
  });
}

export function softer({ shot }: Scene, end: 'featherInS' | 'featherOutS'): Adjustment {
  const { timing } = shot;
  return [0.5, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8]
    .filter((s) => s > timing[end])
    .map((s) => {
      const other = end === 'featherInS' ? timing.featherOutS : timing.featherInS;
      const durationS = halfSeconds(Math.max(timing.durationS, timing.holdStartS + timing.holdEndS + other + s));
      const grows = durationS > timing.durationS ? ` and take ${trim(durationS, 1)} s for it` : '';
      return {
        shot: { ...shot, timing: { ...timing, durationS, featherShape: 'minimumJerk' as const, [end]: s } },
        instruction: `Feather the ${end === 'featherInS' ? 'start' : 'stop'} over ${trim(s, 1)} s${grows}`,
      };
    });
}

export function fasterFrames({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter((hz) => hz > shot.frameRateHz)
    .sort((a, b) => a - b)
    .map((frameRateHz) => ({
      shot: { ...shot, frameRateHz, captureRateHz: Math.max(frameRateHz, shot.captureRateHz) },
      instruction: `Film and show ${frameRateHz} frames a second`,
    }));
}

/** Recording more frames than are shown: everything takes longer on screen. */
export function slowMotion({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter((hz) => hz > shot.captureRateHz && hz <= shot.frameRateHz * 5)
    .sort((a, b) => a - b)
    .map((captureRateHz) => ({
      shot: { ...shot, captureRateHz },
      instruction: `Film ${captureRateHz} frames a second for slow motion`,
    }));
}

/** Fewer frames recorded: less slow, and within what the camera can keep. */
export function fewerFrames({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter((hz) => hz < shot.captureRateHz && hz >= shot.frameRateHz)
    .sort((a, b) => b - a)
    .map((captureRateHz) => ({
      shot: { ...shot, captureRateHz },
      instruction: `Film ${captureRateHz} frames a second`,
    }));
}

/** Played no slower than the recorded frames last for. */
export function noSlower({ shot }: Scene): Adjustment {
  const { playback } = shot;
  const least = shot.frameRateHz / shot.captureRateHz;
  if (playback.ramp.every(({ speed }) => speed >= least)) return [];
  const ramp = playback.ramp.map((point) => ({ ...point, speed: Math.max(least, point.speed) }));
  return [
    {
      shot: { ...shot, playback: { ...playback, ramp } },
      instruction: `Play it no slower than ${trim(least, 2)} times life`,
    },
  ];
}

/** A shorter action. */
export function shorter({ shot }: Scene): Adjustment {
  return [0.85, 0.7, 0.5, 0.35, 0.25].map((share) => {
    const { timing } = shot;
    const featherInS = Math.round(timing.featherInS * share * 10) / 10;
    const featherOutS = Math.round(timing.featherOutS * share * 10) / 10;
    const durationS = halfSeconds(
      Math.max(timing.durationS * share, timing.holdStartS + timing.holdEndS + featherInS + featherOutS),
    );
    return {
      shot: { ...shot, timing: { ...timing, durationS, featherInS, featherOutS } },
      instruction: `Take ${trim(durationS, 1)} s for it`,
    };
  });
}

/** A gentler way to go over the ground; riding only where something to ride could go. */
export function gentlerGait(scene: Scene, gaits: Scene['gait'][]): Adjustment {
  const { shot, gait } = scene;
  return gaits
    .filter((row) => row.bobMm < gait.bobMm && row.usualMps > 0 && row.id !== RIDES.wheels)
    .filter((row) => row.id !== RIDES.vehicle || vehicleCouldGo(scene))
    .sort((a, b) => b.bobMm - a.bobMm)
    .map((row) => ({ shot: { ...shot, gaitId: row.id }, instruction: `Go with ${row.name}` }));
}

/** Walking, for a camera that is held with the feet planted. */
export function walkIt({ shot, rig, gait }: Scene, gaits: Scene['gait'][]): Adjustment {
  if (envelopeOf(rig, gait).shape !== 'about') return [];
  return gaits
    .filter(({ id }) => id === 'gait-knees' || id === 'gait-walk')
    .map((row) => ({ shot: { ...shot, gaitId: row.id }, instruction: `Go with ${row.name}` }));
}

/** A slower or faster stick. */
export function stick({ shot }: Scene): Adjustment {
  return STICK_SPEEDS.slice(STICK_SPEEDS.indexOf(shot.stick) + 1).map((speed) => ({
    shot: { ...shot, stick: speed },
    instruction: `Fly or steer at ${speed} stick speed`,
  }));
}

export function shutter({ shot }: Scene, anglesDeg: number[]): Adjustment {
  return anglesDeg.map((shutterDeg) => ({
    shot: { ...shot, shutterDeg },
    instruction: `Set the shutter to ${shutterDeg}°`,
  }));
}

export function lower(scene: Scene, units: Units): Adjustment {
  const groundM = groundUnder(scene);
  return [0.9, 0.6, 0.4, 0.3, 0.2]
    .filter((aboveM) => aboveM + groundM < heightOf(scene.shot) - 0.05)
    .map((aboveM) => toHeight(scene, aboveM + groundM, groundM, units));
}

export const atHeight = (scene: Scene, byM: number, units: Units): Adjustment => [
  toHeight(scene, settable(heightOf(scene.shot) + byM), groundUnder(scene), units),
];

/** How far the ground under the camera, where the move begins, lies above the subject's base, m. */
function groundUnder(scene: Scene): number {
  const ground = groundPieces(scene.pieces);
  if (ground.length === 0) return 0;
  const motion = motionOf(scene);
  const place = new Float64Array(3);
  motion.placeAt(motion.startS, place);
  const aboveM = groundHeightM(ground, place[0], place[1]) - motion.pivot.zM;
  return Math.abs(aboveM) < SAME_GROUND_M ? 0 : aboveM;
}

const SAME_GROUND_M = 0.02;

/**
 * The camera at a height above its subject's base, said above the ground under it; where the two differ, both are said.
 */
function toHeight({ shot, subject }: Scene, heightM: number, groundM: number, units: Units): Rung {
  const verb = heightM < heightOf(shot) ? 'Lower' : 'Raise';
  const height = sayLength(heightM, units);
  const feet = subject?.kind === 'figure' ? `${subject.name}’s feet` : `the foot of ${subject?.name ?? 'the pivot'}`;
  const said =
    groundM === 0 ? height : `${sayLength(heightM - groundM, units)} above the ground, ${height} above ${feet}`;
  return {
    shot: { ...shot, move: raised(shot.move, heightM - heightOf(shot)) },
    instruction: `${verb} the camera to ${said}`,
  };
}

export function travel({ shot }: Scene, shares: number[], units: Units): Adjustment {
  const recipe = recipeOf(shot.move);
  return shares.map((share) => {
    const move = recipe.scaleTravel(shot.move, share);
    return { shot: { ...shot, move }, instruction: capital(recipe.travelWords(move, units)) };
  });
}

export function distance({ shot }: Scene, shares: number[], units: Units): Adjustment {
  const recipe = recipeOf(shot.move);
  return shares.map((share) => {
    const move = recipe.scaleDistance(shot.move, share);
    return { shot: { ...shot, move }, instruction: capital(recipe.distanceWords(move, units)) };
  });
}

/** Closer with a shorter lens, so that the subject keeps its size. */
export function sameFraming({ shot, lens }: Scene, shares: number[], units: Units): Adjustment {
  const recipe = recipeOf(shot.move);
  return shares
    .map((share) => ({ share, focalLengthMm: Math.round(shot.focalLengthMm * share) }))
    .filter(({ focalLengthMm }) => focalLengthMm >= lens.focalLengthMinMm && focalLengthMm <= lens.focalLengthMaxMm)
    .map(({ share, focalLengthMm }) => {
      const move = recipe.scaleDistance(shot.move, share);
      return {
        shot: { ...shot, move, focalLengthMm },
        instruction: `${capital(recipe.distanceWords(move, units))} with ${focalLengthMm} mm`,
      };
    });
}

export function wider({ shot, lens }: Scene): Adjustment {
  return [0.85, 0.7, 0.6, 0.5, 0.4, 0.3]
    .map((share) => Math.round(shot.focalLengthMm * share))
    .filter((mm) => mm >= lens.focalLengthMinMm)
    .map((focalLengthMm) => ({ shot: { ...shot, focalLengthMm }, instruction: `Go wider, to ${focalLengthMm} mm` }));
}

/**
 * Another rig that reaches the path, carried as its kind usually is, or walked where planted feet would not get it
 * there.
 */
export function otherRig(scene: Scene, { rigs, gaits }: Pick<Kit, 'rigs' | 'gaits'>): Adjustment {
  const { shot, rig, gait, limits } = scene;
  const samples = filmShot(scene, motionOf(scene));
  const heights = heightsM(scene, samples);
  const walk = gaits.filter(({ id }) => id === 'gait-knees');
  const travelM = pathLengthM(samples);
  return rigs
    .filter(
      (row) =>
        row.travelM >= travelM - 1e-6 && row.id !== rig.id && (row.kind !== 'drone' || heightOf(shot) > HAND_REACH_M),
    )
    .flatMap((row) => {
      const usual = row.kind === rig.kind ? [gait] : gaits.filter(({ id }) => id === USUAL_GAIT[row.kind]);
      const ways = envelopeOf(row, { usualMps: 0 }).shape === 'about' ? [...usual, ...walk] : [...usual, gait];
      const way = ways.find((one) => reaches(row, one, limits.straightnessM, samples, heights));
      return way
        ? [
            {
              shot: { ...shot, rigId: row.id, gaitId: way.id },
              instruction: `Take ${row.name}${way === usual[0] ? '' : ` and go with ${way.name}`}`,
            },
          ]
        : [];
    });
}

export function otherLens({ shot, lens }: Scene, lenses: Scene['lens'][]): Adjustment {
  return lenses
    .filter((row) => row.id !== lens.id)
    .map((row) => ({
      shot: {
        ...shot,
        lensId: row.id,
        focalLengthMm: Math.min(row.focalLengthMaxMm, Math.max(row.focalLengthMinMm, shot.focalLengthMm)),
        fNumber: Math.max(shot.fNumber, row.fNumberMin),
      },
      instruction: `Take ${row.name}`,
    }));
}

/** A camera that reads its sensor faster. */
export function otherCamera({ shot, camera }: Scene, cameras: Scene['camera'][]): Adjustment {
  return cameras
    .filter(
      (row) =>
        row.id !== camera.id && row.readOutMs < camera.readOutMs && row.frameRatesHz.includes(shot.captureRateHz),
    )
    .map((row) => ({ shot: { ...shot, cameraId: row.id }, instruction: `Take ${row.name}` }));
}

/** A camera that has the rate. */
export function anyCamera({ shot, camera }: Scene, cameras: Scene['camera'][]): Adjustment {
  return cameras
    .filter((row) => row.id !== camera.id && row.frameRatesHz.includes(shot.captureRateHz))
    .map((row) => ({ shot: { ...shot, cameraId: row.id }, instruction: `Take ${row.name}` }));
}

/** Shorter feathers in the same time: the move is at its pace sooner. */
export function quicker({ shot }: Scene): Adjustment {
  const { timing } = shot;
  return [0.7, 0.5, 0.35].map((share) => {
    const [inS, outS] = [timing.featherInS, timing.featherOutS].map((s) => Math.round(s * share * 10) / 10);
    return {
      shot: { ...shot, timing: { ...timing, featherInS: inS, featherOutS: outS } },
      instruction: `Feather over ${trim(inS, 1)} s at the start and ${trim(outS, 1)} s at the stop`,
    };
  });
}

export function insideLens({ shot, lens }: Scene): Adjustment {
  const focalLengthMm = Math.min(lens.focalLengthMaxMm, Math.max(lens.focalLengthMinMm, shot.focalLengthMm));
  return [{ shot: { ...shot, focalLengthMm }, instruction: `Set ${trim(focalLengthMm, 1)} mm` }];
}

/** Both feathers softer, in the same time. */
export function softerBoth({ shot }: Scene): Adjustment {
  const { timing } = shot;
  const freeS = timing.durationS - timing.holdStartS - timing.holdEndS;
  return [0.3, 0.4, 0.5]
    .map((share) => Math.floor(freeS * share * 10) / 10)
    .filter((s) => s > Math.min(timing.featherInS, timing.featherOutS))
    .map((s) => ({
      shot: { ...shot, timing: { ...timing, featherShape: 'minimumJerk' as const, featherInS: s, featherOutS: s } },
      instruction: `Feather start and stop over ${trim(s, 1)} s each`,
    }));
}

export function higher(scene: Scene, units: Units): Adjustment {
  const groundM = groundUnder(scene);
  const aboveM = Math.max(0.3, heightOf(scene.shot) - groundM);
  return [1.15, 1.3, 1.5, 2, 3].map((times) => toHeight(scene, settable(aboveM * times) + groundM, groundM, units));
}

/** The same move on the other side of the subject. */
export function otherWay({ shot }: Scene): Adjustment {
  return [{ shot: { ...shot, move: mirrored(shot.move) }, instruction: 'Go the other way' }];
}

/** About the subject itself, not a place beside it. */
export function centred({ shot }: Scene): Adjustment {
  return [
    {
      shot: { ...shot, move: { ...shot.move, pivotEastM: 0, pivotNorthM: 0 } },
      instruction: 'Put the centre on the subject',
    },
  ];
}

export function longerLens({ shot, lens }: Scene): Adjustment {
  return [1.1, 1.2, 1.35, 1.5]
    .map((times) => Math.round(shot.focalLengthMm * times))
    .filter((mm) => mm <= lens.focalLengthMaxMm)
    .map((focalLengthMm) => ({ shot: { ...shot, focalLengthMm }, instruction: `Go longer, to ${focalLengthMm} mm` }));
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Recorded at a whole multiple of what is shown. */
export function evenSteps({ shot, camera }: Scene): Adjustment {
  return camera.frameRatesHz
    .filter(
      (hz) => hz >= shot.frameRateHz && Math.abs(hz / shot.frameRateHz - Math.round(hz / shot.frameRateHz)) < 1e-3,
    )
    .sort((a, b) => Math.abs(a - shot.captureRateHz) - Math.abs(b - shot.captureRateHz))
    .map((captureRateHz) => ({
      shot: { ...shot, captureRateHz },
      instruction: `Film ${captureRateHz} frames a second`,
    }));
}

/** A ramp that changes over longer: its points drawn apart about their middle, as far as the action goes. */
export function gentlerRamp({ shot }: Scene): Adjustment {
  const { playback } = shot;
  if (playback.ramp.length < 2) return [];
  const middle = (playback.ramp[0].atS + playback.ramp[playback.ramp.length - 1].atS) / 2;
  const lengthS = shotDurationS(shot);
  return [1.3, 1.6, 2, 2.5, 3].flatMap((times) => {
    const ramp = playback.ramp.map((point) => ({
      ...point,
      atS: Math.round((middle + (point.atS - middle) * times) * 10) / 10,
    }));
    if (ramp[0].atS < 0 || ramp[ramp.length - 1].atS > lengthS) return [];
    return [
      {
        shot: { ...shot, playback: { ...playback, ramp } },
        instruction: `Adjustment the speed from ${trim(ramp[0].atS, 1)} s to ${trim(ramp[ramp.length - 1].atS, 1)} s of the action`,
      },
    ];
  });
}

/** The same move seen from elsewhere round its subject. */
export function fromElsewhere({ shot }: Scene): Adjustment {
  const { move } = shot;
  if (!('bearingDeg' in move)) return [];
  return [20, -20, 40, -40, 60, -60, 80, -80].map((byDeg) => {
    const bearingDeg = Math.round((((move.bearingDeg + byDeg) % 360) + 360) % 360);
    return { shot: { ...shot, move: { ...move, bearingDeg } }, instruction: `See it from bearing ${bearingDeg}°` };
  });
}

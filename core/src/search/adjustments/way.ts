import { capital, heightOf, type Adjustment, type Rung } from './adjustment';
import { motionOf, recipeOf, settable } from '../../motion';
import { groundHeightM, groundPieces } from '../../site';
import type { Scene } from '../../scene';
import { sayLength, type Units } from '../../model';
import { mirrored, raised } from '../../edit';

/** How high, how far, from where, and which way round. */
export function lower(scene: Scene, units: Units): Adjustment {
  const groundM = groundUnder(scene);
  return [0.9, 0.6, 0.4, 0.3, 0.2]
    .filter((aboveM) => aboveM + groundM < heightOf(scene.shot) - 0.05)
    .map((aboveM) => toHeight(scene, aboveM + groundM, groundM, units));
}

export function higher(scene: Scene, units: Units): Adjustment {
  const groundM = groundUnder(scene);
  const aboveM = Math.max(0.3, heightOf(scene.shot) - groundM);
  return [1.15, 1.3, 1.5, 2, 3].map((times) => toHeight(scene, settable(aboveM * times) + groundM, groundM, units));
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

/** The same move seen from elsewhere round its subject. */
export function fromElsewhere({ shot }: Scene): Adjustment {
  const { move } = shot;
  if (!('bearingDeg' in move)) return [];
  return [20, -20, 40, -40, 60, -60, 80, -80].map((byDeg) => {
    const bearingDeg = Math.round((((move.bearingDeg + byDeg) % 360) + 360) % 360);
    return { shot: { ...shot, move: { ...move, bearingDeg } }, instruction: `See it from bearing ${bearingDeg}°` };
  });
}

import { define, type FindingKinds } from '../definition';
import { gradeAbove, lasting, seconds, type FindingOf } from '../finding';
import { longestRun } from '../../motion';
import type { Picture } from '../../image';
import { figureShares, framedRows } from './framed';

const KINDS = {
  joints: {
    measures: 'time that the lower edge stays at a joint, s',
    limits: ['jointS'],
    about: 'subject',
    cures: ['standALittleOff', 'longerLens', 'wider', 'placeHigher', 'placeLower'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Height of joints as shares of stature (Drillis & Contini 1966, from memory). */
const JOINTS = [
  ['ankles', 0.04],
  ['knees', 0.285],
  ['hips', 0.53],
  ['neck', 0.85],
] as const;
const JOINT_BAND = 0.02;

/** For how long the lower edge stays at one joint. */
function findJoints(picture: Picture): Found[] {
  const { scene, samples, subject } = picture;
  const framed = framedRows(picture, figureShares(picture));
  if (!framed) return [];
  const { limits } = scene;
  let worst: { name: string; rows: number; row: number; stretches: number } | null = null;
  for (const [name, height] of JOINTS) {
    const run = longestRun(samples.count, (row) => {
      if (!framed(row) || !(subject.baseV[row] < -0.5)) return false;
      const cut = (-0.5 - subject.baseV[row]) / (subject.topV[row] - subject.baseV[row]);
      return Math.abs(cut - height) <= JOINT_BAND;
    });
    if (run && (worst === null || run.rows > worst.rows)) worst = { name, ...run };
  }
  if (!worst) return [];
  const value = worst.rows / samples.frameRateHz;
  const limit = limits.jointS;
  return [
    {
      id: 'joints',
      grade: gradeAbove(value, limit, Infinity),
      sentence:
        `The lower edge cuts ${scene.subject?.name} at the ${worst.name} for ` +
        `${lasting(value)}${value > limit ? `; up to ${seconds(limit)} it only passes` : ', in passing'}.`,
      reason: 'Between joints a cut looks chosen; through them the limb seems to end there.',
      screenS: samples.screenS[worst.row],
      value,
      limit,
      unit: 's',
      said: lasting(value),
      measure: 'time at a joint',
    },
  ];
}

export const joints = define(KINDS, findJoints);

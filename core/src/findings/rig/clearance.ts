import { define, type FindingKinds } from '../definition';
import type { FindingOf } from '../finding';
import { type Piece, PIECE_KINDS } from '../../model';
import { distanceToThingM, type Scene } from '../../scene';
import type { Intent, Samples } from '../../motion';
import { groundHeightM, groundPieces } from '../../site';
import { nearestOf } from './nearest';
import { rollsOn } from './riding';
import { graded, type Say } from './use';
import type { RigCase } from './rig-case';

const KINDS = {
  'rig.subject': {
    measures: 'clearance of the subject, m',
    limits: [],
    about: 'subject',
    cures: ['travelLess', 'standNearerOrFarther', 'otherWayRound', 'stepAside', 'otherRig'],
  },
  'rig.clear': {
    measures: 'clearance of the lens, m',
    limits: ['clearTightFactor'],
    about: 'frame',
    cures: ['travelLess', 'standNearerOrFarther', 'otherWayRound', 'stepAside', 'otherRig'],
  },
  'rig.circle': { measures: 'room about a full circle, m', limits: [], about: 'frame', cures: [] },
  'rig.way': {
    measures: 'clearance of whoever carries it, m',
    limits: [],
    about: 'frame',
    cures: ['travelLess', 'standNearerOrFarther', 'otherWayRound', 'stepAside', 'otherRig'],
  },
  'rig.armClear': {
    measures: 'clearance of the arm, m',
    limits: [],
    about: 'frame',
    cures: ['travelLess', 'standNearerOrFarther', 'otherWayRound', 'stepAside', 'otherRig'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Camera with its clear room, arm and carrier against pieces and people, and the ground under feet and wheels. */
function clearanceFindings(scene: Scene, intent: Intent, samples: Samples, heights: Float64Array, say: Say): Found[] {
  return [
    ...(intent.carried ? [] : throughSubject(scene, samples, say)),
    ...roomFindings(scene, intent, samples, heights, say),
  ];
}

/** The camera may come close to its subject, but not through it. */
function throughSubject({ subject, things }: Scene, samples: Samples, { length }: Say): Found[] {
  const who = things.find(({ piece }) => piece === subject);
  if (!subject || !who || isGround(subject, [subject])) return [];
  for (let row = 0; row < samples.count; row += 1) {
    const value = distanceToThingM(
      who,
      samples.tS[row],
      samples.xM[row],
      samples.yM[row],
      samples.zM[row],
      samples.zM[row],
    );
    if (value <= 0)
      return [
        graded(
          {
            id: 'rig.subject',
            measure: 'clearance',
            unit: 'm',
            say: length,
            value,
            limit: 0,
            screenS: samples.screenS[row],
            sentence: `The camera goes through ${subject.name}.`,
            reason: 'Drag the path beside it, or end it sooner.',
          },
          'cannot',
        ),
      ];
  }
  return [];
}

/** Pieces near enough to matter, each with where it stands at any moment. Ground is judged by height. */
function obstacles({ things, pieces, subject }: Scene, { carried }: Intent, samples: Samples, reachM: number) {
  const [x0, x1] = spanOf(samples.xM);
  const [y0, y1] = spanOf(samples.yM);
  return things
    .filter(({ piece }) => piece.id !== subject?.id && !isGround(piece, pieces))
    .filter(({ piece }) => !carried || (piece.on !== subject?.id && piece.id !== subject?.on))
    .filter(({ piece, walks }) => {
      if (walks) return true;
      const half = Math.hypot(piece.lengthM, piece.depthM) / 2 + reachM;
      return piece.xM + half > x0 && piece.xM - half < x1 && piece.yM + half > y0 && piece.yM - half < y1;
    });
}

const spanOf = (column: Float64Array): [number, number] => [
  column.reduce((a, b) => Math.min(a, b), Infinity),
  column.reduce((a, b) => Math.max(a, b), -Infinity),
];

/** What can be stood on is ground where it stands on the ground; where it floats it is a roof. */
function isGround(piece: Piece, pieces: readonly Piece[]): boolean {
  if (!PIECE_KINDS[piece.kind].ground) return false;
  const below = groundPieces(pieces.filter((row) => row.id !== piece.id && row.zM < piece.zM));
  return piece.zM <= groundHeightM(below, piece.xM, piece.yM) + 0.05;
}

/** From here on a sweep is once round. */
const ONCE_ROUND_DEG = 350;
/** About a full circle things are looked for this far off, m. */
const CIRCLE_LOOKED_AT_M = 5;

/** Whether the camera goes once round what its first move turns about. */
function goesRound({ count, xM, yM }: Samples, { pivot }: Intent): boolean {
  let [sweepDeg, before] = [0, NaN];
  for (let row = 0; row < count; row += 4) {
    if (Math.hypot(xM[row] - pivot.xM, yM[row] - pivot.yM) < 0.05) return false;
    const deg = (Math.atan2(xM[row] - pivot.xM, yM[row] - pivot.yM) * 180) / Math.PI;
    if (!Number.isNaN(before)) sweepDeg += deg - before - 360 * Math.round((deg - before) / 360);
    before = deg;
  }
  return Math.abs(sweepDeg) >= ONCE_ROUND_DEG;
}

function roomFindings(scene: Scene, intent: Intent, samples: Samples, heights: Float64Array, { length }: Say): Found[] {
  const { limits } = scene;
  const { rig } = scene;
  const around = obstacles(
    scene,
    intent,
    samples,
    Math.max(goesRound(samples, intent) ? CIRCLE_LOOKED_AT_M : 0, rig.clearM * limits.clearTightFactor + rig.armM),
  );
  const { camera, carrier, arm } = nearestOf(scene, intent, samples, heights, around);
  const findings: Found[] = [];
  const common = { measure: 'clearance', unit: 'm', say: length };
  if (camera && camera.distanceM < rig.clearM * limits.clearTightFactor) {
    const into = camera.distanceM <= 0;
    const sentence = into
      ? `The camera goes through ${camera.name}.`
      : `The lens passes ${camera.name} at ${length(camera.distanceM)}; ${rig.name} needs ` +
        `${length(rig.clearM)} about it.`;
    findings.push(
      graded(
        {
          ...common,
          id: 'rig.clear',
          value: camera.distanceM,
          limit: rig.clearM,
          screenS: samples.screenS[camera.row],
          sentence,
          reason:
            rig.kind === 'drone'
              ? 'The rotors reach farther than the lens.'
              : 'Cage, hands and head need room as well as the lens.',
        },
        camera.distanceM < rig.clearM ? 'cannot' : 'tight',
      ),
    );
  } else if (goesRound(samples, intent))
    findings.push(
      graded(
        {
          ...common,
          id: 'rig.circle',
          value: camera ? camera.distanceM : CIRCLE_LOOKED_AT_M,
          limit: rig.clearM,
          screenS: camera ? samples.screenS[camera.row] : 0,
          sentence:
            'The whole circle is free: ' +
            (camera
              ? `nearest to the lens is ${camera.name} at ${length(camera.distanceM)}.`
              : `nothing stands within ${length(CIRCLE_LOOKED_AT_M)} of it.`),
          reason:
            'Going all the way round needs a full clear circle, people and everything overhead included. What ' +
            'is not on the plan is not looked at.',
        },
        'fits',
      ),
    );
  if (carrier && carrier.distanceM <= 0 && !(camera && camera.distanceM <= 0)) {
    const verb = rollsOn(scene) ? 'would have to roll' : 'would have to walk';
    findings.push(
      graded(
        {
          ...common,
          id: 'rig.way',
          value: carrier.distanceM,
          limit: 0,
          screenS: samples.screenS[carrier.row],
          sentence: `Whoever carries ${rig.name} ${verb} through ${carrier.name}.`,
          reason: 'The lens passes over it, the legs do not. Go along it, or take a rig that reaches over.',
        },
        'cannot',
      ),
    );
  }
  if (arm && arm.distanceM < 0.05)
    findings.push(
      graded(
        {
          ...common,
          id: 'rig.armClear',
          value: arm.distanceM,
          limit: 0.05,
          screenS: samples.screenS[arm.row],
          sentence: `The arm of ${rig.name} ${arm.distanceM <= 0 ? 'goes through' : 'brushes'} ${arm.name}.`,
          reason: 'The whole arm sweeps, not the camera alone.',
        },
        'cannot',
      ),
    );
  return findings;
}

export const clearance = define(KINDS, ({ scene, intent, filmed, heights, say }: RigCase) =>
  clearanceFindings(scene, intent, filmed, heights, say),
);

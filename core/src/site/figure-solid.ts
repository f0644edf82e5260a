import { BODIES, type Figure } from '../model';
import type { MeshBuilder } from './mesh-builder';
import { ring, TONE, type Point } from './mesh-builder';
import { skeletonOf, standingSize, type Skeleton, type Step } from './skeleton';

/**
 * A person: legs, trunk, arms, hands and a head with a lighter face and a nose, so that which way it looks can be seen.
 * The box of the piece is filled from sole to crown.
 */
export function drawFigure(build: MeshBuilder, figure: Figure, step?: Step): void {
  const { heightM: tall } = standingSize(figure);
  const bones = skeletonOf(figure, step);
  const measures = BODIES[figure.body];
  for (const side of [0, 1] as const) limbs(build, bones, side, tall);
  trunk(build, bones, tall, measures.hipBreadth, measures.shoulderBreadth);
  head(build, bones, figure, tall, 1 - measures.chin);
}

function limbs(build: MeshBuilder, bones: Skeleton, side: 0 | 1, tall: number): void {
  const [hip, knee, ankle] = [bones.hips[side], bones.knees[side], bones.ankles[side]];
  const [shoulder, elbow, wrist] = [bones.shoulders[side], bones.elbows[side], bones.wrists[side]];
  build.tone = TONE.plain * 0.86;
  build.limb(hip, knee, tall * 0.052, tall * 0.036);
  build.limb(knee, ankle, tall * 0.036, tall * 0.024);
  build.tone = TONE.rubber;
  foot(build, ankle, tall, bones);
  build.tone = TONE.plain * 1.08;
  build.egg(shoulder, tall * 0.031, tall * 0.034, tall * 0.032, 7);
  build.limb(shoulder, elbow, tall * 0.03, tall * 0.024);
  build.limb(elbow, wrist, tall * 0.024, tall * 0.018);
  build.tone = TONE.face;
  build.egg(wrist, tall * 0.016, tall * 0.022, tall * 0.028, 6);
}

function foot(build: MeshBuilder, ankle: Point, tall: number, { forward, up }: Skeleton): void {
  const along = (share: number, high: number, aside: number): Point => [
    ankle[0] + aside * tall,
    ankle[1] + share * tall * forward[1] - high * tall * up[1],
    Math.max(0, ankle[2] + share * tall * forward[2] - high * tall * up[2]),
  ];
  // From heel to toe; its sole is on the ground where the ankle is at its height over it.
  const heel = along(-0.04, 0.016, 0);
  const toe = along(0.105, 0.024, 0);
  build.limb(heel, toe, Math.min(tall * 0.022, heel[2] || tall * 0.022), Math.min(tall * 0.015, toe[2] || 1), 6);
}

function trunk(build: MeshBuilder, bones: Skeleton, tall: number, hipBreadth: number, shoulderBreadth: number): void {
  const { pelvis, neck, up } = bones;
  build.tone = TONE.plain;
  const spine = (share: number): Point => [
    pelvis[0] + (neck[0] - pelvis[0]) * share,
    pelvis[1] + (neck[1] - pelvis[1]) * share,
    pelvis[2] + (neck[2] - pelvis[2]) * share,
  ];
  const rows: [number, number, number][] = [
    [-0.1, hipBreadth * 0.44, 0.058],
    [0.06, hipBreadth * 0.52, 0.064],
    [0.3, hipBreadth * 0.46, 0.054],
    [0.66, shoulderBreadth * 0.46, 0.066],
    [0.86, shoulderBreadth * 0.44, 0.05],
    [1.0, 0.034, 0.034],
  ];
  if (up[2] > 0.5)
    build.turned(
      rows.map(([share, across, along]) => {
        const [x, y, z] = spine(share);
        return { zM: z, acrossM: across * tall, alongM: along * tall, xM: x, yM: y };
      }),
      12,
    );
  else
    for (let i = 0; i + 1 < rows.length; i += 1)
      build.limb(spine(rows[i][0]), spine(rows[i + 1][0]), rows[i][2] * tall, rows[i + 1][2] * tall, 9);
  build.tone = TONE.face;
  build.limb(neck, bones.head, tall * 0.03, tall * 0.03);
}

/** The head stands about its middle and looks along `forward`. */
function head(
  build: MeshBuilder,
  { head: middle, forward }: Skeleton,
  { headwear, heightM, pose }: Figure,
  tall: number,
  headShare: number,
): void {
  const half = (headShare * tall) / 2;
  // Laid back, forward is up and the crown lies along: a turn about the axis across.
  const back = forward[2] > 0.5;
  build.place = (point) => (back ? [-point[0], middle[1] + point[2] - middle[2], middle[2] + point[1]] : point);
  const [x, y, z] = [middle[0], back ? 0 : middle[1], middle[2]];
  // Eggs and rings end where the crown is, whatever is on it.
  const crown = back ? z + half : Math.max(z + half * 0.8, pose === 'stand' ? heightM : z + half);
  build.tone = TONE.face;
  build.egg([x, y + half * 0.04, z - half * 0.02], half * 0.66, half * 0.78, half * 0.98, 10);
  const nose: Point = [x, y + half * 0.98, z - half * 0.12];
  build.limb([x, y + half * 0.6, z + half * 0.12], nose, half * 0.08, half * 0.14, 5);
  build.tone = TONE.rubber;
  for (const aside of [-1, 1])
    build.egg([x + aside * half * 0.26, y + half * 0.7, z + half * 0.1], half * 0.1, half * 0.1, half * 0.07, 6);
  const at = (rows: [number, number, number, number][], sides: number) =>
    build.turned(
      rows.map(([high, across, along, forwardBy]) => ({
        ...ring(high, across * half, along * half),
        xM: x,
        yM: y + forwardBy * half,
      })),
      sides,
    );
  const brow = z + half * 0.34;
  if (headwear === 'hat') {
    build.tone = TONE.plain * 1.12;
    at(
      [
        [brow, 2.2, 1.58, 0],
        [brow + half * 0.09, 2.1, 1.5, 0],
        [brow + half * 0.1, 0.8, 0.9, 0],
        [crown, 0.42, 0.5, 0],
      ],
      14,
    );
  } else if (headwear === 'helmet') {
    build.tone = TONE.bright;
    at(
      [
        [z, 0.78, 0.86, -0.14],
        [z + half * 0.5, 0.82, 0.98, -0.06],
        [crown - half * 0.12, 0.56, 0.66, -0.06],
        [crown, 0.16, 0.2, -0.06],
      ],
      12,
    );
  } else {
    build.tone = headwear === 'cap' ? TONE.plain : TONE.rubber;
    // Hair comes down behind and leaves the face free.
    if (headwear === 'bare')
      at(
        [
          [z - half * 0.5, 0.6, 0.5, -0.34],
          [z + half * 0.3, 0.74, 0.62, -0.28],
        ],
        10,
      );
    at(
      [
        [brow, 0.72, 0.84, 0],
        [brow + (crown - brow) * 0.6, 0.62, 0.74, -0.04],
        [crown, 0.2, 0.24, -0.04],
      ],
      12,
    );
    if (headwear === 'cap')
      at(
        [
          [brow, 0.58, 0.7, 0.75],
          [brow + half * 0.08, 0.54, 0.66, 0.75],
        ],
        10,
      );
  }
  build.place = (point) => point;
}

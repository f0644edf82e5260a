import type { MeshBuilder } from './mesh-builder';
import { ring, TONE } from './mesh-builder';
import type { Box } from './vehicle-solids';

/** Products and furniture, at whatever size they are. */

type Draw = (build: MeshBuilder, box: Box) => void;

const bottle: Draw = (build, { x, y, h }) => {
  const turned = (rows: [number, number][]) =>
    build.turned(
      rows.map(([high, wide]) => ring(high * h, wide * x, wide * y)),
      14,
    );
  build.tone = TONE.glass;
  turned([
    [0, 0.96],
    [0.02, 1],
    [0.6, 1],
    [0.72, 0.7],
    [0.78, 0.36],
    [0.95, 0.34],
  ]);
  build.tone = TONE.bright;
  turned([
    [0.94, 0.38],
    [1, 0.38],
  ]);
  label(build, { x, y, h, turned: 0 }, 0.2, 0.5);
};

/** What is printed stands in front: on the side that looks along the heading. */
function label(build: MeshBuilder, { x, y, h }: Box, from: number, to: number): void {
  build.tone = TONE.face;
  const half = x * 0.7;
  const out = Math.sqrt(1 - 0.49) * y;
  build.prism(
    [
      [out * 0.9, from * h],
      [y * 1.004, from * h],
      [y * 1.004, to * h],
      [out * 0.9, to * h],
    ],
    -half * 0.5,
    half * 0.5,
  );
}

const tin: Draw = (build, { x, y, h }) => {
  build.turned([ring(0, x, y), ring(h * 0.78, x, y)], 16);
  build.tone = TONE.iron;
  build.turned([ring(h * 0.76, x * 0.97, y * 0.97), ring(h * 0.97, x * 0.97, y * 0.97), ring(h, x * 0.9, y * 0.9)], 16);
  label(build, { x, y, h, turned: 0 }, 0.14, 0.64);
};

const watch: Draw = (build, { x, y, h }) => {
  build.tone = TONE.iron;
  build.turned([ring(0, x * 0.8, y * 0.8), ring(h * 0.7, x * 0.86, y * 0.86)], 18);
  build.tone = TONE.bright;
  build.turned([ring(h * 0.7, x * 0.78, y * 0.78), ring(h * 0.8, x * 0.76, y * 0.76)], 18);
  build.tone = TONE.rubber;
  build.box(-x * 0.04, x * 0.04, 0, y * 0.62, h * 0.8, h);
  build.box(0, x * 0.46, -y * 0.04, y * 0.04, h * 0.8, h * 0.94);
  for (const side of [-1, 1])
    build.box(-x * 0.5, x * 0.5, Math.min(side * y * 0.8, side * y), Math.max(side * y * 0.8, side * y), 0, h * 0.5);
};

const turntable: Draw = (build, { x, y, h }) => {
  build.tone = TONE.iron;
  build.turned([ring(0, x * 0.6, y * 0.6), ring(h * 0.6, x * 0.55, y * 0.55)], 16);
  build.tone = TONE.plain;
  build.turned([ring(h * 0.6, x, y), ring(h, x, y)], 22);
  // One mark near the edge shows that it turns.
  build.tone = TONE.rubber;
  build.box(-x * 0.05, x * 0.05, y * 0.7, y * 0.95, h * 0.9, h * 1);
};

const table: Draw = (build, { x, y, h }) => {
  const [leg, top] = [Math.min(x, y) * 0.09, Math.max(h * 0.95, h - 0.04)];
  build.box(-x, x, -y, y, top, h);
  build.tone = TONE.iron;
  for (const a of [-1, 1])
    for (const b of [-1, 1])
      build.box(a * x * 0.9 - leg, a * x * 0.9 + leg, b * y * 0.93 - leg, b * y * 0.93 + leg, 0, top);
};

/** The back is behind: who sits looks along the heading. */
const chair: Draw = (build, { x, y, h }) => {
  const [leg, seat] = [Math.min(x, y) * 0.08, h * 0.5];
  build.box(-x, x, -y, y, seat - h * 0.05, seat);
  build.box(-x, x, -y, -y * 0.84, seat, h);
  build.tone = TONE.iron;
  for (const a of [-1, 1])
    for (const b of [-1, 1])
      build.box(a * x * 0.88 - leg, a * x * 0.88 + leg, b * y * 0.88 - leg, b * y * 0.88 + leg, 0, seat - h * 0.05);
};

const plinth: Draw = (build, { x, y, h }) => build.box(-x, x, -y, y, 0, h);

/** A bare bulb's size of light on a stand with three feet. */
const lamp: Draw = (build, { x, y, h }) => {
  build.tone = TONE.iron;
  const thin = Math.min(x, y) * 0.12;
  for (const turn of [0, 1, 2]) {
    const angle = (turn * 2 * Math.PI) / 3;
    build.limb([0, 0, h * 0.2], [x * Math.sin(angle), y * Math.cos(angle), 0], thin, thin, 5);
  }
  build.limb([0, 0, h * 0.12], [0, 0, h * 0.88], thin, thin, 6);
  build.tone = TONE.bright;
  build.egg([0, 0, h * 0.93], x * 0.8, y * 0.8, h * 0.07, 12);
};

export const PRODUCT_SOLIDS = { lamp, bottle, tin, watch, turntable, table, chair, plinth } as const;

import type { PieceKind } from '../model';
import type { MeshBuilder } from './mesh-builder';
import { TONE, type Point } from './mesh-builder';

/** Half the width, half the length and the height that a thing fills; and how far its wheels have turned, turns. */
export interface Box {
  x: number;
  y: number;
  h: number;
  turned: number;
}

/** Radius of a vehicle's wheels as a share of its height: what its turning is worked out by. */
export const WHEEL_SHARE: Partial<Record<PieceKind, number>> = {
  car: 0.21,
  lorry: 0.17,
  motorbike: 0.28,
  bicycle: 0.325,
  scooter: 0.09,
  board: 0.3,
};

type Draw = (build: MeshBuilder, box: Box) => void;

const car: Draw = (build, { x, y, h, turned }) => {
  const r = h * 0.21;
  // Bonnet in front, boot behind: the long low end is where it goes.
  build.prism(
    [
      [-y, h * 0.2],
      [y * 0.96, h * 0.2],
      [y, h * 0.34],
      [y * 0.96, h * 0.5],
      [y * 0.45, h * 0.6],
      [-y, h * 0.62],
    ],
    -x * 0.94,
    x * 0.94,
  );
  build.tone = TONE.glass;
  build.prism(
    [
      [-y * 0.86, h * 0.61],
      [y * 0.42, h * 0.59],
      [y * 0.06, h * 0.94],
      [-y * 0.62, h * 0.94],
    ],
    -x * 0.8,
    x * 0.8,
  );
  build.tone = TONE.plain;
  build.box(-x * 0.82, x * 0.82, -y * 0.64, y * 0.08, h * 0.93, h);
  build.tone = TONE.bright;
  for (const side of [-1, 1])
    build.box(
      Math.min(side * x * 0.5, side * x * 0.86),
      Math.max(side * x * 0.5, side * x * 0.86),
      y * 0.93,
      y,
      h * 0.36,
      h * 0.46,
    );
  for (const side of [-1, 1])
    for (const along of [0.62, -0.6]) build.wheel([side * x * 0.88, y * along, r], r, x * 0.24, turned);
};

const lorry: Draw = (build, { x, y, h, turned }) => {
  const r = h * 0.17;
  build.tone = TONE.iron;
  build.box(-x * 0.5, x * 0.5, -y * 0.98, y * 0.9, h * 0.2, h * 0.28);
  build.tone = TONE.plain;
  build.prism(
    [
      [y * 0.52, h * 0.14],
      [y, h * 0.14],
      [y, h * 0.46],
      [y * 0.93, h * 0.74],
      [y * 0.52, h * 0.74],
    ],
    -x * 0.94,
    x * 0.94,
  );
  build.tone = TONE.glass;
  build.prism(
    [
      [y * 0.962, h * 0.64],
      [y * 0.97, h * 0.47],
      [y * 1, h * 0.47],
      [y * 0.965, h * 0.7],
    ].reverse() as [number, number][],
    -x * 0.82,
    x * 0.82,
  );
  build.tone = TONE.plain * 1.16;
  build.box(-x, x, -y, y * 0.46, h * 0.28, h);
  build.tone = TONE.bright;
  for (const side of [-0.6, 0.6]) build.box(side * x - x * 0.14, side * x + x * 0.14, y * 0.97, y, h * 0.22, h * 0.28);
  for (const side of [-1, 1])
    for (const along of [0.74, -0.4, -0.7]) build.wheel([side * x * 0.86, y * along, r], r, x * 0.26, turned);
};

/** Two wheels in line, what holds them, and a bar across in front. */
function frame(build: MeshBuilder, { x, y, h, turned }: Box, r: number, thick: number, widthM: number): void {
  build.wheel([0, y - r, r], r, widthM, turned, true);
  build.wheel([0, r - y, r], r, widthM, turned, true);
  const front: Point = [0, y - r, r];
  const head: Point = [0, y * 0.42, h * 0.86];
  build.tone = TONE.iron;
  for (const side of [-1, 1]) {
    const aside = side * (widthM / 2 + thick);
    build.limb([aside, front[1], front[2]], [aside * 0.6, head[1], head[2]], thick, thick, 6);
    build.limb([aside, r - y, r], [0, -y * 0.28, h * 0.62], thick * 0.8, thick * 0.8, 6);
  }
  build.tone = TONE.rubber;
  build.limb([-x, y * 0.36, h - thick], [x, y * 0.36, h - thick], thick, thick, 6);
  build.limb([0, head[1], head[2]], [0, y * 0.36, h - thick], thick, thick, 6);
}

const bicycle: Draw = (build, box) => {
  const { y, h } = box;
  const r = Math.min(h * 0.325, y * 0.45);
  const thick = h * 0.018;
  frame(build, box, r, thick, h * 0.045);
  build.tone = TONE.plain;
  const [head, seat, crank]: Point[] = [
    [0, y * 0.4, h * 0.78],
    [0, -y * 0.28, h * 0.8],
    [0, -y * 0.06, h * 0.27],
  ];
  build.limb(head, crank, thick * 1.5, thick * 1.5);
  build.limb(crank, seat, thick * 1.3, thick * 1.3);
  build.limb([0, -y * 0.24, h * 0.68], head, thick * 1.3, thick * 1.3);
  build.limb([0, r - y, r], crank, thick, thick);
  build.tone = TONE.rubber;
  build.egg([0, -y * 0.3, h * 0.84], h * 0.07, h * 0.13, h * 0.03, 8);
  for (const side of [-1, 1]) {
    const angle = box.turned * 2 * Math.PI * 0.4 + (side > 0 ? Math.PI : 0);
    const pedal: Point = [side * h * 0.1, crank[1] + Math.sin(angle) * h * 0.16, crank[2] + Math.cos(angle) * h * 0.16];
    build.limb([side * h * 0.05, crank[1], crank[2]], pedal, thick * 0.7, thick * 0.7, 5);
    build.box(
      pedal[0] - h * 0.04,
      pedal[0] + h * 0.04,
      pedal[1] - h * 0.05,
      pedal[1] + h * 0.05,
      pedal[2] - h * 0.012,
      pedal[2] + h * 0.012,
    );
  }
};

const motorbike: Draw = (build, box) => {
  const { y, h } = box;
  const r = Math.min(h * 0.28, y * 0.4);
  frame(build, box, r, h * 0.028, h * 0.11);
  build.tone = TONE.iron;
  build.box(-h * 0.14, h * 0.14, -y * 0.2, y * 0.26, h * 0.2, h * 0.46);
  build.tone = TONE.plain;
  build.egg([0, y * 0.16, h * 0.66], h * 0.17, h * 0.32, h * 0.15, 10);
  build.tone = TONE.rubber;
  build.egg([0, -y * 0.34, h * 0.66], h * 0.15, h * 0.42, h * 0.07, 9);
  build.tone = TONE.bright;
  build.egg([0, y * 0.52, h * 0.76], h * 0.09, h * 0.07, h * 0.09, 8);
};

const scooter: Draw = (build, { x, y, h, turned }) => {
  const r = h * 0.09;
  const thick = h * 0.022;
  build.wheel([0, y - r, r], r, h * 0.05, turned);
  build.wheel([0, r - y, r], r, h * 0.05, turned);
  build.tone = TONE.plain;
  build.box(-x * 0.34, x * 0.34, -y * 0.72, y * 0.6, r * 0.9, r * 1.5);
  build.tone = TONE.iron;
  build.limb([0, y - r, r * 1.6], [0, y * 0.56, h - thick], thick * 1.4, thick * 1.2);
  build.tone = TONE.rubber;
  build.limb([-x, y * 0.56, h - thick], [x, y * 0.56, h - thick], thick, thick, 6);
};

const board: Draw = (build, { x, y, h, turned }) => {
  const r = h * 0.3;
  build.prism(
    [
      [-y * 0.78, h * 0.72],
      [y * 0.78, h * 0.72],
      [y, h],
      [-y, h],
    ],
    -x,
    x,
  );
  for (const side of [-1, 1])
    for (const along of [0.55, -0.55]) build.wheel([side * x * 0.7, along * y, r], r, x * 0.3, turned);
};

/** A pointed bow in front, a straight stern behind. */
const boat: Draw = (build, { x, y, h }) => {
  const deck: Point[] = [
    [-x, -y, h],
    [x, -y, h],
    [x, y * 0.2, h],
    [x * 0.5, y * 0.75, h],
    [0, y, h],
    [-x * 0.5, y * 0.75, h],
    [-x, y * 0.2, h],
  ];
  const keel = deck.map(([a, b]): Point => [a * 0.55, b < 0 ? b * 0.94 : b * 0.82, 0]);
  for (let i = 0; i < deck.length; i += 1) {
    const k = (i + 1) % deck.length;
    build.face(keel[i], keel[k], deck[k]);
    build.face(keel[i], deck[k], deck[i]);
  }
  build.face(...[...keel].reverse());
  build.tone = TONE.glass;
  build.face(...deck);
  build.tone = TONE.bright;
  build.box(-x * 0.85, x * 0.85, -y * 0.3, -y * 0.12, h * 0.92, h * 0.98);
};

const dog: Draw = (build, { x, y, h, turned }) => {
  const swing = (shift: number) => Math.sin((turned + shift) * 2 * Math.PI) * y * 0.16;
  build.limb([0, -y * 0.6, h * 0.6], [0, y * 0.35, h * 0.64], h * 0.15, h * 0.18, 9);
  build.limb([0, y * 0.3, h * 0.66], [0, y * 0.62, h * 0.84], h * 0.12, h * 0.1);
  build.egg([0, y * 0.7, h * 0.86], h * 0.12, h * 0.15, h * 0.13, 8);
  build.tone = TONE.rubber;
  build.limb([0, y * 0.76, h * 0.82], [0, y, h * 0.79], h * 0.07, h * 0.045, 6);
  build.tone = TONE.plain;
  for (const side of [-1, 1]) {
    build.limb([side * h * 0.08, y * 0.62, h * 0.9], [side * h * 0.1, y * 0.58, h], h * 0.04, h * 0.012, 5);
    for (const [along, shift] of [
      [0.34, 0],
      [-0.56, 0.5],
    ]) {
      const foot = y * along + swing(shift + (side > 0 ? 0.5 : 0));
      build.limb([side * x * 0.55, y * along, h * 0.56], [side * x * 0.55, foot, h * 0.02], h * 0.06, h * 0.035, 6);
    }
  }
  build.limb([0, -y * 0.62, h * 0.66], [0, -y, h * 0.86], h * 0.03, h * 0.02, 5);
};

export const VEHICLE_SOLIDS = { car, lorry, motorbike, bicycle, scooter, board, boat, dog } as const;

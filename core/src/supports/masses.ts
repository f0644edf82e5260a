import type { Build, Lens, Part, Sled } from '../model';

/** A lump of a build: its mass, where its centre is (forward, right, up), its box, all in SI, and where it is from. */
export interface Lump {
  name: string;
  partId: string | null;
  on: 'top' | 'bottom' | 'rig';
  massKg: number;
  xM: number;
  yM: number;
  zM: number;
  lengthM: number;
  widthM: number;
  heightM: number;
}

export interface Heap {
  massKg: number;
  xM: number;
  yM: number;
  zM: number;
}

/** Total mass and its centre; a heap of nothing lies at the origin. */
export function heapOf(lumps: readonly Lump[]): Heap {
  const massKg = lumps.reduce((sum, row) => sum + row.massKg, 0);
  const mean = (at: 'xM' | 'yM' | 'zM') =>
    massKg > 0 ? lumps.reduce((sum, row) => sum + row.massKg * row[at], 0) / massKg : 0;
  return { massKg, xM: mean('xM'), yM: mean('yM'), zM: mean('zM') };
}

/**
 * Moment of inertia about the sideways axis through a point at (xM, zM), kg m²: each lump as a box about its own middle
 * and carried over by Steiner's theorem.
 */
export function pitchInertia(lumps: readonly Lump[], xM: number, zM: number): number {
  return lumps.reduce(
    (sum, row) =>
      sum + row.massKg * ((row.lengthM ** 2 + row.heightM ** 2) / 12 + (row.xM - xM) ** 2 + (row.zM - zM) ** 2),
    0,
  );
}

/** How far a zoom stands between its shortest (0) and longest (1) focal length. */
export function zoomShare(lens: Lens | undefined, focalLengthMm: number): number {
  if (!lens || lens.focalLengthMaxMm <= lens.focalLengthMinMm) return 0;
  return Math.min(
    1,
    Math.max(0, (focalLengthMm - lens.focalLengthMinMm) / (lens.focalLengthMaxMm - lens.focalLengthMinMm)),
  );
}

/**
 * The placed parts of a build as lumps, from the middle of the camera's plate and of the other end; parts that are not
 * in the kit are left away.
 */
export function partLumps(build: Build, parts: readonly Part[], lenses: readonly Lens[]): Lump[] {
  return build.parts.flatMap(({ partId, on, foreMm, sideMm, upMm }): Lump[] => {
    const part = parts.find((row) => row.id === partId);
    if (!part) return [];
    const zoom =
      part.zoomShiftMm === 0
        ? 0
        : part.zoomShiftMm *
          zoomShare(
            lenses.find((row) => row.id === part.of),
            build.focalLengthMm,
          );
    return [
      {
        name: part.name,
        partId,
        on,
        massKg: part.massG / 1000,
        xM: (foreMm + part.centreForeMm + zoom) / 1000,
        yM: (sideMm + part.centreSideMm) / 1000,
        zM: (upMm + part.centreUpMm) / 1000,
        lengthM: part.lengthMm / 1000,
        widthM: part.widthMm / 1000,
        heightM: part.heightMm / 1000,
      },
    ];
  });
}

/** How far the centre of mass of a real sled lies from where its parts say, mm: forward, to the right, and lower. */
export interface Hidden {
  foreMm: number;
  sideMm: number;
  downMm: number;
}
const NOTHING_HIDDEN: Hidden = { foreMm: 0, sideMm: 0, downMm: 0 };

/**
 * A sled's lumps from its pivot: parts on the plate moved by the stage, parts at the bottom, and the post; all of them
 * where `hidden` says they really are.
 */
export function sledLumps(sled: Sled, placed: readonly Lump[], hidden: Hidden = NOTHING_HIDDEN): Lump[] {
  const topM = sled.gimbalMm / 1000;
  const bottomM = topM - sled.postMm / 1000;
  const post: Lump = {
    name: 'Post',
    partId: null,
    on: 'rig',
    massKg: sled.postMassG / 1000,
    xM: 0,
    yM: 0,
    zM: (topM + bottomM) / 2,
    lengthM: 0.03,
    widthM: 0.03,
    heightM: sled.postMm / 1000,
  };
  const lumps = [
    ...placed.map((row) =>
      row.on === 'top'
        ? { ...row, xM: row.xM + sled.stageForeMm / 1000, yM: row.yM + sled.stageSideMm / 1000, zM: row.zM + topM }
        : { ...row, zM: row.zM + bottomM },
    ),
    post,
  ];
  if (hidden === NOTHING_HIDDEN) return lumps;
  return lumps.map((row) => ({
    ...row,
    xM: row.xM + hidden.foreMm / 1000,
    yM: row.yM + hidden.sideMm / 1000,
    zM: row.zM - hidden.downMm / 1000,
  }));
}

import { define, type FindingKinds } from '../definition';
import { seconds, type FindingOf } from '../finding';
import { trim } from '../../model';
import { luxFrom, towardsSun } from '../../light';
import { partFootOf, type Stance } from '../../scene';
import { partOf } from '../../site';
import { CAMERA_SIZE, project } from '../../optics';
import { depthRasterOf, type DepthRaster, offAxisDeg, type Picture } from '../../image';

const KINDS = {
  flare: {
    measures: 'how far outside the frame a lamp or the sun stands, degrees; 0: in it',
    limits: ['flareDeg'],
    about: 'frame',
    cures: ['standFarther'],
  },
} satisfies FindingKinds;
type Found = FindingOf<keyof typeof KINDS>;

/** Looks a second, and how finely: a lamp that is covered for less is not missed. */
const LOOKS_HZ = 6;
const WIDTH_CELLS = 120;
/** How much around the frame is looked at for what covers a lamp. */
const MARGIN_CELLS = 40;
const DEG = 180 / Math.PI;

/** What shines: a lamp of the site, or the sun. */
interface Light {
  name: string;
  lamp: boolean;
  /** Its piece in the scene; −1 for the sun. */
  index: number;
  /** Writes where it is in a row; false while it does not shine. */
  placeAt: (row: number, out: Float64Array) => boolean;
}

/** As far off as the sun is put, m: behind whatever stands on a site. */
const SUN_M = 5000;

function lightsOf(scene: Picture['scene'], samples: Picture['samples']): Light[] {
  const lights = scene.things.flatMap((thing, index): Light[] => {
    if (thing.piece.kind !== 'lamp') return [];
    const lamp = thing.piece;
    const part = partOf(lamp, 'light');
    const stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
    const foot = partFootOf(thing, part);
    const placeAt: Light['placeAt'] = (row, out) => {
      foot(samples.tS[row], out);
      out[2] += part.heightM / 2;
      thing.stanceAt(samples.tS[row], stance);
      const [dx, dy, dz] = [samples.xM[row] - out[0], samples.yM[row] - out[1], samples.zM[row] - out[2]];
      // A lamp that points away from the lens does not shine into it.
      return luxFrom(lamp, 1, offAxisDeg(lamp, stance.headingDeg, dx, dy, dz)) > 0;
    };
    return [{ name: lamp.name, lamp: true, index, placeAt }];
  });
  const { sunAt } = scene;
  if (!sunAt) return lights;
  const placeAt: Light['placeAt'] = (row, out) => {
    const sun = sunAt(samples.tS[row]);
    const [east, north, up] = towardsSun(sun);
    out[0] = samples.xM[row] + east * SUN_M;
    out[1] = samples.yM[row] + north * SUN_M;
    out[2] = samples.zM[row] + up * SUN_M;
    return sun.altitudeDeg > 0;
  };
  return [...lights, { name: 'The sun', lamp: false, index: -1, placeAt }];
}

interface Seen {
  name: string;
  lamp: boolean;
  /** Degrees outside the nearest edge of the frame; 0: in the picture. */
  outsideDeg: number;
  fromS: number;
  toS: number;
}

/**
 * Lamps and the sun in the frame or just outside it: their light reaches the glass. What something stands before does not,
 * as far as about a third of a frame outside; farther out nothing is counted as standing before it.
 */
function flareFindings({ scene, samples, edgeV }: Picture): Found[] {
  const limit = scene.limits.flareDeg;
  const lights = lightsOf(scene, samples);
  if (lights.length === 0) return [];
  const look = depthRasterOf(scene, samples, WIDTH_CELLS, MARGIN_CELLS);
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const stride = Math.max(1, Math.round(samples.frameRateHz / LOOKS_HZ));
  const [spot, at] = [new Float64Array(3), { u: 0, w: 0, depthM: 0 }];
  const found = lights.map(({ name, lamp }): Seen => ({ name, lamp, outsideDeg: Infinity, fromS: NaN, toS: NaN }));
  for (let row = 0; row < samples.count; row += stride) {
    // Several lights are looked for in one raster, where any has to be.
    let looked: DepthRaster | null = null;
    const rowAt = () => (looked ??= look(row));
    lights.forEach(({ index, placeAt }, k) => {
      if (!placeAt(row, spot)) return;
      project(samples.cameras, row * CAMERA_SIZE, spot[0], spot[1], spot[2], at);
      if (at.depthM <= 0.05) return;
      const v = at.w * aspect;
      const perWidth = samples.frameWidthMm / samples.focalLengthMm[row];
      const beyond = (share: number, edge: number, perSide: number) =>
        (Math.atan(Math.abs(share) * perSide) - Math.atan(edge * perSide)) * DEG;
      const outsideDeg = Math.max(0, beyond(at.u, 0.5, perWidth), beyond(v, edgeV, perWidth / aspect));
      // What stands before it is only looked for where it matters.
      if (outsideDeg > limit || isCovered(rowAt, index, at.u, v, at.depthM)) return;
      const seen = found[k];
      const screenS = samples.screenS[row];
      seen.fromS = Number.isNaN(seen.fromS) ? screenS : seen.fromS;
      seen.toS = screenS;
      seen.outsideDeg = Math.min(seen.outsideDeg, outsideDeg);
    });
  }
  return found.filter(({ outsideDeg }) => outsideDeg <= limit).map((seen, i) => told(seen, limit, i));
}

/** Whether something stands before a light at a point of the picture; beyond the raster's margin nothing does. */
function isCovered(look: () => DepthRaster, index: number, u: number, v: number, depthM: number): boolean {
  const x = Math.floor((u + 0.5) * WIDTH_CELLS) + MARGIN_CELLS;
  if (x < 0 || x >= WIDTH_CELLS + 2 * MARGIN_CELLS) return false;
  const { pieceAt, nearness, widthCells, heightCells, frameHeightCells } = look();
  const y = Math.floor((0.5 - v) * frameHeightCells) + MARGIN_CELLS;
  if (y < 0 || y >= heightCells) return false;
  const cell = y * widthCells + x;
  return pieceAt[cell] !== index && nearness[cell] > 1 / depthM;
}

function told({ name, lamp, outsideDeg, fromS, toS }: Seen, limit: number, i: number): Found {
  const when = `from ${seconds(fromS)} to ${seconds(toS)}`;
  const inFrame = outsideDeg === 0;
  return {
    id: (i === 0 ? 'flare' : `flare.${i + 1}`) as Found['id'],
    grade: inFrame ? 'calm' : 'ripple',
    sentence: inFrame
      ? `${name} shines into the lens ${when}: it is in the picture. Look for the spots that run from it through the ` +
        'middle, and set the exposure with it.'
      : `${name} stands ${trim(outsideDeg, 0)}° outside the frame ${when}: its light reaches the glass and veils the ` +
        `picture. ${lamp ? 'Flag it, or turn it away.' : 'Shade the glass with a flag or a hood.'}`,
    reason:
      'Light that falls on the front glass is scattered over the picture, in the frame or out of it. A hood, a flag ' +
      'or a hand over the lens shows at once what it costs.',
    screenS: fromS,
    value: outsideDeg,
    limit,
    unit: 'deg',
    said: `${trim(outsideDeg, 0)}°`,
    measure: 'light beside the frame',
  };
}

export const flare = define(KINDS, flareFindings);

import { define, type FindingKinds } from '../definition';
import { seconds, type FindingOf } from '../finding';
import { trim } from '../../model';
import { partFootOf } from '../../scene';
import { partOf } from '../../site';
import { CAMERA_SIZE, project } from '../../optics';
import { depthRasterOf, type Picture } from '../../image';

const KINDS = {
  flare: {
    measures: 'how far outside the frame a lamp stands, degrees; 0: in it',
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

interface Seen {
  name: string;
  /** Degrees outside the nearest edge of the frame; 0: in the picture. */
  outsideDeg: number;
  fromS: number;
  toS: number;
}

/**
 * Lamps in the frame or just outside it: their light reaches the glass. A lamp that something stands before does not,
 * as far as about a third of a frame outside; farther out nothing is counted as standing before it.
 */
function flareFindings({ scene, samples, edgeV }: Picture): Found[] {
  const limit = scene.limits.flareDeg;
  const lamps = scene.things.flatMap((thing, index) =>
    thing.piece.kind === 'lamp' ? [{ thing, index, foot: partFootOf(thing, partOf(thing.piece, 'light')) }] : [],
  );
  if (lamps.length === 0) return [];
  const look = depthRasterOf(scene, samples, WIDTH_CELLS, MARGIN_CELLS);
  const aspect = samples.frameWidthMm / samples.frameHeightMm;
  const stride = Math.max(1, Math.round(samples.frameRateHz / LOOKS_HZ));
  const [spot, at] = [new Float64Array(3), { u: 0, w: 0, depthM: 0 }];
  const found = lamps.map(({ thing }): Seen => ({
    name: thing.piece.name,
    outsideDeg: Infinity,
    fromS: NaN,
    toS: NaN,
  }));
  for (let row = 0; row < samples.count; row += stride) {
    const { pieceAt, nearness, widthCells, heightCells, frameHeightCells } = look(row);
    lamps.forEach(({ thing, index, foot }, k) => {
      foot(samples.tS[row], spot);
      const upM = partOf(thing.piece, 'light').heightM / 2;
      project(samples.cameras, row * CAMERA_SIZE, spot[0], spot[1], spot[2] + upM, at);
      if (at.depthM <= 0.05) return;
      const v = at.w * aspect;
      const [x, y] = [
        Math.floor((at.u + 0.5) * WIDTH_CELLS) + MARGIN_CELLS,
        Math.floor((0.5 - v) * frameHeightCells) + MARGIN_CELLS,
      ];
      if (x >= 0 && y >= 0 && x < widthCells && y < heightCells) {
        const cell = y * widthCells + x;
        if (pieceAt[cell] !== index && nearness[cell] > 1 / at.depthM) return;
      }
      const perWidth = samples.frameWidthMm / samples.focalLengthMm[row];
      const beyond = (share: number, edge: number, perSide: number) =>
        (Math.atan(Math.abs(share) * perSide) - Math.atan(edge * perSide)) * DEG;
      const outsideDeg = Math.max(0, beyond(at.u, 0.5, perWidth), beyond(v, edgeV, perWidth / aspect));
      if (outsideDeg > limit) return;
      const seen = found[k];
      const screenS = samples.screenS[row];
      seen.fromS = Number.isNaN(seen.fromS) ? screenS : seen.fromS;
      seen.toS = screenS;
      seen.outsideDeg = Math.min(seen.outsideDeg, outsideDeg);
    });
  }
  return found.filter(({ outsideDeg }) => outsideDeg <= limit).map((seen, i) => told(seen, limit, i));
}

function told({ name, outsideDeg, fromS, toS }: Seen, limit: number, i: number): Found {
  const when = `from ${seconds(fromS)} to ${seconds(toS)}`;
  const inFrame = outsideDeg === 0;
  return {
    id: (i === 0 ? 'flare' : `flare.${i + 1}`) as Found['id'],
    grade: inFrame ? 'calm' : 'ripple',
    sentence: inFrame
      ? `${name} shines into the lens ${when}: it is in the picture. Look for the spots that run from it through the ` +
        'middle, and set the exposure with it.'
      : `${name} stands ${trim(outsideDeg, 0)}° outside the frame ${when}: its light reaches the glass and veils the ` +
        'picture. Flag it, or turn it away.',
    reason:
      'Light that falls on the front glass is scattered over the picture, in the frame or out of it. A hood, a flag ' +
      'or a hand over the lens shows at once what it costs.',
    screenS: fromS,
    value: outsideDeg,
    limit,
    unit: 'deg',
    said: `${trim(outsideDeg, 0)}°`,
    measure: 'lamp beside the frame',
  };
}

export const flare = define(KINDS, flareFindings);

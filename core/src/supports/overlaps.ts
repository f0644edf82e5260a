import { type Build, type Kit, type Part, type Placed, sayCount, sayMm, type Units } from '../model';
import { fact, type Fact } from './fact';

/** Things that hold other things inside them: heads, cages, shades, bags. */
const HOLDS = new Set<Part['kind']>(['head', 'other', 'bag']);
/** Boxes drawn round rounded things touch before the things do. */
const TOUCHING_MM = 3;

interface Box {
  part: Part;
  placed: Placed;
}

const boxesOf = (build: Build, kit: Pick<Kit, 'parts'>): Box[] =>
  build.parts.flatMap((placed) => kit.parts.filter(({ id }) => id === placed.partId).map((part) => ({ part, placed })));

/** How far two boxes lie in each other along the axis where it is least, mm; 0 or less when they do not. */
function depthMm(a: Box, b: Box): number {
  if (a.placed.on !== b.placed.on) return 0;
  const along = (at: 'foreMm' | 'sideMm' | 'upMm', size: 'lengthMm' | 'widthMm' | 'heightMm') =>
    (a.part[size] + b.part[size]) / 2 - Math.abs(a.placed[at] - b.placed[at]);
  return Math.min(along('foreMm', 'lengthMm'), along('sideMm', 'widthMm'), along('upMm', 'heightMm'));
}

const solid = ({ part }: Box) => !HOLDS.has(part.kind);

/** Parts of a build that lie in each other, the deepest first. */
export function overlapsOf(build: Build, kit: Pick<Kit, 'parts'>): { one: string; other: string; byMm: number }[] {
  const boxes = boxesOf(build, kit).filter(solid);
  return boxes
    .flatMap((a, i) => boxes.slice(i + 1).map((b) => ({ one: a.part.name, other: b.part.name, byMm: depthMm(a, b) })))
    .filter(({ byMm }) => byMm > TOUCHING_MM)
    .sort((a, b) => b.byMm - a.byMm);
}

/** That parts lie in each other, where they do: then nothing else that is said of the build is true. */
export function overlapFact(build: Build, kit: Pick<Kit, 'parts'>, units: Units): Fact[] {
  const [worst, ...more] = overlapsOf(build, kit);
  if (!worst) return [];
  const others = more.length > 0 ? `, and ${sayCount(more.length, 'more pair')}` : '';
  return [
    fact(
      'overlapMm',
      'In each other',
      `${worst.one} and ${worst.other} by ${sayMm(worst.byMm, units)}${others}`,
      worst.byMm,
      'cannot',
      'Move one of the two to where it really sits.',
    ),
  ];
}

/**
 * Where a part goes when it is put on a build: a lens before its body, a filter before the lens, weights and batteries
 * of a sled at its bottom, the rest on top of what lies there.
 */
export function placeFor(build: Build, kit: Pick<Kit, 'parts'>, part: Part): Placed {
  const boxes = boxesOf(build, kit);
  const on =
    build.support.kind === 'sled' && (part.kind === 'weight' || part.kind === 'battery')
      ? ('bottom' as const)
      : ('top' as const);
  const before = part.kind === 'lens' ? ['camera'] : part.kind === 'filter' ? ['lens', 'camera'] : [];
  const body = before
    .map((kind) => boxes.findLast((box) => box.part.kind === kind && box.placed.on === on))
    .find((box) => box !== undefined);
  const start: Placed = body
    ? {
        partId: part.id,
        on,
        foreMm: Math.ceil(body.placed.foreMm + (body.part.lengthMm + part.lengthMm) / 2),
        sideMm: body.placed.sideMm,
        upMm: body.placed.upMm,
      }
    : { partId: part.id, on, foreMm: 0, sideMm: 0, upMm: Math.round(part.heightMm / 2) };
  return freed(start, part, boxes.filter(solid), body !== undefined);
}

/** Moved on, forward or up, until it lies in nothing. */
function freed(placed: Placed, part: Part, boxes: readonly Box[], forward: boolean): Placed {
  if (!solid({ part, placed })) return placed;
  let free = placed;
  for (let tries = 0; tries <= boxes.length; tries += 1) {
    const hit = boxes.find((box) => depthMm({ part, placed: free }, box) > TOUCHING_MM);
    if (!hit) return free;
    free = forward
      ? { ...free, foreMm: Math.ceil(hit.placed.foreMm + (hit.part.lengthMm + part.lengthMm) / 2) }
      : { ...free, upMm: Math.ceil(hit.placed.upMm + (hit.part.heightMm + part.heightMm) / 2) };
  }
  return free;
}

import type { Wall } from '../model';

/** A solid stretch of a wall: from and to along it, from its bottom to its top, metres. */
export interface WallPart {
  from: number;
  to: number;
  bottom: number;
  top: number;
}

type Pierced = Pick<Wall, 'lengthM' | 'heightM' | 'openings'>;

/** The openings as far as they lie in the wall. */
function holesOf({ lengthM, heightM, openings }: Pierced): WallPart[] {
  const half = lengthM / 2;
  return openings
    .map(({ offsetM, widthM, heightM: headM, sillM }) => {
      const top = Math.min(heightM, headM);
      return {
        from: Math.max(-half, offsetM - widthM / 2),
        to: Math.min(half, offsetM + widthM / 2),
        bottom: Math.min(top, sillM),
        top,
      };
    })
    .filter(({ from, to, bottom, top }) => to > from && top > bottom);
}

/** Where glass stands in a wall: upright sheets in its middle. */
export const panesOf = (wall: Pierced): WallPart[] =>
  holesOf({ ...wall, openings: wall.openings.filter(({ pane }) => pane === 'glass') });

/** What of a wall is solid between and about its openings, as upright boxes that do not overlap. */
export function wallParts(wall: Pierced): WallPart[] {
  const half = wall.lengthM / 2;
  const { heightM } = wall;
  const holes = holesOf(wall);
  const cuts = [...new Set([-half, half, ...holes.flatMap(({ from, to }) => [from, to])])].sort((a, b) => a - b);
  const parts: WallPart[] = [];
  for (let i = 0; i + 1 < cuts.length; i += 1) {
    const [from, to] = [cuts[i], cuts[i + 1]];
    const here = holes.filter((hole) => hole.from <= from && hole.to >= to).sort((a, b) => a.bottom - b.bottom);
    let up = 0;
    for (const { bottom, top } of here) {
      if (bottom > up) add(parts, { from, to, bottom: up, top: bottom });
      up = Math.max(up, top);
    }
    if (heightM > up) add(parts, { from, to, bottom: up, top: heightM });
  }
  return parts;
}

/** Adds a stretch, as one with the stretch before it where that goes on alike. */
function add(parts: WallPart[], part: WallPart): void {
  const before = parts.find(({ to, bottom, top }) => to === part.from && bottom === part.bottom && top === part.top);
  if (before) before.to = part.to;
  else parts.push(part);
}

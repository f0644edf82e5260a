import { newPiece, type Opening, type Piece, type Shoot } from '../model';
import { toSite } from '../site';
import { groundAt, onSite, upSite } from './on-site';
import { withPieces } from './pieces';

/** Places that are put together of several pieces: each is one group. Sizes are usual ones: common practice. */
export const PLACES = {
  plainWall: 'Plain wall',
  doorway: 'Doorway',
  room: 'Room with door and window',
  corridor: 'Corridor',
} as const;
export type PlaceKind = keyof typeof PLACES;

const WALL_M = 0.12;
const DOOR: Opening = { offsetM: 0, widthM: 0.9, heightM: 2.05, sillM: 0, pane: 'open' };
const WINDOW: Opening = { offsetM: 0, widthM: 1.4, heightM: 2.1, sillM: 0.9, pane: 'glass' };
const HIGH_M = 2.6;

interface Part {
  name: string;
  /** Of its middle in the place's own frame: to the right of it, along it. */
  across: number;
  along: number;
  upM?: number;
  turnDeg: number;
  kind: 'wall' | 'slab';
  lengthM: number;
  depthM: number;
  heightM: number;
  openings?: Opening[];
}

const wall = (
  name: string,
  across: number,
  along: number,
  turnDeg: number,
  lengthM: number,
  openings: Opening[],
): Part => ({
  ...{ name, across, along, turnDeg, lengthM, openings },
  ...{ kind: 'wall', depthM: WALL_M, heightM: HIGH_M },
});

/** Four walls, as long as they reach into the corners, and a ceiling; inside it is as large as it is said to be. */
function walled(
  alongM: number,
  acrossM: number,
  ends: { near: Opening[] | null; far: Opening[] | null; side: Opening[] },
): Part[] {
  const [y, x] = [(alongM + WALL_M) / 2, (acrossM + WALL_M) / 2];
  const outM = acrossM + 2 * WALL_M;
  return [
    ...(ends.near ? [wall('near wall', 0, -y, 90, outM, ends.near)] : []),
    ...(ends.far ? [wall('far wall', 0, y, 90, outM, ends.far)] : []),
    wall('left wall', -x, 0, 0, alongM, []),
    wall('right wall', x, 0, 0, alongM, ends.side),
    {
      ...{ name: 'ceiling', across: 0, along: 0, upM: HIGH_M, turnDeg: 0, kind: 'slab' },
      ...{ lengthM: alongM + 2 * WALL_M, depthM: outM, heightM: 0.1 },
    },
  ];
}

const PARTS: Record<PlaceKind, Part[]> = {
  plainWall: [{ ...wall('', 0, 0, 90, 5, []), depthM: 0.2 }],
  doorway: [{ ...wall('', 0, 0, 90, 1.5, [DOOR]), heightM: 2.3 }],
  room: walled(5, 4, { near: [DOOR], far: [WINDOW], side: [] }),
  corridor: walled(10, 1.6, { near: null, far: [DOOR], side: [{ ...DOOR, offsetM: 1 }] }),
};

/** A place about a point of the site, its length northwards, on the ground there; its pieces are one group. */
export function addPlace(shoot: Shoot, place: PlaceKind, xM: number, yM: number, idOf: () => string): Shoot {
  const { pieces } = shoot.site;
  const [x, y] = [onSite(xM), onSite(yM)];
  const groundM = groundAt(pieces, x, y);
  const parts = PARTS[place];
  const group = parts.length > 1 ? idOf() : null;
  const named = pieces.filter(({ name }) => name.startsWith(PLACES[place])).length;
  const title = PLACES[place] + (named > 0 ? ` ${named + 1}` : '');
  const middle = { xM: x, yM: y, headingDeg: 0 } as Piece;
  const made = parts.map((part): Piece => {
    const spot = toSite(middle, part.along, part.across);
    const name = part.name === '' ? title : `${title}, ${part.name}`;
    const at = upSite(groundM + (part.upM ?? 0));
    const piece = newPiece(part.kind, idOf(), name, onSite(spot.xM), onSite(spot.yM), at);
    const sized = {
      ...piece,
      ...{ headingDeg: part.turnDeg, lengthM: part.lengthM, depthM: part.depthM, heightM: part.heightM, group },
      // A ceiling would cover what is under it on the plan.
      hidden: part.kind === 'slab',
    };
    return sized.kind === 'wall' ? { ...sized, openings: part.openings ?? [] } : sized;
  });
  return withPieces(shoot, [...pieces, ...made]);
}

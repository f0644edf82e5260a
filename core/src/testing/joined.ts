import { chooseMove } from '../edit';
import { type Move, newPiece, newShoot, newShot, type Shoot, type Shot } from '../model';
import { joinsOf } from '../sequence';

export const ANSA = { ...newPiece('figure', 'ansa', 'Ansa', 0, 0, 0), headingDeg: 180 };
const kit = newShoot('s', 'S', 'one').kit;

/** A shot of one move about Ansa, without holds. */
export function shotOf(id: string, move: Partial<Move> & { kind: Move['kind'] }, change: Partial<Shot> = {}): Shot {
  const plain = newShot(kit, id, id, 'ansa');
  const shoot = { ...newShoot('s', 'S', 'x'), site: { pieces: [ANSA], place: null, underlays: [] }, shots: [plain] };
  const chosen = chooseMove(plain, 0, move.kind, shoot.site.pieces[0]);
  return {
    ...chosen,
    move: { ...chosen.move, ...move } as Move,
    timing: { ...chosen.timing, durationS: 2, holdStartS: 0, featherInS: 0, featherOutS: 0, holdEndS: 0 },
    lensId: 'lens-fern-2470',
    ...change,
  };
}
export const shootOf = (shots: Shot[], pieces = [ANSA] as Shoot['site']['pieces']): Shoot => ({
  ...newShoot('s', 'S', 'x'),
  site: { pieces, place: null, underlays: [] },
  shots,
});
export const meeting = (kind: Shot['join']['kind']): Partial<Shot> => ({ join: { kind, blackS: 0.5 } });
export const firstJoin = (shots: Shot[], pieces?: Shoot['site']['pieces']) => joinsOf(shootOf(shots, pieces))[0];
export const finding = (join: ReturnType<typeof firstJoin>, id: string) => join.findings.find((row) => row.id === id);
export const whip = (id: string, toDeg: number, durationS = 0.4, change: Partial<Shot> = {}) => {
  const shot = shotOf(id, { kind: 'whipPan', fromDeg: 0, toDeg } as Move, change);
  return { ...shot, timing: { ...shot.timing, durationS } };
};

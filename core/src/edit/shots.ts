import { legsOf, newShot, type Shoot, type Shot, withLeg } from '../model';
import { withoutShots } from './day';
import { withoutTriesOf } from './practice';
import { mirrored, toTheOtherSide, turned } from './transform';

/** The shoot with one of its shots changed. */
export const withShot = (shoot: Shoot, shotId: string, edit: (shot: Shot) => Shot): Shoot => ({
  ...shoot,
  shots: shoot.shots.map((shot) => (shot.id === shotId ? edit(shot) : shot)),
});

/** A new shot at the end, about whatever the last one was about, or else about a figure. */
export function addShot(shoot: Shoot, id: string): Shoot {
  const { kit, site, shots } = shoot;
  const likely = shots.at(-1)?.subjectId ?? site.pieces.find((piece) => piece.kind === 'figure')?.id ?? null;
  return { ...shoot, shots: [...shots, newShot(kit, id, `Shot ${shots.length + 1}`, likely)] };
}

/** A copy of a shot behind it. */
export function duplicateShot(shoot: Shoot, index: number, id: string): Shoot {
  const { shots } = shoot;
  const copy = { ...shots[index], id, name: `${shots[index].name}, again`.slice(0, 120) };
  return { ...shoot, shots: [...shots.slice(0, index + 1), copy, ...shots.slice(index + 1)] };
}

/** Several shots moved together before another one (null: to the end), in the order they had. */
export function moveShots(shoot: Shoot, ids: readonly string[], beforeId: string | null): Shoot {
  const chosen = new Set(ids);
  const moved = shoot.shots.filter(({ id }) => chosen.has(id));
  // The first that stays at or behind the place that was pointed at.
  const from = beforeId === null ? -1 : shoot.shots.findIndex(({ id }) => id === beforeId);
  const anchor = from < 0 ? undefined : shoot.shots.slice(from).find(({ id }) => !chosen.has(id));
  const rest = shoot.shots.filter(({ id }) => !chosen.has(id));
  const at = anchor ? rest.indexOf(anchor) : rest.length;
  return { ...shoot, shots: [...rest.slice(0, at), ...moved, ...rest.slice(at)] };
}

/** Several shots put into a scene of the story. */
export const putInScene = (shoot: Shoot, ids: readonly string[], sceneName: string): Shoot => ({
  ...shoot,
  shots: shoot.shots.map((shot) => (ids.includes(shot.id) ? { ...shot, sceneName } : shot)),
});

export const removeShots = (shoot: Shoot, ids: readonly string[]): Shoot => ({
  ...shoot,
  shots: shoot.shots.filter(({ id }) => !ids.includes(id)),
  day: withoutShots(shoot.day, ids),
  practice: withoutTriesOf(shoot.practice, ids),
});

/**
 * The same shot from the other side, behind it: the camera opposite, the move mirrored. Null where its first move has no
 * other side: one that goes straight before or behind somebody.
 */
export function fromOtherSide(shoot: Shoot, index: number, id: string): Shoot | null {
  const given = shoot.shots[index];
  const round = legsOf(given).reduce(
    (shot, _, i) => withLeg(shot, i, (leg) => ({ ...toTheOtherSide(leg), move: turned(mirrored(leg.move), 180) })),
    given,
  );
  if (JSON.stringify(round.move) === JSON.stringify(given.move)) return null;
  const name = `${given.name}, from the other side`.slice(0, 120);
  const shot: Shot = { ...round, id, name, other: null, variant: 'A' };
  return { ...shoot, shots: [...shoot.shots.slice(0, index + 1), shot, ...shoot.shots.slice(index + 1)] };
}

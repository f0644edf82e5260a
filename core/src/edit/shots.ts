import { newShot, type Shoot, type Shot } from '../model';

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

/** A shot earlier or later in the order. */
export function shiftShot(shoot: Shoot, index: number, by: number): Shoot {
  const shots = [...shoot.shots];
  const [shot] = shots.splice(index, 1);
  shots.splice(index + by, 0, shot);
  return { ...shoot, shots };
}

export const removeShot = (shoot: Shoot, index: number): Shoot => ({
  ...shoot,
  shots: shoot.shots.filter((_, k) => k !== index),
});

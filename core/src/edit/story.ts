import type { Shoot, Shot } from '../model';

/** What is done to the film: shots replaced, scenes renamed, squares ticked off. */

/** The shoot with some of its shots as they are given; those that are not there are left out. */
export function withShots(shoot: Shoot, changed: readonly Shot[]): Shoot {
  const byId = new Map(changed.map((shot) => [shot.id, shot]));
  return { ...shoot, shots: shoot.shots.map((shot) => byId.get(shot.id) ?? shot) };
}

/** The scene that begins with a shot under another name: that shot and those of the same name that follow it. */
export function renameScene(shoot: Shoot, index: number, sceneName: string): Shoot {
  const was = shoot.shots[index]?.sceneName;
  const end = shoot.shots.findIndex((shot, i) => i > index && shot.sceneName !== was);
  return withShots(
    shoot,
    shoot.shots.slice(index, end < 0 ? undefined : end).map((shot) => ({ ...shot, sceneName })),
  );
}

/** A square of the table of sides and sizes ticked off, or taken back. */
export function tickOff(shoot: Shoot, square: string): Shoot {
  const { ticked } = shoot.story;
  const next = ticked.includes(square) ? ticked.filter((row) => row !== square) : [...ticked, square];
  return { ...shoot, story: { ...shoot.story, ticked: next } };
}

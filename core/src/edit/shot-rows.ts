import { type JoinKind, newShot, type Purpose, type Shoot, type Shot } from '../model';
import { lengthOnScreenS } from '../motion';
import { withTiming } from './timing';

/** One row of a shot list; null: as it is planned. */
export interface ShotRow {
  id: string | null;
  name: string;
  sceneName: string | null;
  purpose: Purpose | null;
  durationS: number | null;
  focalLengthMm: number | null;
  cutInS: number | null;
  cutOutS: number | null;
  kind: JoinKind | null;
  blackS: number | null;
  note: string | null;
}

/**
 * The shoot with what a shot list says of its shots, in the order of the list. A row is of the shot of its id, or else
 * of its name; one of neither is a new shot. Shots that are not in the list stay behind it, and are named.
 */
export function takeShotRows(
  shoot: Shoot,
  rows: readonly ShotRow[],
  idOf: () => string,
): { shoot: Shoot; added: string[]; left: string[] } {
  const free = new Map(shoot.shots.map((shot) => [shot.id, shot]));
  const added: string[] = [];
  // Ids first: a name that is there twice goes to the one that no id asks for.
  const byId = rows.map(({ id }) => {
    const shot = id === null ? undefined : free.get(id);
    if (shot) free.delete(shot.id);
    return shot;
  });
  const shots = rows.map((row, i): Shot => {
    let shot = byId[i] ?? [...free.values()].find(({ name }) => name === row.name);
    if (shot) free.delete(shot.id);
    else {
      shot = newShot(shoot.kit, idOf(), row.name, shoot.shots[0]?.subjectId ?? null);
      added.push(row.name);
    }
    return told(shot, row);
  });
  const left = [...free.values()];
  return { shoot: { ...shoot, shots: [...shots, ...left] }, added, left: left.map(({ name }) => name) };
}

/** A cut needs some length: what ends before it begins is a tenth of a second long. */
const between = (inS: number, outS: number) => ({ inS, outS: outS > inS ? outS : inS + 0.1 });

function told(given: Shot, row: ShotRow): Shot {
  const shot =
    row.durationS === null ? given : { ...given, timing: withTiming(given.timing, 'durationS', row.durationS) };
  const { cutInS, cutOutS } = row;
  const cut =
    cutInS === null && cutOutS === null
      ? shot.cut
      : between(cutInS ?? shot.cut?.inS ?? 0, cutOutS ?? shot.cut?.outS ?? lengthOnScreenS(shot));
  return {
    ...shot,
    name: row.name,
    sceneName: row.sceneName ?? shot.sceneName,
    purpose: row.purpose ?? shot.purpose,
    focalLengthMm: row.focalLengthMm ?? shot.focalLengthMm,
    cut,
    join: { kind: row.kind ?? shot.join.kind, blackS: row.blackS ?? shot.join.blackS },
    note: row.note ?? shot.note,
  };
}

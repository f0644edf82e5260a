import { problemsIn, type Shoot, SHOOT_VERSION } from '@gentle-arc/core/model';
import { database, type StoredShoot, type StoredUndo } from './tables';

/** What can be undone and done again, the state that was made last next to the shoot as it is. */
export interface Undo {
  past: Shoot[];
  future: Shoot[];
}

const MOST_STEPS_KEPT = 100;

/** Steps of undo that were kept: as far back as they are in order. */
function steps(rows: unknown[] | undefined): Shoot[] {
  const shoots = (rows ?? []) as Shoot[];
  const broken = shoots.findLastIndex((shoot) => shoot?.version !== SHOOT_VERSION || problemsIn(shoot).length > 0);
  return shoots.slice(broken + 1);
}

/** The undo of a stored shoot, checked: empty lists when `undo`, which lies beside it, belongs to another state. */
export function undoOf({ rev = '', undoRev = rev }: StoredShoot, undo: StoredUndo | undefined): Undo {
  if (undo?.rev !== undoRev) return { past: [], future: [] };
  return { past: steps(undo.past), future: steps([...undo.future].reverse()).reverse() };
}

/** What was written of which undo: its lists are replaced by others, never changed. */
const written = new WeakMap<Shoot[], { future: Shoot[]; undoRev: string }>();

/**
 * Within a save: writes what can be undone, unless that very undo lies there already, as it does while something is
 * dragged. Resolves to its name.
 */
export async function keepUndo(shootId: string, { past, future }: Undo): Promise<string> {
  const known = written.get(past);
  if (known?.future === future) {
    const there = await database.undos.where('[shootId+rev]').equals([shootId, known.undoRev]).count();
    if (there > 0) return known.undoRev;
  }
  const undoRev = crypto.randomUUID();
  await database.undos.put({
    shootId,
    rev: undoRev,
    past: past.slice(-MOST_STEPS_KEPT),
    future: future.slice(0, MOST_STEPS_KEPT),
  });
  return undoRev;
}

/** Tells that a save with this undo went through. */
export function undoIsKept({ past, future }: Undo, undoRev: string): void {
  written.set(past, { future, undoRev });
}

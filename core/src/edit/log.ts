import type { Log, Ready, Shoot, Take } from '../model';

const changeLog = (shoot: Shoot, change: Partial<Log>): Shoot => ({ ...shoot, log: { ...shoot.log, ...change } });

/** Who has the rig from now on. */
export const sayWho = (shoot: Shoot, who: string): Shoot => changeLog(shoot, { who });

/** The shoot with one more take of a shot, counted at a moment; getting ready for it is over. Unchanged without the shot. */
export function countTake(shoot: Shoot, shotId: string, id: string, at: string): Shoot {
  const shot = shoot.shots.find((row) => row.id === shotId);
  if (!shot) return shoot;
  const take: Take = {
    id,
    at,
    ...whatOf(shoot, shotId),
    move: shot.move.kind,
    who: shoot.log.who,
    verdict: 'tried',
    reasons: [],
    word: '',
    best: false,
    photo: null,
    recorded: null,
    clip: null,
  };
  return changeLog(endReady(shoot, at), { takes: [...shoot.log.takes, take] });
}

/** The shoot with something of one take changed. Circled: no other take of its shot is. */
export function changeTake(shoot: Shoot, id: string, change: Partial<Omit<Take, 'id' | 'at' | 'shotId'>>): Shoot {
  const changed = shoot.log.takes.find((row) => row.id === id);
  if (!changed) return shoot;
  const takes = shoot.log.takes.map((row) => {
    if (row.id === id) return { ...row, ...change };
    return change.best && row.best && row.shotId === changed.shotId ? { ...row, best: false } : row;
  });
  return changeLog(shoot, { takes });
}

export const removeTake = (shoot: Shoot, id: string): Shoot =>
  changeLog(shoot, { takes: shoot.log.takes.filter((row) => row.id !== id) });

/** Getting ready for a shot begins: what was still going on ends. */
export function startReady(shoot: Shoot, what: Ready['what'], shotId: string, id: string, fromAt: string): Shoot {
  if (!shoot.shots.some((row) => row.id === shotId)) return shoot;
  const ended = endReady(shoot, fromAt);
  const ready: Ready = { id, what, ...whatOf(shoot, shotId), who: shoot.log.who, fromAt, toAt: null };
  return changeLog(ended, { readies: [...ended.log.readies, ready] });
}

/** What of getting ready is going on ends at a moment. */
export function endReady(shoot: Shoot, toAt: string): Shoot {
  if (!shoot.log.readies.some((row) => row.toAt === null)) return shoot;
  const readies = shoot.log.readies.map((row) =>
    // A clock that was set back in between makes nothing shorter than nothing.
    row.toAt === null ? { ...row, toAt: toAt < row.fromAt ? row.fromAt : toAt } : row,
  );
  return changeLog(shoot, { readies });
}

/** The stretch of getting ready that is going on; null: none. */
export const readyNow = ({ log }: Shoot): Ready | null => log.readies.findLast((row) => row.toAt === null) ?? null;

function whatOf(shoot: Shoot, shotId: string) {
  const shot = shoot.shots.find((row) => row.id === shotId);
  const rig = shoot.kit.rigs.find((row) => row.id === shot?.rigId);
  return { shotId, shotName: shot?.name ?? '', rigId: rig?.id ?? 'none', rigName: rig?.name ?? '' };
}

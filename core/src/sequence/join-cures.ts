import { type Finding, severity } from '../findings';
import { withShots } from '../edit';
import { PLAIN_JOIN, type Shoot, type Shot, ShotSchema } from '../model';
import { readShot } from '../reading';
import { candidates } from './join-candidates';
import type { JoinFindingId } from './join-finding';
import { judgeJoin, type JoinReading } from './joins';
import { type Told, Tellings } from './told';

/** A change that was tried on a join, and helps. */
export interface JoinCure {
  findingId: JoinFindingId;
  /** What to do: `Mirror the move of “Whip to the table”`. */
  instruction: string;
  /** What it does: `removes the jolt`. */
  effect: string;
  /** What gets worse in the shot's own reading. */
  costs: string[];
  removes: boolean;
  /** The shots as they are after it. */
  shots: Shot[];
}

const MOST_CURES = 3;

/** The worst of what two shots say of each other, by its id. */
const severities = ({ findings }: JoinReading): Map<JoinFindingId, number> => {
  const worst = new Map<JoinFindingId, number>();
  for (const row of findings) worst.set(row.id, Math.max(worst.get(row.id) ?? 0, severity(row)));
  return worst;
};
const worseAnywhere = (before: Map<JoinFindingId, number>, after: Map<JoinFindingId, number>, but: JoinFindingId[]) =>
  [...after].some(([id, grade]) => !but.includes(id) && grade > (before.get(id) ?? 0));

/**
 * Changes that help against the troubles of the join after shot `index` (0 is the first), up to three for each, those
 * that remove it first. Each was tried: on this join, which gets no new trouble, on the joins beside it, and in the
 * shots' own readings.
 */
export function joinCures(shoot: Shoot, index: number): JoinCure[] {
  const { shots, story } = shoot;
  if (!shots[index + 1]) return [];
  const tellings = new Tellings(8);
  const at = (row: Shoot, k: number): Told => tellings.tell(row, row.shots[k]);
  const judged = (row: Shoot, k: number) =>
    row.shots[k] && row.shots[k + 1] ? judgeJoin(at(row, k), at(row, k + 1), story.handlesS) : null;
  const join = judgeJoin(at(shoot, index), at(shoot, index + 1), story.handlesS);
  const before = severities(join);
  const beside = [index - 1, index + 1].map((k) => judged(shoot, k));
  const troubles = [...new Set(join.findings.filter((row) => severity(row) > 0).map(({ id }) => id))];
  const found = new Map<JoinFindingId, JoinCure[]>(troubles.map((id) => [id, []]));
  const own = new Map<string, Finding[]>();
  const removed = new Set<string>();
  for (const candidate of troubles.length > 0 ? candidates(at(shoot, index), at(shoot, index + 1), join) : []) {
    const helps = troubles.filter(
      (id) =>
        candidate.helps.includes(id) &&
        (found.get(id)?.length ?? 0) < MOST_CURES &&
        !removed.has(`${id} ${candidate.like}`) &&
        !(candidate.like === 'both' && (removed.has(`${id} later`) || removed.has(`${id} earlier`))),
    );
    if (helps.length === 0 || candidate.shots.some((shot) => !ShotSchema.safeParse(shot).success)) continue;
    const next = withShots(shoot, candidate.shots);
    const after = judged(next, index);
    if (!after) continue;
    const now = severities(after);
    const kinds: JoinFindingId[] = join.kind === after.kind ? [] : ['motion', 'line', 'eye'];
    if (worseAnywhere(before, now, kinds)) continue;
    const helped = helps.filter((id) => (now.get(id) ?? 0) < (before.get(id) ?? 0));
    if (helped.length === 0) continue;
    if (kinds.length > 0 && severity(after) >= severity(join)) continue;
    const worseBeside = [index - 1, index + 1].some((k, i) => {
      const was = beside[i];
      const is = was && judged(next, k);
      return was && is && worseAnywhere(severities(was), severities(is), []);
    });
    if (worseBeside) continue;
    const costs = candidate.shots.flatMap((shot) => worsened(shoot, shots, shot, own));
    for (const id of helped) {
      const removes = (now.get(id) ?? 0) === 0;
      if (removes) removed.add(`${id} ${candidate.like}`);
      const word = (before.get(id) ?? 0) === 2 ? 'jolt' : 'ripple';
      found.get(id)?.push({
        findingId: id,
        instruction: candidate.instruction,
        effect: removes ? `removes the ${word}` : 'softens it to ripple',
        costs,
        removes,
        shots: candidate.shots,
      });
    }
  }
  return [...found.values()].flatMap((rows) => {
    const removing = rows.filter(({ removes }) => removes);
    return (removing.length > 0 ? removing : rows).sort((a, b) => a.costs.length - b.costs.length);
  });
}

/** What gets worse in a shot's own reading; nothing where only its cut or its join differ. */
function worsened(shoot: Shoot, shots: readonly Shot[], changed: Shot, known: Map<string, Finding[]>): string[] {
  const was = shots.find(({ id }) => id === changed.id);
  if (!was) return [];
  const plan = (shot: Shot) => JSON.stringify({ ...shot, cut: null, join: PLAIN_JOIN });
  if (plan(was) === plan(changed)) return [];
  const before = known.get(was.id) ?? readShot(shoot, was).findings;
  known.set(was.id, before);
  return readShot(shoot, changed)
    .findings.filter((row) => severity(row) > Math.max(0, ...before.filter(({ id }) => id === row.id).map(severity)))
    .map(({ sentence }) => `${changed.name}: ${sentence}`);
}

import type * as z from 'zod';
import {
  clipped,
  migrated,
  nameText,
  newPiece,
  newShoot,
  newShot,
  pathText,
  PIECE_KINDS,
  type PieceKind,
  problemsOf,
  type Shoot,
  SHOOT_FORMAT,
  SHOOT_VERSION,
  ShootSchema,
} from '../model';

/** What could be read of a shoot that is out of order, and what was left out or set anew, a sentence each. */
export interface Salvage {
  shoot: Shoot;
  left: string[];
}

type Key = string | number;
type Box = Record<Key, unknown>;
const isBox = (value: unknown): value is Box => typeof value === 'object' && value !== null;
const MOST_PASSES = 60;
/**
 * Lists of the shoot that names of other things point into: what is not there any more is replaced by the first that
 * is.
 */
const POINTS_INTO: Record<string, keyof Shoot['kit']> = {
  cameraId: 'cameras',
  lensId: 'lenses',
  rigId: 'rigs',
  gaitId: 'gaits',
};

/** Fields that name another thing. */
const REFERS = /Id$|^id$|^\d+$/;

/**
 * Opens what can be read of a value that was once a shoot: numbers go back into their range, broken fields to their
 * usual value, broken rows are left out. Null when it is no shoot at all.
 */
export function salvageShoot(value: unknown): Salvage | null {
  if (!isBox(value) || Array.isArray(value) || value.format !== SHOOT_FORMAT) return null;
  const raw = migrated(structuredCloneOf(value));
  if (!isBox(raw)) return null;
  const usual = newShoot(typeof raw.id === 'string' && raw.id ? raw.id : 'shoot', 'Shoot', 'shot-1') as unknown as Box;
  raw.version = SHOOT_VERSION;
  for (const key of ['site', 'kit', 'delivery', 'limits'] as const)
    if (!isBox(raw[key]) || Array.isArray(raw[key])) raw[key] = structuredCloneOf(usual[key]);
  const left: string[] = [];
  const tries = new Map<string, number>();
  for (let pass = 0; pass < MOST_PASSES; pass += 1) {
    const checked = ShootSchema.safeParse(raw);
    if (checked.success) return { shoot: checked.data, left };
    const sentences = problemsOf(checked.error, raw).map(({ sentence }) => sentence);
    const gone = new Set<unknown>();
    // From the last to the first, so that taking a row out moves none that is still to come.
    checked.error.issues
      .map((issue, i) => ({ issue, sentence: sentences[i] }))
      .sort((a, b) => pathOrder(b.issue.path as Key[], a.issue.path as Key[]))
      .forEach(({ issue, sentence }) => {
        const name = pathText(issue.path);
        const times = tries.get(name) ?? 0;
        tries.set(name, times + 1);
        left.push(`${clipped(sentence, 200)} ${mend(raw, usual, issue, times, gone)}`);
      });
  }
  return null;
}

const structuredCloneOf = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

function pathOrder(a: readonly Key[], b: readonly Key[]): number {
  for (let i = 0; i < Math.min(a.length, b.length); i += 1) {
    if (a[i] === b[i]) continue;
    return typeof a[i] === 'number' && typeof b[i] === 'number'
      ? Number(a[i]) - Number(b[i])
      : String(a[i]) < String(b[i])
        ? -1
        : 1;
  }
  return a.length - b.length;
}

const at = (root: unknown, path: readonly Key[]): unknown =>
  path.reduce<unknown>((value, key) => (isBox(value) ? value[key] : undefined), root);

/** Mends one problem in place, more firmly each time it comes back, and says what was done. */
function mend(raw: Box, usual: Box, issue: z.core.$ZodIssue, times: number, gone: Set<unknown>): string {
  const path = issue.path as Key[];
  const owner = at(raw, path.slice(0, -1));
  const key = path[path.length - 1];
  if (path.length > 0 && !isBox(owner)) return 'It was left out.';
  // What two fields of a shot say together is mended in both.
  const together = issue.code === 'custom' && path[0] === 'shots' && path.length > 3 && !REFERS.test(String(key));
  if (times === 0 && isBox(owner) && !together) {
    const found = owner[key];
    if (issue.code === 'unrecognized_keys') {
      const box = at(raw, path);
      if (isBox(box)) for (const name of issue.keys) Reflect.deleteProperty(box, name);
      return 'It was left out.';
    }
    if (
      typeof found === 'number' &&
      Number.isFinite(found) &&
      (issue.code === 'too_small' || issue.code === 'too_big')
    ) {
      owner[key] = Number(issue.code === 'too_small' ? issue.minimum : issue.maximum);
      return `It is ${String(owner[key])} now.`;
    }
    if (Array.isArray(found) && issue.code === 'too_big') {
      found.length = Number(issue.maximum);
      return `The first ${found.length} are kept.`;
    }
    if (typeof found === 'string' && issue.code === 'too_big') {
      owner[key] = found.slice(0, Number(issue.maximum));
      return 'Its beginning is kept.';
    }
    const stands = usualAt(raw, usual, path);
    if (stands !== undefined) {
      owner[key] = structuredCloneOf(stands);
      return 'It has its usual value now.';
    }
  }
  if (times === 1 || (times === 0 && together)) {
    // The whole the field belongs to: holds and feathers that do not fit, a focus that is out of order.
    const parent = path.slice(0, -1);
    const stands = parent.length > 2 ? usualAt(raw, usual, parent) : undefined;
    const box = at(raw, parent.slice(0, -1));
    if (stands !== undefined && isBox(box)) {
      box[parent[parent.length - 1]] = structuredCloneOf(stands);
      return `${String(parent[parent.length - 1])} is as usual now.`;
    }
  }
  return leaveOut(raw, usual, path, gone);
}

/** Takes out the smallest row that holds a path; without one, the part of the shoot goes back to its usual state. */
function leaveOut(raw: Box, usual: Box, path: readonly Key[], gone: Set<unknown>): string {
  for (let depth = path.length - 1; depth >= 0; depth -= 1) {
    const list = at(raw, path.slice(0, depth));
    const index = path[depth];
    if (!Array.isArray(list) || typeof index !== 'number') continue;
    const row: unknown = list[index];
    if (gone.has(row)) return 'It was left out.';
    if (isBox(row)) gone.add(row);
    list.splice(index, 1);
    return 'It was left out.';
  }
  const [top] = path;
  if (top !== undefined && top in usual) raw[top] = structuredCloneOf(usual[top]);
  return 'It is as in a new shoot now.';
}

/** What usually stands at a path: from a new shoot, shot or piece. */
function usualAt(raw: Box, usual: Box, path: readonly Key[]): unknown {
  const name = path[path.length - 1];
  const kit = raw.kit as Box;
  const into = typeof name === 'string' ? POINTS_INTO[name] : undefined;
  if (into) return (at(kit, [into, 0, 'id']) as string | undefined) ?? at(usual, ['kit', into, 0, 'id']);
  if (name === 'subjectId' || name === 'of' || name === 'fromPieceId' || name === 'toPieceId') return null;
  if (name === 'id') return undefined;
  if (name === 'name') return nameText(80).safeParse(at(raw, path)).success ? undefined : 'Unnamed';
  if (path[0] === 'shots' && path.length > 2) {
    const shot = newShot((usual as unknown as Shoot).kit, 'shot', 'Shot', null) as unknown as Box;
    const inPlan = path[2] === 'other' ? path.slice(3) : path.slice(2);
    return inPlan.length === 0 ? null : at(shot, inPlan);
  }
  // A place that is none is left away; of one that is half right the rest stays, and the sentence says what was not.
  if (path[0] === 'site' && path[1] === 'place') return path.length === 2 ? null : 0;
  if (path[0] === 'site' && path.length > 3) {
    const kind = at(raw, [...path.slice(0, 3), 'kind']) as PieceKind;
    return kind in PIECE_KINDS ? at(newPiece(kind, 'piece', 'Piece', 0, 0, 0), path.slice(3)) : undefined;
  }
  if (path[0] === 'kit' && path.length > 3 && path[1] !== 'builds' && path[1] !== 'parts')
    return at(usual, ['kit', path[1], 0, ...path.slice(3)]);
  return path[0] === 'kit' || path[0] === 'site' || path[0] === 'shots' ? undefined : at(usual, path);
}

import { parametersOf } from './move';
import type { Shoot } from './shoot';
import { focusTargets, legsOf, shotDurationS } from './legs-of-shot';
import { MOST_FRAMES, type Way } from './shot';
import { clipped } from './text';

type Path = (string | number)[];

/** What is large in a log: every saved state of a shoot carries it. */
const LARGE_IN_LOG = [
  ['recorded', 120, 'recordings'],
  ['photo', 60, 'pictures'],
  ['clip', 120, 'clips'],
] as const;

/**
 * Tells everything of a shoot that names what is not there, or is told twice, by its path and why. `before`: one in
 * which nothing was; with the same site and kit, what it has of shots need not be looked at again.
 */
export function checkReferences(
  shoot: Shoot,
  refuse: (path: Path, message: string) => void,
  before: Shoot | null = null,
): void {
  const { kit, site } = shoot;
  const sound = before?.site === site && before.kit === kit ? new Set(before.shots) : null;
  const uniqueIds = (rows: readonly { id: string }[], path: Path): Set<string> => {
    const seen = new Set<string>();
    rows.forEach(({ id }, i) => {
      if (seen.has(id)) refuse([...path, i, 'id'], `repeats "${clipped(id)}"; give each its own`);
      seen.add(id);
    });
    return seen;
  };
  const pieces = uniqueIds(site.pieces, ['site', 'pieces']);
  const cameras = uniqueIds(kit.cameras, ['kit', 'cameras']);
  const lenses = uniqueIds(kit.lenses, ['kit', 'lenses']);
  const rigs = uniqueIds(kit.rigs, ['kit', 'rigs']);
  const gaits = uniqueIds(kit.gaits, ['kit', 'gaits']);
  const filters = uniqueIds(kit.filters, ['kit', 'filters']);
  const parts = uniqueIds(kit.parts, ['kit', 'parts']);
  uniqueIds(kit.builds, ['kit', 'builds']);
  uniqueIds(shoot.shots, ['shots']);
  uniqueIds(shoot.day.people, ['day', 'people']);
  uniqueIds(shoot.day.batteries, ['day', 'batteries']);
  uniqueIds(shoot.day.breaks, ['day', 'breaks']);
  uniqueIds(shoot.practice.tries, ['practice', 'tries']);
  uniqueIds(shoot.log.takes, ['log', 'takes']);
  uniqueIds(shoot.log.readies, ['log', 'readies']);
  for (const [key, most, what] of LARGE_IN_LOG) {
    const rows = shoot.log.takes.flatMap((take, i) => (take[key] === null ? [] : [i]));
    if (rows.length > most)
      refuse(['log', 'takes', rows[most], key], `is one more than the ${most} ${what} that are kept; remove one first`);
  }
  const once = (names: string[], path: Path, key: string) => {
    const seen = new Set<string>();
    names.forEach((name, i) => {
      if (seen.has(name)) refuse([...path, i, key], `is said a second time ("${clipped(name)}"); say it once`);
      seen.add(name);
    });
  };
  once(
    shoot.day.wishes.map(({ shotId }) => shotId),
    ['day', 'wishes'],
    'shotId',
  );
  once(
    shoot.day.rigTimes.map(({ rigId }) => rigId),
    ['day', 'rigTimes'],
    'rigId',
  );

  const known = (ids: Set<string>, id: string, path: Path, where: string) => {
    if (!ids.has(id)) refuse(path, `names "${clipped(id)}", which is not in ${where}; choose one that is`);
  };
  if (!sound) {
    kit.parts.forEach(({ of }, i) => {
      if (of !== null && ![cameras, lenses, filters].some((ids) => ids.has(of)))
        refuse(
          ['kit', 'parts', i, 'of'],
          `names "${clipped(of)}", which is no camera, lens or filter of the kit; choose one that is, or null`,
        );
    });
    kit.builds.forEach((build, i) => {
      const path = ['kit', 'builds', i];
      known(rigs, build.rigId, [...path, 'rigId'], 'kit.rigs');
      build.parts.forEach(({ partId }, k) => known(parts, partId, [...path, 'parts', k, 'partId'], 'kit.parts'));
      uniqueIds(build.ownChecks, [...path, 'ownChecks']);
    });

    site.pieces.forEach(({ on, id, ownParts }, i) => {
      const path = ['site', 'pieces', i];
      uniqueIds(ownParts, [...path, 'ownParts']);
      if (on === null) return;
      known(pieces, on, [...path, 'on'], 'site.pieces');
      if (standsOnItself(site.pieces, id))
        refuse([...path, 'on'], 'stands on itself in the end; put one of them on the ground');
    });
  }

  const checkWay = (way: Way, path: Path) => {
    known(cameras, way.cameraId, [...path, 'cameraId'], 'kit.cameras');
    known(lenses, way.lensId, [...path, 'lensId'], 'kit.lenses');
    known(rigs, way.rigId, [...path, 'rigId'], 'kit.rigs');
    known(gaits, way.gaitId, [...path, 'gaitId'], 'kit.gaits');
    if (way.subjectId !== null) known(pieces, way.subjectId, [...path, 'subjectId'], 'site.pieces');
    way.filterIds.forEach((id, k) => known(filters, id, [...path, 'filterIds', k], 'kit.filters'));
    legsOf(way).forEach(({ move }, k) => {
      for (const { key } of parametersOf(move.kind).filter(({ type }) => type === 'piece')) {
        const id = (move as Record<string, unknown>)[key];
        if (typeof id === 'string')
          known(pieces, id, [...path, ...(k === 0 ? ['move', key] : ['then', k - 1, 'move', key])], 'site.pieces');
      }
    });
    for (const { target, at } of focusTargets(way.focus))
      if (target.on === 'piece') known(pieces, target.pieceId, [...path, 'focus', ...at, 'pieceId'], 'site.pieces');
    const frames = shotDurationS(way) * way.captureRateHz;
    if (frames > MOST_FRAMES)
      refuse(
        [...path, 'captureRateHz'],
        `comes to ${Math.round(frames)} frames; a shot has at most ${MOST_FRAMES}: film fewer a second, or less long`,
      );
    const staged = new Set<string>();
    way.staging.forEach(({ pieceId, there }, k) => {
      known(pieces, pieceId, [...path, 'staging', k, 'pieceId'], 'site.pieces');
      if (staged.has(pieceId))
        refuse([...path, 'staging', k, 'pieceId'], `is staged a second time ("${clipped(pieceId)}"); say it once`);
      if (!there && pieceId === way.subjectId)
        refuse([...path, 'staging', k, 'there'], 'takes the subject away; choose another subject first');
      staged.add(pieceId);
    });
    const walkers = new Set<string>();
    way.walks.forEach(({ pieceId }, k) => {
      known(pieces, pieceId, [...path, 'walks', k, 'pieceId'], 'site.pieces');
      if (walkers.has(pieceId))
        refuse(
          [...path, 'walks', k, 'pieceId'],
          `walks a second time ("${clipped(pieceId)}"); a piece has one walk in a shot`,
        );
      walkers.add(pieceId);
    });
  };
  shoot.shots.forEach((shot, i) => {
    if (sound?.has(shot)) return;
    checkWay(shot, ['shots', i]);
    if (shot.other) checkWay(shot.other, ['shots', i, 'other']);
  });
}

/** Whether a piece, followed down what it stands on, comes back to itself. */
function standsOnItself(pieces: Shoot['site']['pieces'], id: string): boolean {
  const under = new Map(pieces.map((piece) => [piece.id, piece.on]));
  const met = new Set<string>();
  for (let next = under.get(id); next !== null && next !== undefined; next = under.get(next)) {
    if (next === id) return true;
    if (met.has(next)) return false;
    met.add(next);
  }
  return false;
}

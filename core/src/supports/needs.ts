import { type Build, type Kit, type Shoot, type Shot, trim } from '../model';
import { supportOf } from './all';
import type { RefitOf } from './definition';
import { zoomShare } from './masses';

/** One thing that has to be changed on a build for a shot, and what has to be balanced again for it. */
export interface Refit {
  what: RefitOf;
  said: string;
  redo: string;
  minutes: number;
}

export interface Need {
  /** The build that comes nearest; null: none is for this rig. */
  build: Build | null;
  changes: Refit[];
  minutes: number;
}

/** What a shot changes on a build. */
export function refitsFor(build: Build, kit: Kit, shot: Shot): Refit[] {
  const on = kit.parts.filter((part) => build.parts.some(({ partId }) => partId === part.id));
  const { refits } = supportOf(build.support.kind);
  const change = (what: RefitOf, said: string): Refit => ({ what, said, ...refits[what] });
  const nameOf = (rows: { id: string; name: string }[], id: string) => rows.find((row) => row.id === id)?.name ?? id;
  const changes: Refit[] = [];
  const camera = on.find((part) => part.kind === 'camera');
  if (camera?.of !== shot.cameraId)
    changes.push(
      change('camera', `${nameOf(kit.cameras, shot.cameraId)} ${camera ? `for ${camera.name}` : 'has to go on'}`),
    );
  const lens = on.find((part) => part.kind === 'lens');
  // A camera with its lens built in has no part for it.
  const builtIn = !kit.parts.some((part) => part.of === shot.lensId) && !lens;
  if (lens?.of !== shot.lensId && !builtIn)
    changes.push(change('lens', `${nameOf(kit.lenses, shot.lensId)} ${lens ? `for ${lens.name}` : 'has to go on'}`));
  else if (lens && lens.zoomShiftMm !== 0) {
    const through = kit.lenses.find((row) => row.id === lens.of);
    const shiftMm =
      lens.zoomShiftMm * (zoomShare(through, shot.focalLengthMm) - zoomShare(through, build.focalLengthMm));
    if (Math.abs(shiftMm) >= 0.5)
      changes.push(
        change(
          'zoom',
          `zoom from ${trim(build.focalLengthMm, 0)} to ${trim(shot.focalLengthMm, 0)} mm: the lens’s weight ` +
            `goes ${trim(Math.abs(shiftMm), 1)} mm ${shiftMm > 0 ? 'forward' : 'back'}`,
        ),
      );
  }
  const filters = on.filter((part) => part.kind === 'filter' && part.of !== null);
  for (const id of shot.filterIds)
    if (!filters.some((part) => part.of === id)) changes.push(change('filter', `${nameOf(kit.filters, id)} on`));
  for (const part of filters)
    if (!shot.filterIds.includes(part.of ?? '')) changes.push(change('filter', `${part.name} off`));
  return changes;
}

/** The build of a shot's rig that needs the least to be changed for it. */
export function needOf(kit: Kit, shot: Shot): Need {
  const needs = kit.builds
    .filter((build) => build.rigId === shot.rigId)
    .map((build): Need => {
      const changes = refitsFor(build, kit, shot);
      return { build, changes, minutes: changes.reduce((sum, row) => sum + row.minutes, 0) };
    })
    .sort((a, b) => a.minutes - b.minutes || a.changes.length - b.changes.length);
  return needs[0] ?? { build: null, changes: [], minutes: 0 };
}

/** The shots, in their order, that a build is the nearest for. */
export function shotsOf(shoot: Shoot, build: Build): { shot: Shot; number: number; need: Need }[] {
  return shoot.shots.flatMap((shot, i) => {
    const need = needOf(shoot.kit, shot);
    return need.build?.id === build.id ? [{ shot, number: i + 1, need }] : [];
  });
}

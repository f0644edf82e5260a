import type { Build, SupportKind } from '../model/build';
import type { Kit } from '../model/kit';
import type { Shoot } from '../model/shoot';
import type { Shot } from '../model/shot';
import { trim } from '../model/units';
import { zoomShare } from './masses';

/** One thing that has to be changed on a build for a shot, and what has to be balanced again for it. */
export interface Refit {
  what: 'camera' | 'lens' | 'filter' | 'zoom';
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

/** How long balancing again takes, minutes, by what changed: common practice, no published source. */
const MINUTES: Record<SupportKind, Record<Refit['what'], number>> = {
  sled: { camera: 25, lens: 12, filter: 5, zoom: 6 },
  motorGimbal: { camera: 12, lens: 6, filter: 2, zoom: 2 },
  jib: { camera: 8, lens: 4, filter: 1, zoom: 0 },
  slider: { camera: 4, lens: 2, filter: 1, zoom: 0 },
  arm: { camera: 5, lens: 3, filter: 1, zoom: 0 },
  rope: { camera: 10, lens: 5, filter: 2, zoom: 1 },
  drone: { camera: 10, lens: 5, filter: 2, zoom: 0 },
  wheels: { camera: 6, lens: 4, filter: 1, zoom: 0 },
  improvised: { camera: 3, lens: 2, filter: 1, zoom: 0 },
};

const REDO: Record<SupportKind, Record<Refit['what'], string>> = {
  sled: {
    camera: 'balance the sled from the beginning',
    lens: 'stage fore and aft, pivot, drop time',
    filter: 'stage fore and aft',
    zoom: 'stage fore and aft, then tape the zoom',
  },
  motorGimbal: {
    camera: 'all four balances',
    lens: 'tilt fore and aft, then pan',
    filter: 'tilt fore and aft',
    zoom: 'tilt fore and aft, then tape the zoom',
  },
  jib: { camera: 'counterweight and level', lens: 'counterweight', filter: 'a look at the balance', zoom: 'nothing' },
  slider: { camera: 'bags and level', lens: 'level', filter: 'a look at the level', zoom: 'nothing' },
  arm: { camera: 'bag and level', lens: 'bag and level', filter: 'a look at the level', zoom: 'nothing' },
  rope: {
    camera: 'the rigger’s forces',
    lens: 'the rigger’s forces',
    filter: 'a look at how it hangs',
    zoom: 'how it hangs',
  },
  drone: { camera: 'gimbal, and take-off mass', lens: 'gimbal', filter: 'a look at the gimbal', zoom: 'nothing' },
  wheels: { camera: 'straps', lens: 'straps', filter: 'a look at the straps', zoom: 'nothing' },
  improvised: { camera: 'tape', lens: 'tape', filter: 'a look at the tape', zoom: 'nothing' },
};

/** What a shot changes on a build. */
export function refitsFor(build: Build, kit: Kit, shot: Shot): Refit[] {
  const on = kit.parts.filter((part) => build.parts.some(({ partId }) => partId === part.id));
  const kind = build.support.kind;
  const change = (what: Refit['what'], said: string): Refit => ({
    what,
    said,
    redo: REDO[kind][what],
    minutes: MINUTES[kind][what],
  });
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
          `zoom from ${trim(build.focalLengthMm, 0)} to ${trim(shot.focalLengthMm, 0)} mm: the lens’s weight goes ${trim(Math.abs(shiftMm), 1)} mm ${shiftMm > 0 ? 'forward' : 'back'}`,
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

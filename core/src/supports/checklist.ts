import { OWN_CHECK, type Build } from '../model/build';
import type { Kit } from '../model/kit';
import type { Piece } from '../model/piece';
import type { Shot } from '../model/shot';

/** One thing to check, in the order of hands. */
export interface Check {
  key: string;
  said: string;
  own: boolean;
}

/**
 * What has to be right before a build shoots: from its parts, its rig, the shots it is for, and who stands on the site.
 * Common practice, no published source.
 */
export function checklistOf(build: Build, kit: Kit, shots: readonly Shot[], pieces: readonly Piece[] = []): Check[] {
  const on = kit.parts.filter((part) => build.parts.some(({ partId }) => partId === part.id));
  const { support } = build;
  const kind = support.kind;
  const checks: Check[] = [];
  const add = (key: string, said: string, when = true) => {
    if (when) checks.push({ key, said, own: false });
  };
  add('battery', 'Camera battery full, and in');
  add('card', 'Card in, and empty');
  add('strap', 'Strap off, or tied so that it cannot swing');
  add('cap', 'Lens cap off');
  for (const part of on) if (part.kind === 'filter') add(`filter.${part.id}`, `${part.name} on, and clean`);
  add(
    'zoom',
    'Zoom set and taped',
    on.some((part) => part.zoomShiftMm !== 0 || zooms(kit, part.of)),
  );
  add(
    'focus',
    'Focus and exposure locked where the move ends',
    shots.some((shot) => shot.focus.mode === 'fixed') || kind === 'improvised',
  );
  add(
    'focusEnd',
    'Focus checked where the move starts and where it ends',
    shots.some((shot) => shot.focus.mode !== 'fixed'),
  );
  add('screws', 'Plates and adapters tight');
  add(
    'monitor',
    'Monitor’s cable tied, its battery full',
    on.some((part) => part.kind === 'monitor'),
  );
  add(
    'balance',
    kind === 'sled' ? 'Rests level; drop time as wished; all locked' : 'Each axis stays where it is left, motors off',
    kind === 'sled' || kind === 'motorGimbal',
  );
  add('motors', 'Motors on with fingers out of the arms', kind === 'motorGimbal');
  add('counter', 'Counterweight on and locked with its own pin', kind === 'jib');
  add(
    'level',
    'Bubble level, both ways, after the last move of the rig',
    kind === 'slider' || kind === 'jib' || kind === 'arm',
  );
  add('bags', 'Bags on the feet', kind === 'slider' || kind === 'jib' || kind === 'arm');
  add(
    'marks',
    'Start and stop marked with tape',
    kind === 'slider' || kind === 'arm' || kind === 'wheels' || kind === 'improvised',
  );
  add('drag', 'Drag set: it does not run off on the slope', kind === 'slider' && support.tiltDeg !== 0);
  add(
    'line',
    'Second, independent line on camera and lens',
    kind === 'rope' || kind === 'jib' || kind === 'arm' || kind === 'wheels',
  );
  add('rigger', 'Points, rope and knots seen by a qualified rigger', kind === 'rope');
  add(
    'lensStrap',
    'Lens strapped to the rods or the mount: vibration loosens adapters',
    kind === 'wheels' || kind === 'rope',
  );
  add('propellers', 'Propellers whole and tight; gimbal cover off', kind === 'drone');
  add('law', 'Air law, parks’ rules and the owner’s word', kind === 'drone');
  add(
    'wind',
    'Wind measured where the camera will be',
    kind === 'drone' || kind === 'sled' || kind === 'jib' || kind === 'arm',
  );
  add('clear', 'The way walked through and clear of people', kind !== 'arm');
  for (const person of pieces.filter(
    ({ id, kind: what }) =>
      what === 'figure' &&
      shots.some((shot) => shot.subjectId === id || shot.walks.some(({ pieceId }) => pieceId === id)),
  ))
    add(`person.${person.id}`, `${person.name} told where the camera goes, and walked through`);
  add(
    'word',
    'The word that stops everything agreed',
    kind === 'wheels' || kind === 'drone' || kind === 'jib' || kind === 'rope',
  );
  add('tape', 'Taped what can loosen, tried with a dummy', kind === 'improvised');
  add('spares', 'Spare batteries and cards within reach');
  return [...checks, ...build.ownChecks.map(({ id, text }) => ({ key: `${OWN_CHECK}${id}`, said: text, own: true }))];
}

function zooms(kit: Kit, lensId: string | null): boolean {
  const lens = kit.lenses.find((row) => row.id === lensId);
  return lens !== undefined && lens.focalLengthMaxMm > lens.focalLengthMinMm;
}

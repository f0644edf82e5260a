import { type Build, type Kit, OWN_CHECK, type Piece, type Shot } from '../model';
import { supportOf } from './all';
import type { KindCheck } from './definition';

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
  const checks: Check[] = [];
  const add = (key: string, said: string, when = true) => {
    if (when) checks.push({ key, said, own: false });
  };
  const asked = new Set<KindCheck>(supportOf(support.kind).checks);
  const ofKind = (check: KindCheck, said: string, key: string = check) => add(key, said, asked.has(check));
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
    shots.some((shot) => shot.focus.mode === 'fixed') || asked.has('lockedFocus'),
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
  ofKind('restsLevel', 'Rests level; drop time as wished; all locked', 'balance');
  ofKind('axes', 'Each axis stays where it is left, motors off', 'balance');
  ofKind('motors', 'Motors on with fingers out of the arms');
  ofKind('counter', 'Counterweight on and locked with its own pin');
  ofKind('level', 'Bubble level, both ways, after the last move of the rig');
  ofKind('bags', 'Bags on the feet');
  ofKind('marks', 'Start and stop marked with tape');
  add(
    'drag',
    'Drag set: it does not run off on the slope',
    asked.has('drag') && 'tiltDeg' in support && support.tiltDeg !== 0,
  );
  ofKind('line', 'Second, independent line on camera and lens');
  ofKind('rigger', 'Points, rope and knots seen by a qualified rigger');
  ofKind('lensStrap', 'Lens strapped to the rods or the mount: vibration loosens adapters');
  ofKind('propellers', 'Propellers whole and tight; gimbal cover off');
  ofKind('law', 'Air law, parks’ rules and the owner’s word');
  ofKind('wind', 'Wind measured where the camera will be');
  ofKind('clear', 'The way walked through and clear of people');
  for (const person of pieces.filter(
    ({ id, kind: what }) =>
      what === 'figure' &&
      shots.some((shot) => shot.subjectId === id || shot.walks.some(({ pieceId }) => pieceId === id)),
  ))
    add(`person.${person.id}`, `${person.name} told where the camera goes, and walked through`);
  ofKind('word', 'The word that stops everything agreed');
  ofKind('tape', 'Taped what can loosen, tried with a dummy');
  add('spares', 'Spare batteries and cards within reach');
  return [...checks, ...build.ownChecks.map(({ id, text }) => ({ key: `${OWN_CHECK}${id}`, said: text, own: true }))];
}

function zooms(kit: Kit, lensId: string | null): boolean {
  const lens = kit.lenses.find((row) => row.id === lensId);
  return lens !== undefined && lens.focalLengthMaxMm > lens.focalLengthMinMm;
}

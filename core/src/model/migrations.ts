import { USUAL_BENCH } from './bench';
import { OWN_CHECK } from './build';
import { USUAL_DAY } from './day';
import { NO_LOG } from './log';
import { USUAL_PRACTICE } from './practice';
import { DEFAULT_AIM, DEFAULT_KIT, USUAL_STILLS } from './defaults';
import { DEFAULT_GAITS, USUAL_GAIT } from './default-gaits';
import { usualRig } from './usual-rig';
import { RIG_KINDS, type Rig, type RigKind } from './kit';
import { type PieceKind, SHINES } from './piece';
import { PLAIN_LOOK, USUAL_SET_UP, WHOLE } from './shot';
import { NO_STORY, UNTOLD } from './story';

type Row = Record<string, unknown>;
const isRow = (value: unknown): value is Row => typeof value === 'object' && value !== null && !Array.isArray(value);
const rows = (value: unknown): unknown[] => (Array.isArray(value) ? value : []);

/**
 * From version 1 to 2: rigs get the usual figures of their kind, the kit gets gaits, shots get body, stick and capture
 * rate; a push that went away becomes a pull.
 */
function toVersion2(shoot: Row): Row {
  const kit = isRow(shoot.kit) ? shoot.kit : {};
  const kindOf = new Map<unknown, RigKind>();
  const rigs = rows(kit.rigs).map((rig) => {
    if (!isRow(rig)) return rig;
    const kind = RIG_KINDS.find((row) => row === rig.kind);
    if (!kind) return rig;
    kindOf.set(rig.id, kind);
    return usualRig(kind, rig as Partial<Rig> & Pick<Rig, 'id' | 'name'>);
  });
  const shots = rows(shoot.shots).map((shot) => {
    if (!isRow(shot)) return shot;
    const aim = isRow(shot.aim) ? { ...DEFAULT_AIM, ...shot.aim } : shot.aim;
    return {
      gaitId: USUAL_GAIT[kindOf.get(shot.rigId) ?? 'tripod'],
      bodySeed: 1,
      stick: 'fast',
      captureRateHz: shot.frameRateHz,
      backwards: false,
      then: [],
      ...shot,
      aim,
      move: isRow(shot.move) ? moveToVersion2(shot.move) : shot.move,
    };
  });
  return { ...shoot, version: 2, kit: { gaits: DEFAULT_GAITS, ...kit, rigs }, shots };
}

function moveToVersion2(move: Row): Row {
  if (move.kind === 'dollyZoom') return { zoomBy: 'both', pace: 'travel', ...move };
  if (move.kind === 'push' && Number(move.toDistanceM) > Number(move.fromDistanceM)) return { ...move, kind: 'pull' };
  return move;
}

/** Usual figures where version 2 had none: common practice, no published source. */
const USUAL_READ_OUT_MS = 20;
const USUAL_F_NUMBER_MIN = 2.8;
const USUAL_F_NUMBER = 5.6;

/**
 * From version 2 to 3: cameras get a read-out time, lenses an opening, shots focus and stop and room for a second
 * variant; pieces may be pinned to a layer.
 */
function toVersion3(shoot: Row): Row {
  const each = (value: unknown, given: Row): unknown[] =>
    rows(value).map((row) => (isRow(row) ? { ...given, ...row } : row));
  const kit = isRow(shoot.kit) ? shoot.kit : {};
  const site = isRow(shoot.site) ? shoot.site : {};
  return {
    limits: {},
    ...shoot,
    version: 3,
    delivery: isRow(shoot.delivery) ? { alsoShape: 'none', ...shoot.delivery } : shoot.delivery,
    site: { ...site, pieces: each(site.pieces, { layer: 'auto' }) },
    kit: {
      ...kit,
      cameras: each(kit.cameras, { readOutMs: USUAL_READ_OUT_MS }),
      lenses: each(kit.lenses, { fNumberMin: USUAL_F_NUMBER_MIN }),
    },
    shots: each(shoot.shots, { fNumber: USUAL_F_NUMBER, focus: { mode: 'follow' }, variant: 'A', other: null }),
  };
}

/** Usual figures where version 3 had none: common practice, no published source. */
const USUAL_CAMERA = { dataRateMbps: 100, bufferAboveHz: 120, bufferS: 600 };
const USUAL_RING_DEG = 180;
const PLAIN_PLAN = {
  puller: 'autofocus',
  light: { ev100: 15, iso: 100 },
  filterIds: [],
  playback: { reversed: false, ramp: [] },
};

/**
 * From version 3 to 4: cameras say what they write, lenses how far their ring turns, the kit has filters; shots say who
 * pulls focus, in what light, behind which filter, and how they are played.
 */
function toVersion4(shoot: Row): Row {
  const each = (value: unknown, given: Row): unknown[] =>
    rows(value).map((row) => (isRow(row) ? { ...given, ...row } : row));
  const kit = isRow(shoot.kit) ? shoot.kit : {};
  const limits = isRow(shoot.limits)
    ? Object.fromEntries(Object.entries(shoot.limits).filter(([name]) => name !== 'focusRate'))
    : shoot.limits;
  const shots = each(shoot.shots, PLAIN_PLAN).map((shot) =>
    isRow(shot) && isRow(shot.other) ? { ...shot, other: { ...PLAIN_PLAN, ...shot.other } } : shot,
  );
  return {
    ...shoot,
    version: 4,
    limits,
    kit: {
      filters: DEFAULT_KIT.filters,
      ...kit,
      cameras: each(kit.cameras, USUAL_CAMERA),
      lenses: each(kit.lenses, { ringDeg: USUAL_RING_DEG }),
    },
    shots,
  };
}

/** From version 4 to 5: the kit gets parts and builds, none at first. */
function toVersion5(shoot: Row): Row {
  return { ...shoot, version: 5, kit: isRow(shoot.kit) ? { parts: [], builds: [], ...shoot.kit } : shoot.kit };
}

const UNNAMED = 'Unnamed';

/** Rows under ids that only the first of them has: what repeats an id gets a number behind it. */
function toldApart(list: unknown[]): unknown[] {
  const seen = new Set<unknown>();
  return list.map((row) => {
    if (!isRow(row) || typeof row.id !== 'string') return row;
    let id = row.id;
    for (let k = 2; seen.has(id); k += 1) id = `${row.id}-${k}`;
    seen.add(id);
    return id === row.id ? row : { ...row, id };
  });
}

/**
 * From version 5 to 6: shots keep what is worked out on the Lens screen, cameras may write other sizes from a rate on;
 * a name is more than white space, a piece walks once in a shot, and the own items of a checklist stand apart from the
 * usual ones.
 */
function toVersion6(shoot: Row): Row {
  const named = (row: unknown): unknown =>
    isRow(row) && typeof row.name === 'string' && row.name !== '' && row.name.trim() === ''
      ? { ...row, name: UNNAMED }
      : row;
  const list = (value: unknown): unknown => (Array.isArray(value) ? value.map(named) : value);
  const walkOnce = (plan: Row): Row => {
    const walkers = new Set<unknown>();
    return Array.isArray(plan.walks)
      ? {
          ...plan,
          walks: plan.walks.filter((walk) => !isRow(walk) || (!walkers.has(walk.pieceId) && walkers.add(walk.pieceId))),
        }
      : plan;
  };
  const build = (row: unknown): unknown => {
    if (!isRow(row) || !Array.isArray(row.ownChecks) || !Array.isArray(row.ticked)) return row;
    const ownChecks = toldApart(
      row.ownChecks.filter((check) => !isRow(check) || typeof check.text !== 'string' || check.text.trim() !== ''),
    );
    const own = new Set(ownChecks.map((check) => (isRow(check) ? check.id : null)));
    return { ...row, ownChecks, ticked: row.ticked.map((key) => (own.has(key) ? `${OWN_CHECK}${String(key)}` : key)) };
  };
  const kit = isRow(shoot.kit)
    ? (Object.fromEntries(Object.entries(shoot.kit).map(([key, value]) => [key, list(value)])) as Row)
    : shoot.kit;
  return {
    ...(named(shoot) as Row),
    version: 6,
    site: isRow(shoot.site) ? { ...shoot.site, pieces: list(shoot.site.pieces) } : shoot.site,
    kit: isRow(kit)
      ? {
          ...kit,
          cameras: rows(kit.cameras).map((camera) => (isRow(camera) ? { picturesFrom: [], ...camera } : camera)),
          builds: Array.isArray(kit.builds) ? kit.builds.map(build) : kit.builds,
        }
      : kit,
    shots: Array.isArray(shoot.shots)
      ? shoot.shots.map((shot) =>
          isRow(shot)
            ? {
                bench: USUAL_BENCH,
                ...walkOnce(named(shot) as Row),
                other: isRow(shot.other) ? walkOnce(shot.other) : shot.other,
              }
            : shot,
        )
      : shoot.shots,
  };
}

/** From version 6 to 7: a sled can be wished to lean and stand on a deck that rolls; wheels have ground and slope. */
function toVersion7(shoot: Row): Row {
  const support = (value: unknown): unknown => {
    if (!isRow(value)) return value;
    if (value.kind === 'sled') return { wishLeanDeg: 0, deckRollDeg: 0, deckPeriodS: 8, deckHeightM: 3, ...value };
    return value.kind === 'wheels' ? { ground: 'hard', downhillDeg: 0, ...value } : value;
  };
  const build = (row: unknown): unknown => (isRow(row) ? { ...row, support: support(row.support) } : row);
  const { kit } = shoot;
  return {
    ...shoot,
    version: 7,
    kit: isRow(kit) && Array.isArray(kit.builds) ? { ...kit, builds: kit.builds.map(build) } : kit,
  };
}

/** What a body could measure before is a body; what is taller or smaller is a post that looks like one from afar. */
const BODY_M = [0.3, 3];

/**
 * From version 7 to 8: things can stand on others and have parts of their own, figures have a body and a pose; a shot
 * is after a part of its subject and may stage the site; a walk may go over the ground and jump; a move may go with its
 * subject, which none did before.
 */
/** Rigs of before whose way is known by their id. */
const KNOWN_WAYS: Record<string, string> = { 'rig-board': 'board', 'rig-waist': 'waist', 'rig-legs': 'legs' };

function toVersion8(shoot: Row): Row {
  const piece = (value: unknown): unknown => {
    if (!isRow(value)) return value;
    const row: Row = { on: null, ownParts: [], ...value };
    if (row.kind !== 'figure') return row;
    const tall = Number(row.heightM);
    if (tall < BODY_M[0] || tall > BODY_M[1]) return { ...row, kind: 'post' };
    return { body: 'adult', pose: 'stand', headwear: 'hat', ...row };
  };
  const leg = (value: unknown): unknown =>
    isRow(value) ? { goes: 'stays', look: { ...PLAIN_LOOK }, ...value } : value;
  const target = (value: unknown): unknown =>
    isRow(value) && value.on === 'piece' ? { part: WHOLE, ...value } : value;
  const focus = (value: unknown): unknown =>
    isRow(value) && value.mode === 'racks'
      ? {
          ...value,
          from: target(value.from),
          racks: Array.isArray(value.racks)
            ? value.racks.map((rack) => (isRow(rack) ? { ...rack, to: target(rack.to) } : rack))
            : value.racks,
        }
      : value;
  const plan = (value: unknown): unknown => {
    if (!isRow(value)) return value;
    const { bench } = value;
    const after = { stabilisingPercent: 0, barsPercent: 0 };
    // Bars belong to the shot now; what was kept back on the bench was only tried there.
    if (isRow(bench) && typeof bench.barsPercent === 'number') after.barsPercent = bench.barsPercent;
    return {
      after,
      setUp: { ...USUAL_SET_UP },
      subjectPart: WHOLE,
      staging: [],
      ...(leg(value) as Row),
      walks: Array.isArray(value.walks)
        ? value.walks.map((walk) => (isRow(walk) ? { footing: 'drawn', jumps: [], ...walk } : walk))
        : value.walks,
      then: Array.isArray(value.then) ? value.then.map(leg) : value.then,
      focus: focus(value.focus),
      ...(isRow(value.light) ? { light: { at: null, ...value.light } } : {}),
    };
  };
  const shotOf = (value: unknown): unknown => {
    if (!isRow(value)) return value;
    const shot: Row = { ...(plan(value) as Row), other: plan(value.other) };
    if (isRow(value.bench))
      shot.bench = Object.fromEntries(
        Object.entries({ spinPerS: 5, spinRepeats: 20, spinPercent: 40, backgroundM: 30, ...value.bench }).filter(
          ([key]) => key !== 'stabilisingPercent' && key !== 'barsPercent',
        ),
      );
    return shot;
  };
  const { kit } = shoot;
  const each = (list: unknown, given: Row) =>
    Array.isArray(list) ? list.map((row) => (isRow(row) ? { ...given, ...row } : row)) : list;
  return {
    ...shoot,
    version: 8,
    kit: isRow(kit)
      ? {
          ...kit,
          cameras: each(kit.cameras, USUAL_STILLS),
          lenses: each(kit.lenses, { breathingShare: 0, steadyShare: 1 }),
          parts: each(kit.parts, { carriesG: 0 }),
          rigs: Array.isArray(kit.rigs)
            ? kit.rigs.map((rig) => (isRow(rig) ? { way: KNOWN_WAYS[String(rig.id)] ?? 'plain', ...rig } : rig))
            : kit.rigs,
        }
      : kit,
    site:
      isRow(shoot.site) && Array.isArray(shoot.site.pieces)
        ? { place: null, ...shoot.site, pieces: shoot.site.pieces.map(piece) }
        : shoot.site,
    shots: Array.isArray(shoot.shots) ? shoot.shots.map(shotOf) : shoot.shots,
  };
}

/**
 * From version 8 to 9: walls have any number of openings; pieces can be grouped, locked and hidden and say whether they
 * shine; lamps may be broken up; pictures lie under the plan.
 */
function toVersion9(shoot: Row): Row {
  const piece = (value: unknown): unknown => {
    if (!isRow(value)) return value;
    const { opening, ...rest } = value;
    const open = isRow(opening) && Number(opening.widthM) > 0 && Number(opening.heightM) > 0;
    const surface = SHINES[value.kind as PieceKind] ?? 'dull';
    return {
      group: null,
      locked: false,
      hidden: false,
      surface,
      ...(value.kind === 'lamp' ? { pattern: 'none' } : {}),
      ...(value.kind === 'wall' ? { openings: open ? [opening] : [] } : {}),
      ...rest,
    };
  };
  return {
    ...shoot,
    version: 9,
    site:
      isRow(shoot.site) && Array.isArray(shoot.site.pieces)
        ? { underlays: [], ...shoot.site, pieces: shoot.site.pieces.map(piece) }
        : shoot.site,
  };
}

/** From version 9 to 10: shots have a place in a story, a stretch that is in the cut, and a way to meet the next. */
function toVersion10(shoot: Row): Row {
  return {
    story: NO_STORY,
    ...shoot,
    version: 10,
    shots: Array.isArray(shoot.shots)
      ? shoot.shots.map((shot) => (isRow(shot) ? { ...UNTOLD, ...shot } : shot))
      : shoot.shots,
  };
}

/** From version 10 to 11: a day of shooting. */
function toVersion11(shoot: Row): Row {
  return { day: USUAL_DAY, ...shoot, version: 11 };
}

/** From version 11 to 12: how it is rehearsed, and the tries of practice. */
function toVersion12(shoot: Row): Row {
  return { practice: USUAL_PRACTICE, ...shoot, version: 12 };
}

/** From version 12 to 13: the logbook. */
function toVersion13(shoot: Row): Row {
  return { log: NO_LOG, ...shoot, version: 13 };
}

/** From version 13 to 14: where in the picture something of a clip could be followed. */
function toVersion14(shoot: Row): Row {
  const { log } = shoot;
  if (!isRow(log) || !Array.isArray(log.takes)) return { ...shoot, version: 14 };
  const takes = log.takes.map((take) =>
    isRow(take) && isRow(take.clip) ? { ...take, clip: { ...take.clip, followed: [] } } : take,
  );
  return { ...shoot, version: 14, log: { ...log, takes } };
}

/** From version 14 to 15: glass may stand in the openings of walls. */
function toVersion15(shoot: Row): Row {
  const { site } = shoot;
  if (!isRow(site) || !Array.isArray(site.pieces)) return { ...shoot, version: 15 };
  const opening = (value: unknown): unknown => (isRow(value) ? { pane: 'open', ...value } : value);
  const pieces = site.pieces.map((piece: unknown) =>
    isRow(piece) && Array.isArray(piece.openings) ? { ...piece, openings: piece.openings.map(opening) } : piece,
  );
  return { ...shoot, version: 15, site: { ...site, pieces } };
}

/** From version 15 to 16: where something of a clip could be followed is told four times as finely each way. */
function toVersion16(shoot: Row): Row {
  const { log } = shoot;
  if (!isRow(log) || !Array.isArray(log.takes)) return { ...shoot, version: 16 };
  const takes = log.takes.map((take: unknown) => {
    if (!isRow(take) || !isRow(take.clip) || !Array.isArray(take.clip.followed)) return take;
    return { ...take, clip: { ...take.clip, followed: take.clip.followed.map(finer) } };
  });
  return { ...shoot, version: 16, log: { ...log, takes } };
}

/** 8 rows of 12 cells, a bit each in hexadecimal digits, as 32 rows of 48 in base64; anything else stays as it is. */
function finer(part: unknown): unknown {
  if (typeof part !== 'string' || !/^[0-9a-f]{24}$/.test(part)) return part;
  const wide = { 0: 0, 1: 15 };
  const bytes = Array.from({ length: 32 * 6 }, (_, k) => {
    const cell = Math.floor(k / 24) * 12 + (k % 6) * 2;
    const bit = (n: number) => wide[((Number.parseInt(part[n >> 2], 16) >> (3 - (n & 3))) & 1) as 0 | 1];
    return bit(cell) * 16 + bit(cell + 1);
  });
  return btoa(String.fromCharCode(...bytes));
}

/**
 * Brings a value that claims to be a shoot of an older version to the present one, field by field; what is out of order
 * stays so for the check to find.
 */
export function migrated(value: unknown): unknown {
  let shoot = value;
  if (isRow(shoot) && shoot.version === 1) shoot = toVersion2(shoot);
  if (isRow(shoot) && shoot.version === 2) shoot = toVersion3(shoot);
  if (isRow(shoot) && shoot.version === 3) shoot = toVersion4(shoot);
  if (isRow(shoot) && shoot.version === 4) shoot = toVersion5(shoot);
  if (isRow(shoot) && shoot.version === 5) shoot = toVersion6(shoot);
  if (isRow(shoot) && shoot.version === 6) shoot = toVersion7(shoot);
  if (isRow(shoot) && shoot.version === 7) shoot = toVersion8(shoot);
  if (isRow(shoot) && shoot.version === 8) shoot = toVersion9(shoot);
  if (isRow(shoot) && shoot.version === 9) shoot = toVersion10(shoot);
  if (isRow(shoot) && shoot.version === 10) shoot = toVersion11(shoot);
  if (isRow(shoot) && shoot.version === 11) shoot = toVersion12(shoot);
  if (isRow(shoot) && shoot.version === 12) shoot = toVersion13(shoot);
  if (isRow(shoot) && shoot.version === 13) shoot = toVersion14(shoot);
  if (isRow(shoot) && shoot.version === 14) shoot = toVersion15(shoot);
  if (isRow(shoot) && shoot.version === 15) shoot = toVersion16(shoot);
  return shoot;
}

import {
  DEFAULT_BUILDS,
  DEFAULT_KIT,
  type MotorGimbal,
  type Sled,
  type SledRound,
  trim,
  type Units,
  sayExactMm,
} from '../model';
import { setAsTold } from '../edit';
import { seeded } from '../motion';
import {
  coach,
  FELT_MM,
  gimbalBalance,
  gimbalSlides,
  GRAVITY,
  K_FROM_LEVEL,
  partLumps,
  sledBalance,
  WORKABLE,
} from '../supports';

const DEG = 180 / Math.PI;
type Lumps = ReturnType<typeof partLumps>;

/** A sled that hides where its weight lies: to be balanced by looking, in as few moves as possible. */
export interface SledDrill {
  sled: Sled;
  placed: Lumps;
  hidden: { foreMm: number; sideMm: number; downMm: number };
  moves: number;
  /** How many moves the coach of the kit bench takes from the same start. */
  par: number;
}

/** What is seen of it: how it hangs and how long it takes to drop from level; null where it turns over. */
export interface SledLook {
  leanForeDeg: number;
  leanSideDeg: number;
  dropS: number | null;
}

export type SledSetting = 'stageForeMm' | 'stageSideMm' | 'gimbalMm';

export function lookAtSled({ sled, placed, hidden }: Pick<SledDrill, 'sled' | 'placed' | 'hidden'>): SledLook {
  const { massKg, foreMm, sideMm, dropMm, inertiaKgM2 } = sledBalance({ ...sled, log: [] }, placed);
  const belowM = (dropMm + hidden.downMm) / 1000;
  const aboutCentre = inertiaKgM2 - massKg * (dropMm / 1000) ** 2;
  const about = aboutCentre + massKg * belowM ** 2;
  return {
    leanForeDeg: Math.atan2(foreMm + hidden.foreMm, belowM * 1000) * DEG,
    leanSideDeg: Math.atan2(sideMm + hidden.sideMm, belowM * 1000) * DEG,
    dropS: belowM > 0.0005 ? K_FROM_LEVEL * Math.sqrt(about / (massKg * GRAVITY * belowM)) : null,
  };
}

export function isWorkable(drill: Pick<SledDrill, 'sled' | 'placed' | 'hidden'>): boolean {
  const { leanForeDeg, leanSideDeg, dropS } = lookAtSled(drill);
  return (
    Math.max(Math.abs(leanForeDeg), Math.abs(leanSideDeg)) <= WORKABLE.leanDeg &&
    dropS !== null &&
    Math.abs(dropS - drill.sled.wishS) <= WORKABLE.dropS
  );
}

/** A drill from a seed: the made-up sled of the kit, set as told, then shaken up and with hidden offsets. */
export function sledDrill(seed: number): SledDrill {
  const next = seeded(seed * 131 + 7);
  const build = setAsTold(DEFAULT_BUILDS[0], DEFAULT_KIT, 'metric') ?? DEFAULT_BUILDS[0];
  const support = build.support as Sled;
  const placed = partLumps(build, DEFAULT_KIT.parts, DEFAULT_KIT.lenses);
  const about = (mm: number) => mm * (2 * next() - 1);
  const hidden = { foreMm: about(9), sideMm: about(6), downMm: 4 + about(4) };
  const sled: Sled = {
    ...support,
    wishLeanDeg: 0,
    log: [],
    stageForeMm: Math.round(support.stageForeMm + about(8)),
    stageSideMm: Math.round(support.stageSideMm + about(5)),
  };
  const drill = { sled, placed, hidden, moves: 0, par: 1 };
  return { ...drill, par: parOf(drill) };
}

const MOST_MOVES = 30;

/** Moves of the coach until it is workable, seeing exactly. */
function parOf(drill: SledDrill): number {
  let { sled } = drill;
  const rounds: SledRound[] = [];
  for (let moves = 0; moves < MOST_MOVES; moves += 1) {
    const now = { ...drill, sled };
    if (isWorkable(now)) return Math.max(1, moves);
    const { leanForeDeg, leanSideDeg, dropS } = lookAtSled(now);
    const within = (deg: number) => Math.min(170, Math.max(-170, deg));
    rounds.push({
      stageForeMm: sled.stageForeMm,
      stageSideMm: sled.stageSideMm,
      gimbalMm: sled.gimbalMm,
      leanForeDeg: within(leanForeDeg),
      leanSideDeg: within(leanSideDeg),
      dropS: dropS !== null && dropS < 20 ? dropS : null,
    });
    const { next } = coach(sled, drill.placed, rounds);
    if (!next) return Math.max(1, moves);
    sled = { ...sled, [next.what]: next.toMm };
  }
  return MOST_MOVES;
}

/** The sled with one thing set otherwise, within what it can be set to. */
export function moveSled(drill: SledDrill, what: SledSetting, byMm: number): SledDrill {
  const { sled } = drill;
  const [least, most] =
    what === 'gimbalMm' ? [sled.gimbalMinMm, sled.postMm - 20] : [-sled.stageTravelMm, sled.stageTravelMm];
  const to = Math.min(most, Math.max(least, sled[what] + byMm));
  return to === sled[what] ? drill : { ...drill, sled: { ...sled, [what]: to }, moves: drill.moves + 1 };
}

/** Of a drill that is done: 100 for as few moves as the coach needs, less for more. */
export const drillScore = (moves: number, par: number): number =>
  Math.round(100 * Math.min(1, par / Math.max(1, moves)));

/** What is seen, as an eye says it. */
export function saySledLook({ leanForeDeg, leanSideDeg, dropS }: SledLook): string {
  const lean = (deg: number, ways: [string, string]) =>
    Math.abs(deg) < 0.5 ? null : `${trim(Math.abs(deg), Math.abs(deg) < 10 ? 1 : 0)}° ${ways[deg > 0 ? 0 : 1]}`;
  const leans = [lean(leanForeDeg, ['forward', 'back']), lean(leanSideDeg, ['to the right', 'to the left'])].filter(
    (row) => row !== null,
  );
  if (dropS === null) return 'It turns over: its weight lies above the pivot.';
  const hangs = leans.length === 0 ? 'It hangs upright' : `It leans ${leans.join(' and ')}`;
  return `${hangs}; from level it drops in ${trim(dropS, 1)} s.`;
}

/** A motor gimbal whose four plates are off, motors switched off. */
export interface GimbalDrill {
  gimbal: MotorGimbal;
  placed: Lumps;
  moves: number;
  par: number;
}
export const GIMBAL_PLATES = [
  {
    key: 'plateForeMm',
    axis: 'tilt, fore and aft',
    name: 'Camera plate forward',
    falls: ['The lens falls forward', 'The lens rises, its back falls'],
  },
  {
    key: 'plateUpMm',
    axis: 'tilt, up and down',
    name: 'Camera plate up',
    falls: ['Pointed up it falls back over', 'Pointed up it falls forward again'],
  },
  {
    key: 'cageSideMm',
    axis: 'roll',
    name: 'Cage to the right',
    falls: ['The right side falls', 'The left side falls'],
  },
  {
    key: 'armForeMm',
    axis: 'pan',
    name: 'Roll arm forward',
    falls: ['With the handle level the camera swings down', 'With the handle level the camera swings up'],
  },
] as const;
export type GimbalPlate = (typeof GIMBAL_PLATES)[number]['key'];
/** A balance is good when no slide above this is left, mm. */
const WORKS_MM = 1;

export function gimbalDrill(seed: number): GimbalDrill {
  const next = seeded(seed * 977 + 3);
  const build = DEFAULT_BUILDS.find(({ support }) => support.kind === 'motorGimbal') ?? DEFAULT_BUILDS[0];
  const placed = partLumps(build, DEFAULT_KIT.parts, DEFAULT_KIT.lenses);
  const told = gimbalSlides(build.support as MotorGimbal, placed, 'metric').set;
  const off = () => Math.round(2 + 12 * next()) * (next() < 0.5 ? -1 : 1);
  const gimbal = {
    ...told,
    plateForeMm: told.plateForeMm + off(),
    plateUpMm: told.plateUpMm + off(),
    cageSideMm: told.cageSideMm + off(),
    armForeMm: told.armForeMm + off(),
  };
  const { slides } = gimbalSlides(gimbal, placed, 'metric');
  return { gimbal, placed, moves: 0, par: slides.filter(({ byMm }) => Math.abs(byMm) >= FELT_MM).length };
}

export const moveGimbal = (drill: GimbalDrill, key: GimbalPlate, byMm: number): GimbalDrill => ({
  ...drill,
  gimbal: { ...drill.gimbal, [key]: Math.min(200, Math.max(-200, drill.gimbal[key] + byMm)) },
  moves: drill.moves + 1,
});

/** What each axis does when it is let go: how it falls, and how hard; null where it stays. */
export function lookAtGimbal({ gimbal, placed }: GimbalDrill): { axis: string; said: string; holds: boolean }[] {
  return gimbalBalance(gimbal, placed).axes.map(({ name, slideMm, shareOfMotor }, i) => {
    const holds = Math.abs(slideMm) < WORKS_MM;
    const hard = shareOfMotor > 0.5 ? ', hard' : shareOfMotor > 0.15 ? ', clearly' : ', slowly';
    // What has to slide forward is too far back.
    return {
      axis: name,
      holds,
      said: holds ? 'It stays where it is let go.' : `${GIMBAL_PLATES[i].falls[slideMm < 0 ? 0 : 1]}${hard}.`,
    };
  });
}

export const gimbalWorks = (drill: GimbalDrill): boolean => lookAtGimbal(drill).every(({ holds }) => holds);

export const sayMove = (byMm: number, units: Units): string =>
  `${byMm > 0 ? '+' : '−'}${sayExactMm(Math.abs(byMm), units)}`;

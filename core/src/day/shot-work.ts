import { type Hours, type Rig, type RigKind, type Shoot, type Shot, trim, type Wish, wishOf } from '../model';
import { droneFlight } from '../supports';
import { type Hand, handsFor, peopleHours } from './hands';
import { byMove, byRig, type Learned, learnedFrom } from './learned';
import { type LightHours, lightHours, type SunOfDay } from './light-hours';
import { shotFacts, type ShotFacts } from './shot-facts';
import { BACK_TO_ONE, FLIGHT_S, HARD, LONG_RAIL, MOST_TRIES, USUAL_RIGS } from './usual';

/** What one shot takes of a day. */
export interface ShotWork {
  shot: Shot;
  number: number;
  wish: Wish;
  /** Which camera it is made with, and whether that is built into its rig. */
  cameraKey: string;
  builtIn: boolean;
  rigId: string;
  rigName: string;
  rigKind: RigKind;
  lensName: string;
  focalLengthMm: number;
  lensHeightM: number;
  /** Where the camera starts, m from the middle of the site. */
  xM: number;
  yM: number;
  setUpS: number;
  /** What it would take if nobody had said otherwise. */
  usual: { tries: number; triesWhy: string[]; setUpS: number; rigSetUpS: number };
  tries: number;
  triesWhy: string[];
  /** One try with its handles, and going back to one after it, s. */
  tryS: number;
  resetS: number;
  /** All tries with what lies between them and a look at each, s. */
  takesS: number;
  gigabytes: number;
  marks: ShotFacts['marks'];
  /** How many motions at once: travel, rise, turn, tilt, roll, zoom, focus. */
  motions: number;
  hands: Hand[];
  /** Who is before the camera: ids of pieces. */
  before: string[];
  hard: boolean;
  riskWhy: 'Risky' | 'Hard' | null;
  light: LightHours;
  wantsSun: boolean;
  outdoors: boolean;
  people: Hours[];
  /** Minutes of battery: of which camera or rig, in all and in one go that is not interrupted, s. */
  power: { forId: string; name: string; useS: number; unitS: number }[];
}

/** What a shot takes of a day, by its facts and by what is wished of it. */
export function shotWork(shoot: Shoot, facts: ShotFacts, number: number, sun: SunOfDay | null): ShotWork {
  const { shot } = facts;
  const { day, kit } = shoot;
  const rig = kit.rigs.find(({ id }) => id === shot.rigId);
  const lens = kit.lenses.find(({ id }) => id === shot.lensId);
  if (!rig || !lens) throw new RangeError(`The shot "${shot.name}" names a rig or a lens that is not there.`);
  const wish = wishOf(day, shot.id);
  const usual = USUAL_RIGS[rig.kind];
  const learned = learnedFrom(shoot.log);
  const expected = loggedTries(learned, rig.id, shot) ?? triesOf(usual.tries, facts, rig.kind);
  const tries = wish.tries ?? expected.tries;
  const tryS = facts.durationS + 2 * shoot.story.handlesS;
  const wayBackS = Math.max(facts.wayM, facts.walkM) / BACK_TO_ONE.mps;
  const between = learned.betweenS.get(byRig(rig.id));
  const reckonedS =
    Math.min(BACK_TO_ONE.mostS, BACK_TO_ONE.leastS + wayBackS) + (rig.kind === 'drone' ? BACK_TO_ONE.droneS : 0);
  // What was logged from one take to the next has the take and the look at it in it.
  const resetS = between ? Math.max(5, between.middle - tryS - day.reviewS) : reckonedS;
  const takesS = tries * (tryS + resetS + day.reviewS) - resetS;
  const own = day.rigTimes.find(({ rigId }) => rigId === rig.id)?.setUpMin;
  const longRail = rig.kind === 'slider' && rig.travelM > LONG_RAIL.fromM ? LONG_RAIL.minutes : 0;
  const rigSetUpMin = usual.setUpMin + longRail;
  const usualSetUpMin = own ?? learned.setUpMin.get(byRig(rig.id))?.middle ?? rigSetUpMin;
  const setUpS = (wish.setUpMin ?? usualSetUpMin) * 60;
  const hands = handsFor(rig, shot, facts.backwardsM, wish.alone);
  const risky = wish.risk === 'risky' || (wish.risk === 'usual' && usual.risky);
  const hard =
    wish.risk === 'hard' || (wish.risk === 'usual' && (tries >= HARD.tries || facts.motions >= HARD.motions));
  const light = lightHours(wish, sun, facts);
  const one = (tryS + resetS) * tries;
  return {
    shot,
    number,
    wish,
    cameraKey: shot.cameraId,
    builtIn: !kit.parts.some(({ of }) => of === shot.cameraId),
    rigId: rig.id,
    rigName: rig.name,
    rigKind: rig.kind,
    lensName: lens.name,
    focalLengthMm: shot.focalLengthMm,
    lensHeightM: facts.lensHeightM,
    xM: facts.xM,
    yM: facts.yM,
    setUpS,
    usual: { ...expected, setUpS: usualSetUpMin * 60, rigSetUpS: rigSetUpMin * 60 },
    tries,
    triesWhy: wish.tries === null ? expected.triesWhy : ['as you say'],
    tryS,
    resetS,
    takesS,
    gigabytes: (facts.gigabytes * tries * tryS) / Math.max(0.1, facts.durationS),
    marks: facts.marks,
    motions: facts.motions,
    hands,
    before: facts.before,
    hard: hard || risky,
    riskWhy: risky ? 'Risky' : hard ? 'Hard' : null,
    light,
    wantsSun: ['sun', 'side', 'morning', 'evening'].includes(wish.light),
    outdoors: wish.light !== 'always' && wish.light !== 'dark',
    people: peopleHours(day, hands, new Set(facts.before)),
    power: powerOf(shoot, shot, rig, { setUpS, oneS: one, tries, tryS }),
  };
}

/** Tries that are usual for a shot of the shoot, whatever is wished for it; 1 for one that is not there. */
export function usualTriesOf(shoot: Shoot, shotId: string): number {
  const shot = shoot.shots.find(({ id }) => id === shotId);
  const rig = shoot.kit.rigs.find(({ id }) => id === shot?.rigId);
  if (!shot || !rig) return 1;
  const logged = loggedTries(learnedFrom(shoot.log), rig.id, shot);
  return logged?.tries ?? triesOf(USUAL_RIGS[rig.kind].tries, shotFacts(shoot, shot), rig.kind).tries;
}

/** Tries as they were logged of this move with this rig, else of this rig; null: too few were. */
function loggedTries(learned: Learned, rigId: string, shot: Shot): { tries: number; triesWhy: string[] } | null {
  const [move, rig] = [learned.tries.get(byMove(rigId, shot.move.kind)), learned.tries.get(byRig(rigId))];
  const found = move ?? rig;
  if (!found) return null;
  const tries = Math.min(200, Math.max(1, Math.round(found.middle)));
  const between = found.low === found.high ? '' : ` (${found.low} to ${found.high})`;
  const of = move ? 'of this move with this rig' : 'with this rig';
  return { tries, triesWhy: [`${tries} in the middle of ${found.count} logged ${of}${between}`] };
}

/** Tries to expect: common practice, no published source; hard moves take 3 to 15. */
function triesOf(usual: number, { motions, moving, shot }: ShotFacts, kind: RigKind) {
  const why = [`${usual} for the rig`];
  let tries = usual;
  const more = (count: number, said: string) => {
    if (count <= 0) return;
    tries += count;
    why.push(`${count} more for ${said}`);
  };
  if (shot.captureRateHz < 1) return { tries: 1, triesWhy: ['one: it is a time-lapse'] };
  more(Math.max(0, motions - 1), `${motions} motions at once`);
  more(Math.min(2, moving), moving === 1 ? 'somebody who moves' : `${moving} who move`);
  if (shot.puller === 'hand' && shot.focus.mode !== 'fixed') more(2, 'a focus pull by hand');
  if (kind !== 'drop') tries = Math.min(tries, MOST_TRIES);
  return { tries, triesWhy: why };
}

/** What a shot takes of batteries: the camera runs while it is set up for half of that, and through all tries. */
function powerOf(
  shoot: Shoot,
  shot: Shot,
  rig: Rig,
  { setUpS, oneS, tries, tryS }: { setUpS: number; oneS: number; tries: number; tryS: number },
): ShotWork['power'] {
  const flies = rig.kind === 'drone';
  const rows: ShotWork['power'] = [];
  // A camera that flies runs off what flies it.
  const camera = shoot.kit.cameras.find(({ id }) => id === shot.cameraId);
  if (!flies && camera) rows.push({ forId: camera.id, name: camera.name, useS: setUpS / 2 + oneS, unitS: tryS });
  if (flies) rows.push({ forId: rig.id, name: rig.name, useS: tries * (tryS + FLIGHT_S), unitS: tryS + FLIGHT_S });
  else if (
    USUAL_RIGS[rig.kind].powered &&
    (rig.runMin > 0 || shoot.day.batteries.some(({ forId }) => forId === rig.id))
  )
    rows.push({ forId: rig.id, name: rig.name, useS: setUpS / 2 + oneS, unitS: tryS });
  return rows;
}

/** How long one battery of a rig flies before it has to come home, minutes; null where nothing says. */
export function flightMin(shoot: Shoot, rigId: string): number | null {
  const build = shoot.kit.builds.find((row) => row.rigId === rigId && row.support.kind === 'drone');
  if (build?.support.kind !== 'drone') return null;
  const found = droneFlight(build.support, 0);
  return found.flies ? Number(trim(found.enduranceMin, 1)) : 0;
}

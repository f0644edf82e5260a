import { type Hours, type RigKind, type Shoot, type Shot, trim, type Wish, wishOf } from '../model';
import { type Film, type Samples, pathLengthM, plannedFilm } from '../motion';
import { timePlan } from '../reading';
import { sceneOf } from '../scene';
import { droneFlight, needOf } from '../supports';
import { type Hand, handsFor, peopleHours } from './hands';
import { type LightHours, lightHours, type SunOfDay } from './light-hours';
import { BACK_TO_ONE, FLIGHT_S, HARD, LONG_RAIL, MOST_TRIES, USUAL_RIGS } from './usual';

/** What one shot takes of a day. */
export interface ShotWork {
  shot: Shot;
  number: number;
  wish: Wish;
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
  tries: number;
  triesWhy: string[];
  /** One try with its handles, and going back to one after it, s. */
  tryS: number;
  resetS: number;
  /** All tries with what lies between them and a look at each, s. */
  takesS: number;
  gigabytes: number;
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

/** Looks at a shot of a valid shoot. */
export function shotWork(shoot: Shoot, shot: Shot, number: number, sun: SunOfDay | null): ShotWork {
  const film = plannedFilm(sceneOf(shoot, shot));
  const { scene, filmed } = film;
  const { rig, lens } = scene;
  const { day } = shoot;
  const wish = wishOf(day, shot.id);
  const usual = USUAL_RIGS[rig.kind];
  const people = peopleIn(shoot, shot);
  const motions = motionsOf(filmed, shot);
  const { tries, triesWhy } = triesOf(wish, usual.tries, motions, people.moving, shot, rig.kind);
  const tryS = scene.durationS + 2 * shoot.story.handlesS;
  const wayBackS = Math.max(pathLengthM(filmed), people.walkM) / BACK_TO_ONE.mps;
  const resetS =
    Math.min(BACK_TO_ONE.mostS, BACK_TO_ONE.leastS + wayBackS) + (rig.kind === 'drone' ? BACK_TO_ONE.droneS : 0);
  const takesS = tries * (tryS + resetS + day.reviewS) - resetS;
  const own = day.rigTimes.find(({ rigId }) => rigId === rig.id)?.setUpMin;
  const longRail = rig.kind === 'slider' && rig.travelM > LONG_RAIL.fromM ? LONG_RAIL.minutes : 0;
  const setUpS = (wish.setUpMin ?? own ?? usual.setUpMin + longRail) * 60;
  const hands = handsFor(rig, shot, filmed, wish.alone);
  const risky = wish.risk === 'risky' || (wish.risk === 'usual' && usual.risky);
  const hard = wish.risk === 'hard' || (wish.risk === 'usual' && (tries >= HARD.tries || motions >= HARD.motions));
  const light = lightHours(wish, sun, film);
  const one = (tryS + resetS) * tries;
  return {
    shot,
    number,
    wish,
    rigId: rig.id,
    rigName: rig.name,
    rigKind: rig.kind,
    lensName: lens.name,
    focalLengthMm: shot.focalLengthMm,
    lensHeightM: Math.max(0, ...[0, filmed.count >> 1, filmed.count - 1].map((row) => filmed.zM[row])),
    xM: filmed.xM[0],
    yM: filmed.yM[0],
    setUpS,
    tries,
    triesWhy,
    tryS,
    resetS,
    takesS,
    gigabytes: (timePlan(film).cardGB * tries * tryS) / Math.max(0.1, scene.durationS),
    motions,
    hands,
    before: people.before,
    hard: hard || risky,
    riskWhy: risky ? 'Risky' : hard ? 'Hard' : null,
    light,
    wantsSun: ['sun', 'side', 'morning', 'evening'].includes(wish.light),
    outdoors: wish.light !== 'always' && wish.light !== 'dark',
    people: peopleHours(day, hands, new Set(people.before)),
    power: powerOf(shoot, film, { setUpS, oneS: one, tries, tryS }),
  };
}

/** Who is seen or walks in a shot, whether they move, and the longest of their ways, m. */
function peopleIn({ site }: Shoot, shot: Shot): { before: string[]; moving: number; walkM: number } {
  const ids = new Set([shot.subjectId, ...shot.walks.map(({ pieceId }) => pieceId)]);
  const gone = new Set(shot.staging.filter(({ there }) => !there).map(({ pieceId }) => pieceId));
  const before = site.pieces
    .filter(({ id, kind }) => kind === 'figure' && ids.has(id) && !gone.has(id))
    .map(({ id }) => id);
  const ways = shot.walks.map(({ points }) =>
    points.slice(1).reduce((sum, { xM, yM }, i) => sum + Math.hypot(xM - points[i].xM, yM - points[i].yM), 0),
  );
  return { before, moving: shot.walks.length, walkM: Math.max(0, ...ways) };
}

const range = (column: Float64Array): number => {
  let [least, most] = [Infinity, -Infinity];
  for (const value of column) [least, most] = [Math.min(least, value), Math.max(most, value)];
  return most - least;
};

/** How many motions go on in a shot: less than this of one is none. */
function motionsOf(filmed: Samples, shot: Shot): number {
  const travel = Math.hypot(range(filmed.xM), range(filmed.yM));
  const zoom = range(filmed.focalLengthMm) / shot.focalLengthMm;
  const found = [
    travel > 0.1,
    range(filmed.zM) > 0.1,
    range(filmed.panDeg) > 3,
    range(filmed.tiltDeg) > 3,
    range(filmed.rollDeg) > 2,
    zoom > 0.03,
    shot.focus.mode === 'racks' || (shot.puller === 'hand' && range(filmed.focusDistanceM) > 0.1),
  ];
  return found.filter(Boolean).length;
}

/** Tries to expect: common practice, no published source; hard moves take 3 to 15. */
function triesOf(wish: Wish, usual: number, motions: number, moving: number, shot: Shot, kind: RigKind) {
  if (wish.tries !== null) return { tries: wish.tries, triesWhy: ['as you say'] };
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
  { scene }: Film,
  { setUpS, oneS, tries, tryS }: { setUpS: number; oneS: number; tries: number; tryS: number },
): ShotWork['power'] {
  const { rig, camera } = scene;
  const flies = rig.kind === 'drone';
  const rows: ShotWork['power'] = [];
  // A camera that flies runs off what flies it.
  if (!flies) rows.push({ forId: camera.id, name: camera.name, useS: setUpS / 2 + oneS, unitS: tryS });
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

/** What of the nearest build a shot changes, minutes; see the kit. */
export const refitOf = (shoot: Shoot, shot: Shot) => needOf(shoot.kit, shot);

import { type Around, aroundOf, sameAround, type Shoot, type Shot, type SitePlace } from '../model';
import { pathLengthM, plannedFilm, type Samples } from '../motion';
import { type LitMinutes, litWhen, type LitWish, timePlan } from '../reading';
import { sceneOf } from '../scene';
import { backwardsM } from './hands';

/** What of a shot a day goes by, whatever is wished of it: sampled once. */
export interface ShotFacts {
  shot: Shot;
  durationS: number;
  /** The camera's way, and the part of it that goes against the way it looks, m. */
  wayM: number;
  backwardsM: number;
  lensHeightM: number;
  /** Where the camera starts, m from the middle of the site. */
  xM: number;
  yM: number;
  /** Where the camera starts and ends, m east, north and up, and how far from its subject it is there. */
  marks: { fromM: [number, number, number]; toM: [number, number, number]; subjectFromM: number; subjectToM: number };
  /** How many motions at once: travel, rise, turn, tilt, roll, zoom, focus. */
  motions: number;
  gigabytes: number;
  /** Who is before the camera, ids of pieces; how many go, and the longest of their ways, m. */
  before: string[];
  moving: number;
  walkM: number;
  /** When the subject's part is lit from a side on a day; looked up once. */
  litOn: (place: SitePlace, date: string, side: LitWish['side']) => LitMinutes[];
}

export function shotFacts(shoot: Shoot, shot: Shot): ShotFacts {
  const film = () => plannedFilm(sceneOf(shoot, shot));
  const made = film();
  const lit = new Map<string, LitMinutes[]>();
  const { scene, filmed } = made;
  return {
    shot,
    durationS: scene.durationS,
    wayM: pathLengthM(filmed),
    backwardsM: backwardsM(filmed),
    lensHeightM: Math.max(0, ...[0, filmed.count >> 1, filmed.count - 1].map((row) => filmed.zM[row])),
    xM: filmed.xM[0],
    yM: filmed.yM[0],
    marks: marksOf(filmed),
    motions: motionsOf(filmed, shot),
    gigabytes: timePlan(made).cardGB,
    ...peopleIn(shoot, shot),
    litOn: (place, date, side) => {
      const key = `${JSON.stringify(place)} ${date} ${side}`;
      const known = lit.get(key) ?? litWhen(film(), place, date, { side, from: 'any', atMostDeg: 90 });
      lit.set(key, known);
      return known;
    },
  };
}

/** Facts of shots for as long as they, the site and the kit are the same objects. */
export class ShotLooks {
  private kept = new WeakMap<Shot, ShotFacts>();
  private around: Around | null = null;

  facts(shoot: Shoot, shot: Shot): ShotFacts {
    if (!this.around || !sameAround(this.around, shoot)) {
      this.around = aroundOf(shoot);
      this.kept = new WeakMap();
    }
    const facts = this.kept.get(shot) ?? shotFacts(shoot, shot);
    this.kept.set(shot, facts);
    return facts;
  }
}

function marksOf({ count, xM, yM, zM, subjectDistanceM }: Samples): ShotFacts['marks'] {
  const last = count - 1;
  return {
    fromM: [xM[0], yM[0], zM[0]],
    toM: [xM[last], yM[last], zM[last]],
    subjectFromM: subjectDistanceM[0],
    subjectToM: subjectDistanceM[last],
  };
}

/** Who is seen or walks in a shot. */
function peopleIn({ site }: Shoot, shot: Shot): Pick<ShotFacts, 'before' | 'moving' | 'walkM'> {
  const ids = new Set([shot.subjectId, ...shot.walks.map(({ pieceId }) => pieceId)]);
  const gone = new Set(shot.staging.filter(({ there }) => !there).map(({ pieceId }) => pieceId));
  const before = site.pieces.filter(({ id, kind }) => kind === 'figure' && ids.has(id) && !gone.has(id));
  const ways = shot.walks.map(({ points }) =>
    points.slice(1).reduce((sum, { xM, yM }, i) => sum + Math.hypot(xM - points[i].xM, yM - points[i].yM), 0),
  );
  return { before: before.map(({ id }) => id), moving: shot.walks.length, walkM: Math.max(0, ...ways) };
}

function range(column: Float64Array): number {
  let [least, most] = [Infinity, -Infinity];
  for (const value of column) [least, most] = [Math.min(least, value), Math.max(most, value)];
  return most - least;
}

/** How many motions go on in a shot: less than this of one is none. Common practice, no published source. */
function motionsOf(filmed: Samples, shot: Shot): number {
  const found = [
    Math.hypot(range(filmed.xM), range(filmed.yM)) > 0.1,
    range(filmed.zM) > 0.1,
    range(filmed.panDeg) > 3,
    range(filmed.tiltDeg) > 3,
    range(filmed.rollDeg) > 2,
    range(filmed.focalLengthMm) > 0.03 * shot.focalLengthMm,
    shot.focus.mode === 'racks' || (shot.puller === 'hand' && range(filmed.focusDistanceM) > 0.1),
  ];
  return found.filter(Boolean).length;
}

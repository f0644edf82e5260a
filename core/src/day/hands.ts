import type { Day, Person, Rig, Shot, Skill } from '../model';
import type { Samples } from '../motion';

/** One pair of hands that a shot asks for. */
export interface Hand {
  does: Skill;
  what: string;
}

/** Rigs that leave the operator no hand for the focus ring. */
const BOTH_HANDS = new Set<Rig['kind']>(['gimbal', 'sled', 'hand', 'bodyMount', 'jib', 'wheels', 'vehicle', 'rope']);
const ON_FOOT = new Set<Rig['kind']>(['gimbal', 'sled', 'hand', 'bodyMount']);
/** Somebody has to look where the operator cannot: farther backwards than this, m. */
const BACKWARDS_M = 1;

/** The hands that a shot takes: common practice, no published source. `alone`: nobody is at the camera. */
export function handsFor(rig: Rig, shot: Shot, backM: number, alone: boolean): Hand[] {
  const hands: Hand[] = [];
  const add = (does: Skill, what: string) => hands.push({ does, what });
  if (rig.kind === 'drone') {
    add('flies', 'flies');
    add('helps', 'watches the sky and the people');
  } else if (!alone) add('operates', 'operates');
  if (rig.kind === 'vehicle') add('drives', 'drives and watches the road');
  if (rig.kind === 'wheels') add('helps', rig.way === 'springTape' ? 'lets the cart go' : 'pushes or steers');
  if (rig.kind === 'jib') add('helps', 'at the other end of the arm');
  if (rig.kind === 'rope' || rig.kind === 'hoist') add('helps', 'at the line');
  if (rig.kind === 'drop') add('helps', 'catches');
  const pulled = shot.puller === 'hand' && shot.focus.mode !== 'fixed';
  if (pulled && (alone || BOTH_HANDS.has(rig.kind))) add('pulls', 'pulls focus');
  if (ON_FOOT.has(rig.kind) && !alone && backM > BACKWARDS_M)
    add('helps', 'walks behind the operator, who goes backwards');
  return hands;
}

/** How far a camera goes against the way it looks, m on the ground. */
export function backwardsM({ count, xM, yM, panDeg }: Samples): number {
  let backM = 0;
  for (let row = 1; row < count; row += 1) {
    const [dx, dy] = [xM[row] - xM[row - 1], yM[row] - yM[row - 1]];
    const pan = (panDeg[row] * Math.PI) / 180;
    const ahead = dx * Math.sin(pan) + dy * Math.cos(pan);
    // Sideways is no going backwards.
    if (ahead < -0.7 * Math.hypot(dx, dy)) backM -= ahead;
  }
  return backM;
}

/**
 * Who does what: for each hand somebody who can, each at one thing only; null when there are too few. Who stands before
 * the camera has no hand free.
 */
export function whoDoes(
  hands: readonly Hand[],
  people: readonly Person[],
  before: ReadonlySet<string>,
): { hand: Hand; person: Person }[] | null {
  const free = people.filter(({ pieceId }) => pieceId === null || !before.has(pieceId));
  // What few can do is given out first.
  const can = (hand: Hand) => free.filter(({ skills }) => skills.includes(hand.does));
  const sorted = [...hands].sort((a, b) => can(a).length - can(b).length);
  const taken = new Map<Person, Hand>();
  const give = (k: number): boolean => {
    if (k === sorted.length) return true;
    for (const person of can(sorted[k])) {
      if (taken.has(person)) continue;
      taken.set(person, sorted[k]);
      if (give(k + 1)) return true;
      taken.delete(person);
    }
    return false;
  };
  if (!give(0)) return null;
  return hands.flatMap((hand) => {
    const person = [...taken].find(([, has]) => has === hand)?.[0];
    return person ? [{ hand, person }] : [];
  });
}

/** Stretches of the day, minutes, in which everybody whom a shot asks for is there. Nobody named at all: not counted. */
export function peopleHours(
  day: Day,
  hands: readonly Hand[],
  before: ReadonlySet<string>,
): { fromMin: number; toMin: number }[] {
  const all = [{ fromMin: 0, toMin: 2160 }];
  if (day.people.length === 0) return all;
  const crew = day.people.filter(({ skills }) => skills.length > 0);
  const cast = day.people.filter(({ pieceId }) => pieceId !== null && before.has(pieceId));
  const edges = [...new Set([0, 2160, ...day.people.flatMap(({ hours }) => [hours.fromMin, hours.toMin])])].sort(
    (a, b) => a - b,
  );
  const found: { fromMin: number; toMin: number }[] = [];
  for (let i = 0; i + 1 < edges.length; i += 1) {
    const there = ({ hours }: Person) => hours.fromMin <= edges[i] && hours.toMin >= edges[i + 1];
    const enough = cast.every(there) && (crew.length === 0 || whoDoes(hands, crew.filter(there), before) !== null);
    if (!enough) continue;
    const last = found.at(-1);
    if (last?.toMin === edges[i]) last.toMin = edges[i + 1];
    else found.push({ fromMin: edges[i], toMin: edges[i + 1] });
  }
  return found;
}

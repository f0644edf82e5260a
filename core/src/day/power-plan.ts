import { sayCount, sayMinutes, type Shoot, trim } from '../model';
import type { DayCase } from './day-problem';
import type { DayPlan } from './day-plan';
import { flightMin } from './shot-work';

/** What the batteries of one camera or rig do over the day. */
export interface PowerOf {
  forId: string;
  name: string;
  /** How long it runs in all, s, and how many batteries that is. */
  useS: number;
  needs: number;
  /** How many there are; null: nobody has said. */
  count: number | null;
  charges: number;
  said: string;
  short: boolean;
}

/** How long a battery lasts where nobody has said, minutes: common practice, no published source. */
const USUAL_CAMERA_MIN = 75;
const USUAL_FLIGHT_MIN = 18;

/** Batteries of every camera and rig of the day: what they have to last, and whether there are enough. */
export function powerPlan(given: DayCase, plan: DayPlan): PowerOf[] {
  const { shoot, powerIds, problem } = given;
  const used = new Map<string, { name: string; useS: number }>();
  // What does not fit for want of batteries needs them all the same.
  const works = [
    ...plan.entries.map(({ work }) => work),
    ...given.works.filter(({ shot }) => plan.cannot.some(({ shotId }) => shotId === shot.id)),
  ];
  for (const { power } of works)
    for (const { forId, name, useS } of power) {
      const row = used.get(forId) ?? { name, useS: 0 };
      used.set(forId, { name, useS: row.useS + useS });
    }
  return [...used].map(([forId, { name, useS }]) => {
    const kind = powerIds.indexOf(forId);
    const packs = kind < 0 ? null : problem.packs[kind];
    const lastsS = packs?.lastsS ?? usualLastsS(shoot, forId);
    const needs = Math.ceil(useS / lastsS);
    const charges = plan.power.filter((row) => row.forId === forId && row.what === 'charged').length;
    const count = packs?.count ?? null;
    const short = count !== null && count + charges < needs;
    const batteries = `${sayCount(needs, 'battery', 'batteries')} of ${sayMinutes(lastsS)}`;
    const head = `${name} runs for ${sayMinutes(useS)}: ${batteries}`;
    const charged = charges === 1 ? 'once' : `${charges} times`;
    const there =
      count === null
        ? 'nobody has said how many there are'
        : `there ${count === 1 ? 'is' : 'are'} ${count}${charges > 0 ? `, charged ${charged} on the way` : ''}`;
    return { forId, name, useS, needs, count, charges, short, said: `${head}; ${there}.` };
  });
}

function usualLastsS(shoot: Shoot, forId: string): number {
  const flies = flightMin(shoot, forId);
  if (flies !== null && flies > 0) return flies * 60;
  const rig = shoot.kit.rigs.find(({ id }) => id === forId);
  if (rig?.kind === 'drone') return USUAL_FLIGHT_MIN * 60;
  return (rig && rig.runMin > 0 ? rig.runMin : USUAL_CAMERA_MIN) * 60;
}

/** What a battery of a camera or rig usually lasts, and takes to be full, minutes: where one is put down. */
export const usualBattery = (shoot: Shoot, forId: string) => ({
  lastsMin: Math.max(1, Math.round(usualLastsS(shoot, forId) / 60)),
  chargeMin: 75,
});

/** What the day writes on cards, as a sentence. */
export function cardWords({ shoot }: DayCase, plan: DayPlan): { gigabytes: number; short: boolean; said: string } {
  const gigabytes = plan.entries.reduce((sum, { work }) => sum + work.gigabytes, 0);
  const { count, gigabytes: each } = shoot.day.cards;
  const short = gigabytes > count * each;
  const needs = Math.max(1, Math.ceil(gigabytes / each));
  return {
    gigabytes,
    short,
    said:
      `All tries come to ${trim(gigabytes, gigabytes < 10 ? 1 : 0)} GB: ` +
      `${sayCount(needs, 'card')} of ${trim(each, 0)} GB; ` +
      `there ${count === 1 ? 'is' : 'are'} ${count}.` +
      (short ? ' Bring more, or copy and check one before it is used again.' : ''),
  };
}

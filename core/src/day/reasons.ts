import { sayClock, sayMinutes } from '../model';
import type { DayCase } from './day-problem';
import type { Wait } from './day-numbers';
import { windowEnd } from './run-through';
import type { ShotWork } from './shot-work';

/** A shot in its place of the day. */
export interface Place {
  work: ShotWork;
  before: ShotWork | null;
  earlier: ShotWork[];
  later: ShotWork[];
  change: string[];
  waitS: number;
  waitsFor: Wait;
  takesFromS: number;
  task: number;
}

const numbersOf = (rows: readonly { number: number }[]): string => rows.map(({ number }) => number).join(', ');

/** Why a shot stands where it does. */
export function reasonsOf(given: DayCase, place: Place): string[] {
  const { work, before, earlier, later, change, waitS, waitsFor, takesFromS, task } = place;
  const { wish } = work;
  const said: string[] = [];
  if (wish.pin === 'first') said.push('First, as you pinned it.');
  if (wish.pin === 'last') said.push('Last, as you pinned it.');
  if (wish.pin === 'beforeBreak') said.push('Before the break, as you pinned it.');
  if (wish.pin === 'afterBreak') said.push('After the break, as you pinned it.');
  if (wish.pin === 'rightAfter' && before?.shot.id === wish.afterId)
    said.push(`Right after ${before?.number}, as you pinned it.`);
  if (change.length > 0) said.push(`${before ? 'Changes' : 'Begins'}: ${change.join('; ')}.`);
  const alike = later.filter((row) => row.rigId === work.rigId && row.shot.lensId === work.shot.lensId);
  const sameAsBefore = before?.rigId === work.rigId && before?.shot.lensId === work.shot.lensId;
  if (before && sameAsBefore) said.push(`On the same rig and lens as ${before.number}.`);
  else if (alike.length > 0 && later[0] === alike[0])
    said.push(`The same rig and lens serve ${runOf(later, work)} next.`);
  const windowS = windowEnd(given.problem.tasks[task], takesFromS);
  const lasts = work.light.what;
  if (waitS > 60)
    said.push(
      waitsFor === 'battery'
        ? `Waits ${sayMinutes(waitS)} until a battery is charged.`
        : `Waits ${sayMinutes(waitS)}, until ${sayClock(takesFromS / 60)}, ${waitFor(given, work, takesFromS)}.`,
    );
  const leftS = windowS - takesFromS - work.takesS;
  if (Number.isFinite(windowS) && leftS < 2700 && wish.light !== 'any' && wish.light !== 'always')
    said.push(`Now, because ${lasts} ends at ${sayClock(windowS / 60)}.`);
  if (wish.light === 'same') {
    const other = given.works.find(({ shot }) => shot.id === wish.sameAsId);
    if (other) said.push(`Near ${other.number} in time: they share its light.`);
  }
  const leaving = given.shoot.day.people.find(
    ({ pieceId, hours }) =>
      pieceId !== null && work.before.includes(pieceId) && hours.toMin * 60 - takesFromS < 3 * 3600,
  );
  if (leaving) said.push(`While ${leaving.name} is there, until ${sayClock(leaving.hours.toMin)}.`);
  if (work.riskWhy) {
    const known = earlier.find(({ rigId }) => rigId === work.rigId);
    said.push(
      known
        ? `${work.riskWhy}: after ${known.number} on the same rig, when hands know it.`
        : `${work.riskWhy}, and the first on its rig: rehearse it before the first take.`,
    );
    if (takesFromS > given.problem.tiredFromS)
      said.push(
        `${Math.floor((takesFromS - given.shoot.day.callMin * 60) / 3600)} h after everybody came: tired hands; rest before it.`,
      );
  }
  if (work.light.note && work.light.hours.length > 0) said.push(work.light.note);
  return said;
}

/** The shots that follow on the same rig and lens without a break. */
function runOf(later: readonly ShotWork[], work: ShotWork): string {
  const end = later.findIndex((row) => row.rigId !== work.rigId || row.shot.lensId !== work.shot.lensId);
  return numbersOf(end < 0 ? later : later.slice(0, end));
}

/** What a wait is for: the part of what limits the shot that begins just then. */
function waitFor(given: DayCase, work: ShotWork, takesFromS: number): string {
  const atMin = takesFromS / 60;
  const begins = (rows: readonly { fromMin: number }[]) => rows.some(({ fromMin }) => Math.abs(fromMin - atMin) < 1);
  if (begins(work.light.hours)) return `for ${work.light.what}`;
  if (begins(work.people)) return 'for the people it asks for';
  if (work.wish.between && Math.abs(work.wish.between.fromMin - atMin) < 1) return 'as you set its time';
  const weather = given.weatherOf.get(work.shot.id);
  if (weather && begins(weather.hours)) return `for the weather (${weather.why ?? ''})`;
  return work.wish.light === 'same' ? 'for the light of the shot it joins' : 'as it is pinned';
}

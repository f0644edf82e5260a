import { sayClock, sayCount, sayMinutes, type Shoot } from '../model';
import type { DayCase } from './day-problem';
import { whoDoes } from './hands';
import type { Recorder, Undone } from './day-numbers';
import { RunThrough } from './run-through';
import type { ShotWork } from './shot-work';

/** Among reasons at different places of the day the one that says most. */
const TELLING: readonly Undone[] = ['short', 'battery', 'same', 'late', 'window'];
/** With more than so many left undone it is plain that the day is too short. */
const MOST_TRIED = 12;

/** What keeps a shot out wherever it would be put, or whose place it could have. */
export function keptOut(
  { problem, works }: DayCase,
  order: readonly number[],
  task: number,
  why: Undone,
  count: number,
): { why: Undone; insteadOf: number[] } {
  if (count > MOST_TRIED) return { why, insteadOf: [] };
  const rest = order.filter((k) => k !== task);
  const run = new RunThrough(problem);
  let insteadOf: number[] = [];
  let most = why;
  const wasUndone = new Set<number>();
  const listen = (undone: (k: number, why: Undone) => void): Recorder => ({
    ...DEAF,
    undone,
  });
  run.costOf(
    order,
    listen((k) => wasUndone.add(k)),
  );
  for (let at = 0; at <= rest.length; at += 1) {
    const now = new Map<number, Undone>();
    run.costOf(
      [...rest.slice(0, at), task, ...rest.slice(at)],
      listen((k, reason) => now.set(k, reason)),
    );
    const own = now.get(task);
    if (own !== undefined && TELLING.indexOf(own) < TELLING.indexOf(most)) most = own;
    const pushed = [...now.keys()].filter((k) => !wasUndone.has(k));
    if (own === undefined && pushed.length > 0 && (insteadOf.length === 0 || pushed.length < insteadOf.length))
      insteadOf = pushed;
  }
  return { why: most, insteadOf: insteadOf.map((k) => works[k].number) };
}
const DEAF: Recorder = {
  entry: () => undefined,
  rest: () => undefined,
  undone: () => undefined,
  power: () => undefined,
  charge: () => undefined,
};

/** Why a shot is not made: a sentence with what it would take. */
export function whyNot(
  given: DayCase,
  work: ShotWork,
  task: number,
  { why, insteadOf }: { why: Undone; insteadOf: number[] },
): string {
  const { light, people, wish, tries, takesS } = work;
  const { problem, shoot } = given;
  const windows = problem.tasks[task].windowsS;
  if (light.hours.length === 0) return light.note ?? `There is no ${light.what} on that day.`;
  if (people.length === 0) return tooFew(shoot, work);
  if (windows.length === 0) {
    const weather = given.weatherOf.get(work.shot.id)?.why;
    return (
      `Nothing is left of the day when it has ${light.what}` +
      `${shoot.day.people.length > 0 ? ', its people' : ''}${weather ? `, no ${weather}` : ''}` +
      `${wish.between || wish.pin !== 'none' ? ' and the time that you set' : ''}: loosen one of them.`
    );
  }
  const lengths = windows.flatMap((toS, i) => (i % 2 ? [toS - windows[i - 1]] : []));
  if (why === 'short')
    return (
      `${tries === 1 ? 'One try takes' : `${tries} tries take`} ${sayMinutes(takesS)}; ${light.what} with all it needs ` +
      `lasts ${sayMinutes(Math.max(...lengths))} at a stretch: ` +
      `${tries === 1 ? 'loosen what it asks for, or give it less time' : 'plan fewer tries'}.`
    );
  const instead = insteadOf.length > 0 ? ` It would fit in the place of ${insteadOf.join(', ')}.` : '';
  if (why === 'battery') return `${tooEmpty(given, work)}${instead}`;
  if (why === 'late') return `It would not be done by ${sayClock(problem.endS / 60)}.${instead}`;
  if (why === 'same') return 'The light of the shot it joins is gone by then.';
  return (
    `Its time is over before it can be begun: ${light.what} until ` +
    `${sayClock(windows[windows.length - 1] / 60)}.${instead}`
  );
}

function tooFew({ day }: Shoot, work: ShotWork): string {
  const crew = day.people.filter(({ skills, pieceId }) => skills.length > 0 && !work.before.includes(pieceId ?? ''));
  const missing = work.before
    .map((id) => day.people.find(({ pieceId }) => pieceId === id))
    .filter((person) => person !== undefined);
  const needs = work.hands.map(({ what }) => `one who ${what}`).join(', ');
  const names = crew.map(({ name }) => name).join(', ');
  const there =
    names === ''
      ? 'nobody is there for it'
      : `of those there ${names} can help, which is not enough or not what they do`;
  if (whoDoes(work.hands, crew, new Set(work.before)) === null)
    return (
      `It takes ${work.hands.length} at once (${needs}); ` +
      `${there}: ` +
      'bring somebody, or choose a rig that takes fewer hands.'
    );
  return `${[...missing, ...crew].map(({ name }) => name).join(', ')} are never there at the same time.`;
}

function tooEmpty({ shoot, powerIds, problem }: DayCase, work: ShotWork): string {
  for (const { forId, name, useS, unitS } of work.power) {
    const kind = powerIds.indexOf(forId);
    if (kind < 0) continue;
    const { count, lastsS } = problem.packs[kind];
    if (count === 0) return `There is no battery for ${name}: put one down, or shoot it on something else.`;
    const each = Math.floor(lastsS / unitS);
    if (each === 0) return `One try runs ${sayMinutes(unitS)}; a battery of ${name} lasts ${sayMinutes(lastsS)}.`;
    if (each * unitS * count < useS)
      return (
        `Its ${sayCount(work.tries, 'try', 'tries')} ${work.tries === 1 ? 'runs' : 'run'} ${name} for ${sayMinutes(useS)}; ` +
        `${count === 1 ? 'the battery lasts' : `${count} batteries last`} ` +
        `${sayCount(each * count, 'try', 'tries')}: plan fewer, or bring ${Math.ceil(useS / unitS / each) - count} more.`
      );
  }
  return `No battery is charged in time for it${shoot.day.chargers === 0 ? '; there is no charger' : ''}.`;
}

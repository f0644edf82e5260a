import type { Shoot } from '../model';
import { type DayCase, dayCase, type DayOptions } from './day-problem';
import { type DayPlan, planOf, toldOrder } from './day-plan';
import { asItStands } from './on-the-day';
import { bestOrder, type SearchOptions } from './order-search';

/** A day with its plan, and what shooting in the order of the story would come to. */
export interface PlannedDay {
  given: DayCase;
  plan: DayPlan;
  story: DayPlan;
}

/**
 * Plans what is left of a day. `order`: in that of the story, in the best that is found, or in the one that the shoot
 * keeps. `lateMin`: it goes on so much later than it was to.
 */
export function planDay(
  shoot: Shoot,
  order: 'story' | 'best' | 'kept',
  { lateMin = 0, ...options }: DayOptions & SearchOptions & { lateMin?: number } = {},
): PlannedDay {
  const given = dayCase(shoot, { ...options, ...asItStands(shoot, lateMin) });
  const story = planOf(given, toldOrder(given, []));
  const kept = toldOrder(given, shoot.day.order);
  const chosen = order === 'best' ? bestOrder(given.problem, { from: kept, ...options }).order : kept;
  return { given, story, plan: order === 'story' ? story : planOf(given, chosen) };
}

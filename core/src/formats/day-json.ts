import { allWaysToFit, cardWords, dayNotes, gustLimit, type PlannedDay, powerPlan, savedWords } from '../day';

const whole = Math.round;

/** A planned day: `arc day`. Seconds after midnight by the clock of the place. */
export function dayJson({ given, plan, story }: PlannedDay, order: string) {
  const { shoot } = given;
  return {
    shoot: shoot.name,
    date: shoot.day.date,
    order,
    entries: plan.entries.map((entry) => ({
      shot: entry.number,
      id: entry.shotId,
      name: entry.name,
      startS: whole(entry.startS),
      changeS: whole(entry.changeS),
      setUpS: whole(entry.setUpS),
      waitS: whole(entry.waitS),
      takesS: whole(entry.takesS),
      endS: whole(entry.endS),
      tries: entry.tries,
      reasons: entry.reasons,
      notes: entry.notes,
      hands: entry.work.hands.map(({ what }) => what),
      who: entry.who,
      gustMaxMps: gustLimit(shoot, entry.work)?.mps ?? null,
    })),
    breaks: plan.breaks.map(({ name, startS, forS }) => ({ name, startS: whole(startS), forS })),
    notes: dayNotes(given),
    cannot: plan.cannot.map(({ number, shotId, name, why }) => ({ shot: number, id: shotId, name, why })),
    waysToFit: allWaysToFit(given, plan).map(({ said, left, fits }) => ({ said, left, fits })),
    startS: plan.startS,
    endS: whole(plan.endS),
    totalS: whole(plan.totalS),
    waitS: whole(plan.waitS),
    lensChanges: plan.lensChanges,
    rigChanges: plan.rigChanges,
    walkM: whole(plan.walkM),
    story: { totalS: whole(story.totalS), cannot: story.cannot.map(({ number }) => number) },
    saved: savedWords(plan, story),
    power: powerPlan(given, plan).map(({ name, useS, needs, count, charges, short }) => ({
      name,
      useS: whole(useS),
      needs,
      count,
      charges,
      short,
    })),
    cards: (({ gigabytes, short }) => ({ gigabytes: whole(gigabytes * 10) / 10, short }))(cardWords(given, plan)),
  };
}

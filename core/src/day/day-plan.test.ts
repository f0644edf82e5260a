import { describe, expect, it } from 'vitest';
import { changeDay, changeWish, moveInDay } from '../edit';
import { demoShoot } from '../testing/demo';
import { problemsIn, type Shoot, type Wish } from '../model';
import { dayCase } from './day-problem';
import { dayNotes } from './day-notes';
import { type DayPlan, planOf, toldOrder } from './day-plan';
import { goesOnMin, nowIn, whatChanges } from './on-the-day';
import { planDay } from './plan-day';
import { cardWords, powerPlan } from './power-plan';
import { packList } from './pack-list';
import { ShotLooks } from './shot-facts';
import { allWaysToFit, withDayChange } from './ways-to-fit';

const demo = demoShoot();
const looks = new ShotLooks();
const kept = (shoot: Shoot, more: Parameters<typeof planDay>[2] = {}) => planDay(shoot, 'kept', { looks, ...more });
const wish = (shoot: Shoot, shotId: string, change: Partial<Wish>) => changeWish(shoot, shotId, change);
const numbers = (plan: DayPlan) => plan.entries.map(({ number }) => number);
/** A day of the shots named, in their order, with nothing else asked. */
function only(...ids: string[]): Shoot {
  const plain = changeDay(demo, { wishes: [], batteries: [], breaks: [], people: [], weather: null, order: ids });
  return demo.shots.reduce((shoot, { id }) => wish(shoot, id, { planned: ids.includes(id) }), plain);
}

describe('the day of the demo', () => {
  const { plan, given, story } = kept(demo);

  it('has a morning window, a break at noon, an evening window, and one battery too few', () => {
    const of = (id: string) => plan.entries.find(({ shotId }) => shotId === id);
    const rise = given.sun?.up[0].fromMin ?? NaN;
    const set = given.sun?.up.at(-1)?.toMin ?? NaN;
    const morning = of('shot-rows');
    expect((morning?.takesFromS ?? 0) / 60).toBeGreaterThanOrEqual(rise);
    expect((morning?.endS ?? 0) / 60).toBeLessThanOrEqual(rise + 60);
    const evening = of('shot-face');
    expect((evening?.takesFromS ?? 0) / 60).toBeGreaterThanOrEqual(set - 60);
    expect((evening?.endS ?? 0) / 60).toBeLessThanOrEqual(set);
    expect(plan.breaks.map(({ name }) => name)).toEqual(['Lunch in the shade']);
    expect(plan.cannot).toHaveLength(1);
    expect(plan.cannot[0].why).toContain('No battery is charged in time');
    const ways = allWaysToFit(given, plan, { looks });
    expect(ways.find(({ said }) => said.startsWith('One more battery for Drone'))).toMatchObject({ left: 0 });
  });

  it('keeps every shot inside its light, its people’s hours, its own time and the day', () => {
    for (const { shotId, takesFromS, endS, work } of plan.entries) {
      const inside = (rows: readonly { fromMin: number; toMin: number }[]) =>
        rows.some(({ fromMin, toMin }) => takesFromS >= fromMin * 60 - 1 && endS <= toMin * 60 + 1);
      expect(inside(work.light.hours), `${shotId} light`).toBe(true);
      expect(inside(work.people), `${shotId} people`).toBe(true);
      if (work.wish.between) expect(inside([work.wish.between])).toBe(true);
      expect(endS).toBeLessThanOrEqual(demo.day.wrapMin * 60);
    }
  });

  it('follows on without a gap: each shot begins where the one before or the break ended', () => {
    plan.entries.forEach(({ startS, changeS, setUpS, waitS, takesS, endS }, i) => {
      expect(startS + changeS + setUpS + waitS + takesS).toBeCloseTo(endS, 6);
      const before = plan.entries[i - 1]?.endS ?? plan.startS;
      const rest = plan.breaks.find((row) => row.startS >= before - 1 && row.startS < startS);
      if (rest) expect(rest.startS + rest.forS).toBeCloseTo(startS, 6);
      else expect(startS).toBeCloseTo(before, 6);
    });
  });

  it('gives every pair of hands one thing to do at a time, and nobody who stands before the camera', () => {
    for (const { who, work } of plan.entries) {
      expect(who).toHaveLength(work.hands.length);
      expect(new Set(who.map(({ name }) => name)).size).toBe(who.length);
      expect(who.some(({ name }) => name === 'Beno')).toBe(false);
    }
  });

  it('does more than the order of the story', () => {
    expect(story.cannot.length).toBeGreaterThan(plan.cannot.length);
  });

  it('says of each change what it takes, as long as it takes', () => {
    for (const { reasons, changeS, number } of plan.entries.slice(1))
      if (changeS >= 60) expect(reasons.join(' '), `${number}`).toMatch(/Changes: /);
  });

  it('packs every camera, lens, filter and rig of its shots, and what people forget', () => {
    const items = packList(given, plan).flatMap(({ items: rows }) => rows);
    const keys = new Set(items.map(({ key }) => key));
    for (const { shot } of given.works) {
      for (const key of [`camera.${shot.cameraId}`, `lens.${shot.lensId}`, `rig.${shot.rigId}`])
        expect(keys).toContain(key);
      for (const id of shot.filterIds) expect(keys).toContain(`filter.${id}`);
    }
    expect(items.map(({ said }) => said).join('; ')).toMatch(
      /card.*[Pp]lates.*screws.*[Tt]ape.*[Cc]loth.*[Bb]ags.*[Cc]harger.*level/,
    );
    expect(items.find(({ key }) => key === 'battery.rig-drone')?.said).toContain('Drone, small');
  });
});

describe('advice of a day, followed to the letter', () => {
  it('every way that can be taken leaves as many undone as it says, when it is taken and searched again', () => {
    const tight = changeDay(demo, { wrapMin: 990, callMin: 420, order: [] });
    const { plan, given } = planDay(tight, 'best', { looks, tries: 6000 });
    expect(plan.cannot.length).toBeGreaterThan(2);
    const ways = allWaysToFit(given, plan, { looks });
    expect(ways.length).toBeGreaterThan(0);
    for (const { change, left, said, fits } of ways) {
      if (!change) continue;
      const taken = withDayChange(tight, change);
      expect(problemsIn(taken), said).toEqual([]);
      const { plan: then } = planDay(taken, 'kept', { looks: new ShotLooks() });
      expect(then.cannot.length, said).toBe(left);
      // Those that it names, and not others instead of them.
      expect(numbers(then), said).toEqual(expect.arrayContaining(fits));
      const again = planDay(taken, 'best', { looks: new ShotLooks(), tries: 6000 });
      expect(again.plan.cannot.length, said).toBeLessThanOrEqual(left);
    }
  });

  it('“it would fit in the place of” another: dropping that one, it fits', () => {
    const { plan } = kept(demo);
    const [{ why, shotId }] = plan.cannot;
    const number = Number(/in the place of (\d+)/.exec(why)?.[1]);
    const without = wish(demo, demo.shots[number - 1].id, { state: 'dropped' });
    const again = planDay(without, 'best', { looks });
    expect(again.plan.entries.some((entry) => entry.shotId === shotId)).toBe(true);
  });

  it('dragging overrules: the order is the one that was told, whatever it costs', () => {
    const order = kept(demo).plan.entries.map(({ shotId }) => shotId);
    const moved = moveInDay(demo, order, order[5], order[2]);
    const now = kept(moved).plan.entries.map(({ shotId }) => shotId);
    expect(now.indexOf(order[5])).toBe(now.indexOf(order[2]) - 1);
  });

  it('a pin is kept by the search', () => {
    const pinned = wish(wish(demo, 'shot-jib', { pin: 'first' }), 'shot-cup', {
      pin: 'rightAfter',
      afterId: 'shot-jib',
    });
    const open = wish(wish(pinned, 'shot-jib', { light: 'always' }), 'shot-cup', { light: 'always' });
    const { plan } = planDay(open, 'best', { looks, tries: 20_000 });
    expect(numbers(plan).slice(0, 2)).toEqual([18, 22]);
    expect(plan.entries[0].reasons[0]).toBe('First, as you pinned it.');
  });
});

describe('a day that runs late', () => {
  it('is planned anew from what is done, so much later, and says what changes', () => {
    const before = kept(demo).plan;
    const [first] = before.entries;
    const begun = wish(demo, first.shotId, { state: 'done', doneMin: Math.round(first.endS / 60) });
    const onTime = kept(begun).plan;
    const late = planDay(begun, 'best', { looks, lateMin: 20, quick: true });
    expect(goesOnMin(begun, 20) - goesOnMin(begun)).toBe(20);
    expect(late.plan.startS - onTime.startS).toBe(1200);
    expect(numbers(late.plan)).not.toContain(first.number);
    const lost = late.plan.cannot.filter(({ shotId }) => !onTime.cannot.some((row) => row.shotId === shotId));
    const said = whatChanges(onTime, late.plan).join(' ');
    for (const { number } of lost) expect(said).toContain(`${number} `);
    // What the same gear was on before stays on it.
    expect(onTime.entries[0].changeS).toBe(before.entries[1].changeS);
  });
  it('says of the first of the rest what it takes from the one that was made last', () => {
    const [, second, third] = kept(demo).plan.entries;
    const made = demo.day.order
      .slice(0, 2)
      .reduce((shoot, shotId, i) => wish(shoot, shotId, { state: 'done', doneMin: 300 + 20 * i }), demo);
    const [rest] = kept(made).plan.entries;
    expect(rest.shotId).toBe(third.shotId);
    expect(rest.changeS).toBe(third.changeS);
    expect(rest.reasons.join(' ')).toContain(`${second.number}`);
  });
  it('a shot that shares the light of one that is made is made near it, or not at all', () => {
    const made = (doneMin: number) => wish(demo, 'shot-rows', { state: 'done', doneMin });
    const of = (shoot: Shoot) => planDay(shoot, 'best', { looks, quick: true }).plan;
    const near = of(made(330)).entries.find(({ shotId }) => shotId === 'shot-leaves');
    expect((near?.takesFromS ?? Infinity) / 60).toBeLessThan(330 + 60);
    expect(of(made(1000)).entries.find(({ shotId }) => shotId === 'shot-leaves')?.takesFromS ?? 1e6).toBeGreaterThan(
      900 * 60,
    );
  });
  it('says nothing where nothing changes', () => {
    const { plan } = kept(demo);
    expect(whatChanges(plan, plan)).toEqual([]);
  });
  it('knows at every minute what is on', () => {
    const { plan } = kept(demo);
    for (let minute = 240; minute < 1100; minute += 1) {
      const { entry, next, doing, untilS } = nowIn(plan, minute);
      if (doing === 'over') expect(minute * 60).toBeGreaterThanOrEqual(plan.endS);
      else expect(untilS).toBeGreaterThan(minute * 60);
      if (doing === 'takes' && entry) expect(minute * 60 >= entry.takesFromS && minute * 60 < entry.endS).toBe(true);
      if (doing === 'before' || doing === 'break') expect(next).not.toBeNull();
    }
  });
});

describe('a day that cannot be', () => {
  const why = (shoot: Shoot) => kept(shoot).plan.cannot.map((row) => row.why);

  it('in the polar night nothing fits that needs daylight, and it says so', () => {
    const place = { latitudeDeg: 78, longitudeDeg: 15, utcOffsetH: 1 };
    const polar = { ...only('shot-rows', 'shot-sorting'), site: { ...demo.site, place } };
    const dated = changeDay(polar, { date: '2026-12-20' });
    expect(why(dated)).toEqual([
      'The sun does not rise there on 2026-12-20.',
      'The sun does not rise there on 2026-12-20.',
    ]);
    expect(dayNotes(dayCase(dated, { looks })).join(' ')).toContain('only shots that need no daylight fit');
  });
  it('without a battery the drone stays down', () => {
    const none = changeDay(only('shot-map'), {
      batteries: [{ id: 'b', forId: 'rig-drone', count: 0, lastsMin: 20, chargeMin: 60 }],
    });
    expect(why(none)).toEqual(['There is no battery for Drone, small: put one down, or shoot it on something else.']);
    expect(dayNotes(dayCase(none, { looks }))).toContain(
      'There is no battery for Drone, small: nothing is shot with it.',
    );
  });
  it('too many tries for the batteries: so many more would do, and they do', () => {
    const few = (count: number) =>
      changeDay(wish(only('shot-map'), 'shot-map', { tries: 20 }), {
        date: '2026-04-12',
        batteries: [{ id: 'b', forId: 'rig-drone', count, lastsMin: 6, chargeMin: 60 }],
      });
    const [said] = why(few(1));
    const more = Number(/bring (\d+) more/.exec(said)?.[1]);
    expect(more).toBeGreaterThan(0);
    expect(why(few(1 + more))).toEqual([]);
    expect(why(few(more))).toHaveLength(1);
  });
  it('light that is too short for the tries: says how long both are', () => {
    const long = wish(only('shot-rows'), 'shot-rows', { light: 'morning', tries: 100 });
    expect(why(changeDay(long, { date: '2026-04-12' }))[0]).toMatch(
      /100 tries take 1 h .*lasts 1 h at a stretch: plan fewer tries/,
    );
  });
  it('more hands than there are: says which are missing', () => {
    const alone = changeDay(only('shot-map'), {
      people: [
        { id: 'i', name: 'Ilka', pieceId: null, hours: { fromMin: 0, toMin: 1440 }, skills: ['operates', 'helps'] },
      ],
    });
    expect(why(alone)[0]).toMatch(/It takes 2 at once \(one who flies, one who watches the sky and the people\).*Ilka/);
    const two = changeDay(alone, {
      people: [
        ...alone.day.people,
        { id: 't', name: 'Tovo', pieceId: null, hours: { fromMin: 0, toMin: 1440 }, skills: ['flies'] },
      ],
    });
    expect(why(two)).toEqual([]);
  });
  it('a wind that is too strong for the rig keeps it down in those hours', () => {
    const blows = (from: number) =>
      changeDay(only('shot-map'), {
        date: '2026-04-12',
        weather: Array.from({ length: 24 }, (_, hour) => ({
          hour,
          windMps: hour < from ? 1 : 15,
          gustMps: hour < from ? 2 : 25,
          rainMmph: 0,
          cloudShare: 0,
        })),
      });
    expect(why(blows(24))).toEqual([]);
    expect(why(blows(0))[0]).toContain('no gusts above');
    const [entry] = kept(blows(9)).plan.entries;
    expect(entry.endS / 3600).toBeLessThanOrEqual(9);
  });
  it('a window that ends before it begins, or a day that does, is refused with a sentence', () => {
    const turned = wish(demo, 'shot-rows', { between: { fromMin: 700, toMin: 600 } });
    expect(problemsIn(turned)[0].sentence).toMatch(/must come after where it begins; end it later or begin it earlier/);
    expect(problemsIn(changeDay(demo, { callMin: 900, wrapMin: 800 }))[0].sentence).toContain(
      'must come after everybody is there',
    );
  });
  it('three hundred shots are planned all the same, and called too many', () => {
    const shots = Array.from({ length: 300 }, (_, i) => ({ ...demo.shots[24], id: `s${i}` }));
    const many = { ...changeDay(demo, { wishes: [], order: [] }), shots };
    const given = dayCase(many, { looks });
    expect(planOf(given, toldOrder(given, [])).entries.length).toBeGreaterThan(10);
    expect(dayNotes(given)[0]).toContain('300 shots are in this day');
  });
  it('an empty day is an empty plan', () => {
    const { plan } = kept(only());
    expect(plan.entries).toEqual([]);
    expect(plan.totalS).toBe(0);
  });
});

describe('power and cards of a day', () => {
  it('adds up what each battery runs for, and says how many that takes', () => {
    const { given, plan } = kept(demo);
    for (const { forId, useS, needs } of powerPlan(given, plan)) {
      const all = given.works.flatMap(({ power }) => power).filter((row) => row.forId === forId);
      expect(useS).toBeCloseTo(
        all.reduce((sum, row) => sum + row.useS, 0),
        6,
      );
      const battery = demo.day.batteries.find((row) => row.forId === forId);
      if (battery) expect(needs).toBe(Math.ceil(useS / 60 / battery.lastsMin));
    }
  });
  it('cards by hand: four tries of 10 s at 200 Mb a second are 1 GB', () => {
    // 8 s and a second of handles at either end; 200 Mb/s are 25 MB/s; four tries are 40 s.
    const one = wish(only('shot-rows'), 'shot-rows', { tries: 4 });
    const { given, plan } = kept(changeDay(one, { date: '2026-04-12' }));
    expect(cardWords(given, plan).gigabytes).toBeCloseTo(1, 2);
    expect(cardWords(given, plan).said).toBe('All tries come to 1 GB: 1 card of 128 GB; there are 2.');
  });
});

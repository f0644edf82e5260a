import * as Comlink from 'comlink';
import {
  altitudeAt,
  asItStands,
  cardWords,
  type DayCase,
  dayCase,
  type DayOptions,
  dayNotes,
  type DayPlan,
  gustLimit,
  orderSearch,
  type OrderStep,
  packList,
  planDay,
  planOf,
  powerPlan,
  savedWords,
  ShotLooks,
  shotWork,
  sunTimes,
  sunWords,
  toldOrder,
  waysToFit,
  whatChanges,
} from '@gentle-arc/core/day';
import { writeDayCsv, writeDayIcs } from '@gentle-arc/core/formats';
import type { DayAim, Shoot } from '@gentle-arc/core/model';
import {
  type Alternative,
  DayQuestionSchema,
  type DayQuestion,
  type DayWorker,
  OrderQuestionSchema,
  type ShownDay,
  type ShownPlan,
} from './day-messages';
import { heardOut } from './heard-out';
import { KeptShoot } from './kept-shoot';

const kept = new KeptShoot();
const looks = new ShotLooks();
/** Counts what was begun or called off. */
let work = 0;
const breathe = () => new Promise((resolve) => setTimeout(resolve));
const ALTERNATIVE_TRIES = 20_000;
const SUN_STEP_MIN = 5;

const optionsOf = (shoot: Shoot, { forecast, lateMin, units }: DayQuestion): DayOptions => ({
  forecast,
  units,
  looks,
  ...asItStands(shoot, lateMin),
});
const caseOf = (shoot: Shoot, question: DayQuestion, aim: DayAim = shoot.day.aim): DayCase =>
  dayCase(shoot, { ...optionsOf(shoot, question), aim });

function shown(plan: DayPlan): ShownPlan {
  return {
    ...plan,
    entries: plan.entries.map((entry) => {
      const { shot, ...work } = entry.work;
      return { ...entry, shotId: shot.id, work };
    }),
  };
}

/** Of more shots than this only those of the day are looked at. */
const MOST_LOOKED_AT = 150;
function usualOf(shoot: Shoot, { works, sun }: DayCase): ShownDay['usual'] {
  const rows = new Map(works.map((row) => [row.shot.id, row.usual]));
  if (shoot.shots.length <= MOST_LOOKED_AT)
    shoot.shots.forEach((shot, i) => {
      if (!rows.has(shot.id)) rows.set(shot.id, shotWork(shoot, looks.facts(shoot, shot), i + 1, sun).usual);
    });
  return Object.fromEntries(rows);
}

/** Runs a search to its end, or until it is called off: then with the best so far. */
async function found(search: Generator<OrderStep, OrderStep>, onStep: (step: OrderStep) => void): Promise<OrderStep> {
  const number = work;
  for (;;) {
    const { done, value } = search.next();
    if (done || number !== work) return value;
    onStep(value);
    await breathe();
  }
}

const worker: DayWorker = {
  sync: (patch) => kept.sync(patch),
  async day(message) {
    const question = DayQuestionSchema.parse(message);
    const { shoot } = kept;
    const given = caseOf(shoot, question);
    const plan = planOf(given, toldOrder(given, shoot.day.order));
    const story = planOf(given, toldOrder(given, []));
    const { sun } = given;
    const { riseMin, setMin } = sun ? sunTimes(sun) : { riseMin: null, setMin: null };
    const answer: ShownDay = {
      plan: shown(plan),
      saved: savedWords(plan, story),
      notes: dayNotes(given),
      sunSaid: sunWords(given),
      sun: sun
        ? Array.from({ length: 2160 / SUN_STEP_MIN + 1 }, (_, i) => ({
            atMin: i * SUN_STEP_MIN,
            altitudeDeg: altitudeAt(sun, i * SUN_STEP_MIN),
          }))
        : [],
      riseMin,
      setMin,
      weather: given.weather,
      power: powerPlan(given, plan),
      cards: cardWords(given, plan),
      pack: packList(given, plan),
      gustMaxMps: Object.fromEntries(
        plan.entries.flatMap(({ work: row, shotId }) => {
          const limit = gustLimit(shoot, row);
          return limit ? [[shotId, limit.mps]] : [];
        }),
      ),
      usual: usualOf(shoot, given),
      fromMin: plan.startS / 60,
    };
    return answer;
  },
  order: (message, onStep) =>
    heardOut(onStep, async (tell) => {
      const { aim, quick, ...question } = OrderQuestionSchema.parse(message);
      const { shoot } = kept;
      work += 1;
      const given = caseOf(shoot, question, aim);
      const from = toldOrder(given, shoot.day.order);
      const best = await found(orderSearch(given.problem, { from, quick }), ({ done, of }) => tell(done, of));
      const ids = best.order.map((k) => given.works[k].shot.id);
      return { ids, changes: whatChanges(planOf(given, from), planOf(given, best.order)) };
    }),
  alternatives: (message, onStep) =>
    heardOut(onStep, async (tell) => {
      const question = DayQuestionSchema.parse(message);
      const { shoot } = kept;
      work += 1;
      const number = work;
      const rows: Alternative[] = [];
      const AIMS: DayAim[] = ['minutes', 'lenses', 'light', 'carrying', 'clouds'];
      for (const [i, aim] of AIMS.entries()) {
        const given = caseOf(shoot, question, aim);
        const best = await found(
          orderSearch(given.problem, { from: toldOrder(given, shoot.day.order), tries: ALTERNATIVE_TRIES }),
          ({ done, of }) => tell(i + done / of, AIMS.length),
        );
        if (number !== work) return rows;
        const plan = planOf(given, best.order);
        rows.push({
          aim,
          order: best.order.map((k) => given.works[k].shot.id),
          cannot: plan.cannot.map((row) => row.number),
          endS: plan.endS,
          totalS: plan.totalS,
          lensChanges: plan.lensChanges,
          rigChanges: plan.rigChanges,
          carriedKgM: plan.carriedKgM,
          harshS: plan.harshS,
        });
      }
      return rows;
    }),
  ways: (message, onStep) =>
    heardOut(onStep, async (tell) => {
      const question = DayQuestionSchema.parse(message);
      const { shoot } = kept;
      work += 1;
      const number = work;
      const given = caseOf(shoot, question);
      const search = waysToFit(given, planOf(given, toldOrder(given, shoot.day.order)), optionsOf(shoot, question));
      for (;;) {
        const { done, value } = search.next();
        if (done) return value;
        if (number !== work) return [];
        tell(value, value + 10);
        await breathe();
      }
    }),
  async file(message, format) {
    const { forecast, lateMin, units } = DayQuestionSchema.parse(message);
    const planned = planDay(kept.shoot, 'kept', { forecast, lateMin, units, looks });
    return format === 'ics' ? writeDayIcs(planned) : writeDayCsv(planned);
  },
  async callOff() {
    work += 1;
  },
};

Comlink.expose(worker);

import { type DayProblem, type Task } from '../day';

/** Even numbers from 0 to 1 (Park & Miller's minimal standard generator 1988, from memory): not the search's own. */
export function evenNumbers(seed: number): () => number {
  let state = (seed % 2147483646) + 1;
  return () => (state = (state * 48271) % 2147483647) / 2147483647;
}

/** A made-up day of so many shots: spots on a ground, rigs, windows of light, pins, breaks, batteries. */
export function randomDay(seed: number, n: number, { tight = true } = {}): DayProblem {
  const random = evenNumbers(seed);
  const between = (from: number, to: number) => from + random() * (to - from);
  const cameras = 1 + Math.floor(random() * 2);
  const spots = Array.from({ length: n }, () => ({
    x: between(0, 200),
    y: between(0, 200),
    rig: Math.floor(random() * 3),
    lens: Math.floor(random() * 3),
    camera: Math.floor(random() * cameras),
  }));
  const startS = 6 * 3600;
  const endS = tight ? startS + n * between(2200, 4400) : 30 * 3600;
  const packs = [
    { count: 1 + Math.floor(random() * 2), lastsS: between(1200, 2400), chargeS: random() < 0.2 ? Infinity : 3600 },
  ];
  const tasks = Array.from({ length: n }, (_, k): Task => {
    const opensS = random() < 0.5 ? 0 : startS + random() * 0.6 * (endS - startS);
    const closesS = random() < 0.5 ? 36 * 3600 : opensS + between(1800, 3 * 3600);
    const useS = between(60, 900);
    return {
      camera: spots[k].camera,
      windowsS: random() < 0.2 ? [opensS, opensS + 1200, opensS + 3000, closesS + 6000] : [opensS, closesS],
      setUpS: Math.round(between(120, 1500)),
      takesS: Math.round(between(120, 1100)),
      power: random() < 0.4 ? [{ kind: 0, useS, unitS: useS / (1 + Math.floor(random() * 4)) }] : [],
      sameAs: [],
      hard: random() < 0.3,
      sunny: random() < 0.3,
      outdoors: random() < 0.7,
      first: random() < 0.04,
      last: random() < 0.04,
      rightAfter: -1,
    };
  });
  if (n > 3 && random() < 0.4) {
    tasks[0] = { ...tasks[0], sameAs: [1] };
    tasks[1] = { ...tasks[1], sameAs: [0] };
  }
  if (n > 3 && random() < 0.4) tasks[3] = { ...tasks[3], rightAfter: 2 };
  const gearS = new Float64Array((n + cameras) * n);
  const walkS = new Float64Array((n + 1) * n);
  for (let b = 0; b < n; b += 1) {
    for (let a = 0; a < n + cameras; a += 1) {
      const from = spots[a];
      gearS[a * n + b] = from === undefined || from.rig !== spots[b].rig ? 900 : from.lens !== spots[b].lens ? 300 : 0;
    }
    for (let a = 0; a < n; a += 1)
      walkS[a * n + b] = Math.round(Math.hypot(spots[a].x - spots[b].x, spots[a].y - spots[b].y));
  }
  const slots = 144;
  return {
    tasks,
    cameras,
    otherCameraS: 120,
    lastCamera: -1,
    gearS,
    gearCost: new Float64Array(gearS.length),
    walkS,
    walkCost: new Float64Array(walkS.length),
    startS,
    endS,
    tiredFromS: startS + 9 * 3600,
    breaks: random() < 0.6 ? [{ fromS: startS + 0.4 * (endS - startS), forS: 1800, slackS: 1800 }] : [],
    packs,
    chargers: Math.floor(random() * 3),
    sameS: new Float64Array(slots).fill(2700),
    harsh: new Float64Array(slots).fill(random()),
    harshCost: random() < 0.3 ? 1 : 0,
    putOffCost: random() < 0.3 ? 0.3 : 0,
  };
}

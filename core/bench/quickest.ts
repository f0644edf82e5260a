/** The quickest of many rounds, ms: on a shared machine the others measure the neighbours. */
export function quickest(rounds: number, work: () => void): number {
  let best = Infinity;
  for (let k = 0; k < rounds; k += 1) {
    const from = performance.now();
    work();
    best = Math.min(best, performance.now() - from);
  }
  return best;
}

/** Several works one after the other, many times: how long each took in the quickest round, ms. */
export function quickestRound(rounds: number, works: readonly (() => void)[]): number[] {
  let best: number[] = works.map(() => Infinity);
  for (let k = 0; k < rounds; k += 1) {
    const took = works.map((work) => quickest(1, work));
    if (took.reduce((a, b) => a + b) < best.reduce((a, b) => a + b)) best = took;
  }
  return best;
}

export const row = (name: string, ms: number, more = ''): void =>
  console.log(`${name.padEnd(50)} ${ms.toFixed(2).padStart(8)} ms  ${more}`);

/**
 * Where a function that falls and then rises is lowest, by golden section (Kiefer 1953), between two arguments.
 * @param within how near the answer has to be
 */
export function lowestBetween(from: number, to: number, within: number, valueAt: (x: number) => number): number {
  const golden = (Math.sqrt(5) - 1) / 2;
  let [low, high] = [from, to];
  let [a, b] = [high - golden * (high - low), low + golden * (high - low)];
  let [atA, atB] = [valueAt(a), valueAt(b)];
  for (let round = 0; round < 80 && high - low > within; round += 1)
    if (atA < atB) {
      [high, b, atB] = [b, a, atA];
      a = high - golden * (high - low);
      atA = valueAt(a);
    } else {
      [low, a, atA] = [a, b, atB];
      b = low + golden * (high - low);
      atB = valueAt(b);
    }
  return (low + high) / 2;
}

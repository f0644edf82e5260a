/** A point on the ground, m. */
export type Spot = readonly [xM: number, yM: number];

/** The outline of spots, counter-clockwise, without those inside it (Andrew's monotone chain). */
export function outlineOf(spots: readonly Spot[]): Spot[] {
  const sorted = [...spots].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (rows: readonly Spot[]) => {
    const out: Spot[] = [];
    for (const c of rows) {
      for (;;) {
        const [a, b] = [out.at(-2), out.at(-1)];
        if (!a || !b || (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]) > 1e-12) break;
        out.pop();
      }
      out.push(c);
    }
    return out.slice(0, -1);
  };
  return [...half(sorted), ...half([...sorted].reverse())];
}

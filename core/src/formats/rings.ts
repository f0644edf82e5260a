type Spot = readonly [number, number];

const turn = (a: Spot, b: Spot, c: Spot) => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Whether two stretches cross in a point that is the end of neither. */
const cross = (a: Spot, b: Spot, c: Spot, d: Spot) =>
  turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;

interface Stretch {
  a: Spot;
  b: Spot;
  ring: number;
  from: number;
  to: number;
}

/** The first two closed rings that cross, by their index (the same twice: one that crosses itself); null if none do. */
export function crossingRings(rings: readonly (readonly Spot[])[]): [number, number] | null {
  const all = rings
    .flatMap((spots, ring) =>
      spots.slice(1).map((b, i): Stretch => {
        const a = spots[i];
        return { a, b, ring, from: Math.min(a[0], b[0]), to: Math.max(a[0], b[0]) };
      }),
    )
    .sort((one, other) => one.from - other.from);
  // Swept from west to east: only what lies beside each other is compared.
  for (let i = 0; i < all.length; i += 1)
    for (let k = i + 1; k < all.length && all[k].from <= all[i].to; k += 1)
      if (cross(all[i].a, all[i].b, all[k].a, all[k].b))
        return [Math.min(all[i].ring, all[k].ring), Math.max(all[i].ring, all[k].ring)];
  return null;
}

/** Whether a spot lies inside a closed ring (even and odd crossings). */
export function isInside([x, y]: Spot, ring: readonly Spot[]): boolean {
  let inside = false;
  for (let i = 1; i < ring.length; i += 1) {
    const [a, b] = [ring[i - 1], ring[i]];
    if (a[1] > y !== b[1] > y && x < a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])) inside = !inside;
  }
  return inside;
}

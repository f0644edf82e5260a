/** Standard acceleration of fall, m/s² (CGPM 1901). */
export const GRAVITY = 9.80665;

/**
 * Complete elliptic integral of the first kind K(k) of modulus 0 ≤ k < 1, by the arithmetic-geometric mean (Abramowitz
 * & Stegun 17.6). Infinite at 1, NaN beyond.
 */
export function completeK(k: number): number {
  if (!(k >= 0 && k <= 1)) return NaN;
  let a = 1;
  let b = Math.sqrt(1 - k * k);
  for (let i = 0; i < 40 && Math.abs(a - b) > 1e-15 * a; i += 1) [a, b] = [(a + b) / 2, Math.sqrt(a * b)];
  return Math.PI / (2 * a);
}

/** K(sin 45°): a pendulum let go from level takes this many times 1/ω₀ to hang straight. */
export const K_FROM_LEVEL = completeK(Math.SQRT1_2);

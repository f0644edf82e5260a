/** Numbers from 0 to 1, the same for the same seed (Lehmer's generator, Park & Miller 1988, from memory). */
export function seededFrom(seed: number): () => number {
  let state = (Math.abs(Math.floor(seed)) % 2147483646) + 1;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

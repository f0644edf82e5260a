import { vi } from 'vitest';

/** Frames that come when they are asked for, so many ms after each other; `asked`: somebody waits for one. */
export function stubFrames() {
  let next: ((nowMs: number) => void) | null = null;
  let nowMs = 1000;
  vi.stubGlobal('requestAnimationFrame', (call: (nowMs: number) => void) => {
    next = call;
    return 1;
  });
  vi.stubGlobal('cancelAnimationFrame', () => (next = null));
  return {
    frame(afterMs: number) {
      nowMs += afterMs;
      next?.(nowMs);
    },
    asked: () => next !== null,
  };
}

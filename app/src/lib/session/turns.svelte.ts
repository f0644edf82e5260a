import { untrack } from 'svelte';

/** While there is a rush a part has its turn so often, ms; never two in one frame. */
const EVERY_MS = 100;

/**
 * Parts of a page that are read and not held: while something changes faster than anybody reads, each shows things as
 * they were at its last turn, so that what the hand holds follows with every frame.
 */
export class Turns {
  private readonly parts: Part[] = [];

  /** `rushing`: there is a rush. */
  constructor(private readonly rushing: () => boolean) {}

  /** `whole` for one more part: what `keys` name is that of its last turn while there is a rush, all else as it is. */
  of<T extends object>(whole: T, keys: readonly (keyof T)[], everyMs = EVERY_MS): T {
    const part = new Part(this.rushing, whole, keys, everyMs);
    this.parts.push(part);
    return new Proxy(whole, {
      get: (from, key) => (part.has(key) ? part.value(key) : Reflect.get(from, key, from)),
      set: (from, key, value) => Reflect.set(from, key, value, from),
    });
  }

  /** A rush is about to begin: until its first turn each part shows things as they are now. */
  keep(): void {
    for (const part of this.parts) part.keep();
  }

  /** Gives turns, frame by frame, to whom they have been due longest; returns what ends that. */
  give(): () => void {
    let frame = 0;
    let begun = false;
    const next = (nowMs: number) => {
      // What a hand does first is what it waits for most: nothing else is due yet.
      if (!begun) for (const part of this.parts) part.begin(nowMs);
      begun = true;
      const first = this.parts.reduce((a, b) => (b.dueMs < a.dueMs ? b : a));
      if (nowMs >= first.dueMs) first.take(nowMs);
      frame = requestAnimationFrame(next);
    };
    if (this.parts.length > 0) frame = requestAnimationFrame(next);
    return () => {
      cancelAnimationFrame(frame);
      for (const part of this.parts) part.forget();
    };
  }
}

/** Nothing is kept. */
const NONE = Symbol('none');

/** One thing as a part shows it in a rush: whoever reads it is told when it is another one, and of nothing else. */
class Kept {
  value: unknown = $state.raw(NONE);
}

class Part {
  dueMs = 0;
  private readonly kept = new Map<PropertyKey, Kept>();

  constructor(
    private readonly rushing: () => boolean,
    private readonly whole: object,
    keys: readonly PropertyKey[],
    private readonly everyMs: number,
  ) {
    for (const key of keys) this.kept.set(key, new Kept());
  }

  has(key: PropertyKey): boolean {
    return this.kept.has(key);
  }

  value(key: PropertyKey): unknown {
    if (!this.rushing()) return Reflect.get(this.whole, key);
    const { value } = this.kept.get(key) as Kept;
    return value === NONE ? untrack(() => Reflect.get(this.whole, key)) : value;
  }

  begin(nowMs: number): void {
    this.dueMs = nowMs + this.everyMs;
  }

  take(nowMs: number): void {
    this.begin(nowMs);
    this.keep();
  }

  keep(): void {
    untrack(() => {
      for (const [key, kept] of this.kept) kept.value = Reflect.get(this.whole, key);
    });
  }

  forget(): void {
    for (const kept of this.kept.values()) kept.value = NONE;
  }
}

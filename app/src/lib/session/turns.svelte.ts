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
    const part = new Part(this.rushing, whole, new Set<PropertyKey>(keys), everyMs);
    this.parts.push(part);
    return new Proxy(whole, {
      get: (from, key) => (part.keys.has(key) ? part.value(key) : Reflect.get(from, key, from)),
      set: (from, key, value) => Reflect.set(from, key, value, from),
    });
  }

  /** Gives turns, frame by frame, to whom they have been due longest; returns what ends that. */
  give(): () => void {
    let frame = 0;
    const next = (nowMs: number) => {
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

class Part {
  dueMs = 0;
  private turn = $state(0);
  private kept: Map<PropertyKey, unknown> | null = null;

  constructor(
    private readonly rushing: () => boolean,
    private readonly whole: object,
    readonly keys: ReadonlySet<PropertyKey>,
    private readonly everyMs: number,
  ) {}

  value(key: PropertyKey): unknown {
    if (!this.rushing()) {
      this.kept = null;
      return Reflect.get(this.whole, key);
    }
    // Whoever reads it is told of the next turn, and of nothing else.
    void this.turn;
    this.kept ??= this.now();
    return this.kept.get(key);
  }

  take(nowMs: number): void {
    this.dueMs = nowMs + this.everyMs;
    this.kept = this.now();
    this.turn += 1;
  }

  forget(): void {
    this.kept = null;
  }

  private now(): Map<PropertyKey, unknown> {
    return untrack(() => new Map([...this.keys].map((key) => [key, Reflect.get(this.whole, key)])));
  }
}

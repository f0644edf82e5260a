/** A page shows sixty frames a second where it can. */
const FRAME_MS = 1000 / 60;
/** It waits for the processor when its frames come so many times as far apart, on the whole. */
const LATE = 1.15;
/** What the last frame counts in that: about half a second is looked back on. */
const LAST = 1 / 24;

/** Watches how often the page gets to show a frame while something else goes on. */
export class PagePace {
  private frame = 0;
  private lastMs: number | null = null;
  /** How far apart frames have come lately, ms; null: none came yet. */
  private apartMs: number | null = null;
  /** The least of that: some screens are slower than others. */
  private quickestMs = Infinity;

  begin(): void {
    this.lastMs = null;
    const next = (nowMs: number) => {
      if (this.lastMs !== null) {
        const gapMs = nowMs - this.lastMs;
        this.apartMs = (this.apartMs ?? gapMs) + LAST * (gapMs - (this.apartMs ?? gapMs));
      }
      this.lastMs = nowMs;
      this.frame = requestAnimationFrame(next);
    };
    this.frame = requestAnimationFrame(next);
  }

  /** Whether frames have come late; then it begins anew, for that will be changed. Not where too few came to tell. */
  end(): boolean {
    cancelAnimationFrame(this.frame);
    if (this.apartMs === null) return false;
    this.quickestMs = Math.max(FRAME_MS, Math.min(this.quickestMs, this.apartMs));
    if (this.apartMs <= LATE * this.quickestMs) return false;
    this.apartMs = this.quickestMs;
    return true;
  }
}

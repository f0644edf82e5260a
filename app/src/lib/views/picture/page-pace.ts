/** A page shows sixty frames a second where it can. */
const FRAME_MS = 1000 / 60;
/** It waits for the processor when its frames come so many times as far apart, one with another. */
const LATE = 1.12;

/** Watches how often the page gets to show a frame while something else goes on. */
export class PagePace {
  private frame = 0;
  private frames = 0;
  private fromMs = 0;
  private lastMs = 0;
  /** The least that frames of this page came apart, ms: some screens are slower than others. */
  private quickestMs = Infinity;

  begin(): void {
    this.frames = 0;
    this.fromMs = 0;
    const next = (nowMs: number) => {
      if (this.fromMs === 0) this.fromMs = nowMs;
      else this.frames += 1;
      this.lastMs = nowMs;
      this.frame = requestAnimationFrame(next);
    };
    this.frame = requestAnimationFrame(next);
  }

  /** Whether frames came late since it began; not where there were too few to tell. */
  end(): boolean {
    cancelAnimationFrame(this.frame);
    if (this.frames < 2) return false;
    const apartMs = (this.lastMs - this.fromMs) / this.frames;
    this.quickestMs = Math.max(FRAME_MS, Math.min(this.quickestMs, apartMs));
    return apartMs > LATE * this.quickestMs;
  }
}

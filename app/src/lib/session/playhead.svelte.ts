const READ_MS = 250;

/** Where in the shot everything on the Move screen stands: one row of the samples, playing or not. */
export class Playhead {
  row = $state(0);
  /**
   * The row whose numbers are shown: while it plays they change only a few times a second, as often as they can be
   * read.
   */
  readRow = $state(0);
  playing = $state(false);
  loop = $state(true);

  private rows = 1;
  private rateHz = 24;
  private frame = 0;
  private fromMs = 0;
  private fromRow = 0;
  private readMs = 0;

  /** Tells how long the shot is now; keeps the playhead inside it. */
  fit(rows: number, rateHz: number): void {
    this.rows = rows;
    this.rateHz = rateHz;
    if (this.row > rows - 1) this.show(rows - 1);
  }

  toRow(row: number): void {
    this.show(Math.min(this.rows - 1, Math.max(0, Math.round(row))));
    this.fromRow = this.row;
    this.fromMs = performance.now();
  }

  toTime(tS: number): void {
    this.toRow(tS * this.rateHz);
  }

  step(by: number): void {
    this.pause();
    this.toRow(this.row + by);
  }

  toggle(): void {
    if (this.playing) this.pause();
    else this.play();
  }

  /** Plays in real time: frames are dropped rather than slowed when drawing cannot keep up. */
  play(): void {
    if (this.row >= this.rows - 1) this.show(0);
    this.playing = true;
    this.fromRow = this.row;
    this.fromMs = performance.now();
    const tick = (nowMs: number) => {
      if (!this.playing) return;
      const row = this.fromRow + Math.floor((Math.max(0, nowMs - this.fromMs) * this.rateHz) / 1000);
      if (row < this.rows) this.show(row);
      else if (this.loop) this.toRow(0);
      else {
        this.playing = false;
        this.show(this.rows - 1);
        return;
      }
      this.frame = requestAnimationFrame(tick);
    };
    this.frame = requestAnimationFrame(tick);
  }

  pause(): void {
    this.playing = false;
    this.readRow = this.row;
    cancelAnimationFrame(this.frame);
  }

  private show(row: number): void {
    this.row = row;
    const nowMs = performance.now();
    if (this.playing && nowMs - this.readMs < READ_MS) return;
    this.readRow = row;
    this.readMs = nowMs;
  }
}

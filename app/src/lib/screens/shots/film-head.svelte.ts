import { type FilmStretch, filmSeconds, shownAt } from '@gentle-arc/core/sequence';

/** Where in the film everything on the board's player stands, s from its first frame; playing or not. */
export class FilmHead {
  filmS = $state(0);
  playing = $state(false);
  /** A stretch that is played over and over; null: all of it. */
  loop: { fromS: number; toS: number } | null = $state.raw(null);
  /** A click each second, higher at each cut. */
  clicks = $state(false);

  private film: readonly FilmStretch[] = [];
  private frame = 0;
  private fromMs = 0;
  private fromS = 0;
  private sound: AudioContext | null = null;

  get lengthS(): number {
    return filmSeconds(this.film);
  }

  /** Tells what the film is now; keeps the head inside it. */
  fit(film: readonly FilmStretch[]): void {
    this.film = film;
    if (this.filmS > this.lengthS) this.to(this.lengthS);
  }

  to(filmS: number): void {
    this.filmS = Math.min(this.lengthS, Math.max(0, filmS));
    this.fromS = this.filmS;
    this.fromMs = performance.now();
  }

  /** A frame on or back, over cuts as well. */
  step(by: number): void {
    this.pause();
    const rateHz = shownAt(this.film, this.filmS)?.stretch.rateHz ?? 24;
    this.to((Math.round(this.filmS * rateHz) + by) / rateHz);
  }

  /** To the cut before or after. */
  toCut(by: -1 | 1): void {
    const cuts = this.film.map(({ fromS }) => fromS);
    const next = by > 0 ? cuts.find((s) => s > this.filmS + 0.02) : cuts.findLast((s) => s < this.filmS - 0.02);
    this.to(next ?? (by > 0 ? this.lengthS : 0));
  }

  toggle(): void {
    if (this.playing) this.pause();
    else this.play();
  }

  /** Plays in real time: frames are dropped rather than slowed when drawing cannot keep up. */
  play(): void {
    const [first, last] = this.loop ? [this.loop.fromS, this.loop.toS] : [0, this.lengthS];
    if (this.filmS >= last - 1e-3 || this.filmS < first) this.filmS = first;
    this.playing = true;
    this.fromS = this.filmS;
    this.fromMs = performance.now();
    if (this.clicks) this.sound ??= new AudioContext();
    cancelAnimationFrame(this.frame);
    const tick = (nowMs: number) => {
      if (!this.playing) return;
      const before = this.filmS;
      const now = this.fromS + Math.max(0, nowMs - this.fromMs) / 1000;
      const end = this.loop?.toS ?? this.lengthS;
      if (now < end) {
        this.filmS = now;
        this.click(before, now);
      } else if (this.loop) this.to(this.loop.fromS);
      else {
        this.playing = false;
        this.filmS = this.lengthS;
        return;
      }
      this.frame = requestAnimationFrame(tick);
    };
    this.frame = requestAnimationFrame(tick);
  }

  pause(): void {
    this.playing = false;
    cancelAnimationFrame(this.frame);
  }

  close(): void {
    this.pause();
    void this.sound?.close();
  }

  private click(fromS: number, toS: number): void {
    if (!this.clicks) return;
    this.sound ??= new AudioContext();
    const atCut = this.film.some((stretch) => stretch.fromS > fromS && stretch.fromS <= toS);
    if (!atCut && Math.floor(fromS) === Math.floor(toS)) return;
    const [tone, volume] = [this.sound.createOscillator(), this.sound.createGain()];
    tone.frequency.value = atCut ? 1320 : 880;
    volume.gain.setValueAtTime(0.25, this.sound.currentTime);
    volume.gain.exponentialRampToValueAtTime(0.001, this.sound.currentTime + 0.06);
    tone.connect(volume).connect(this.sound.destination);
    tone.start();
    tone.stop(this.sound.currentTime + 0.07);
  }
}

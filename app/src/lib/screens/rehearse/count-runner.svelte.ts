import type { Practice } from '@gentle-arc/core/model';
import { type Count, pacesOf } from '@gentle-arc/core/rehearse';
import { preferences } from '$lib/ui/preferences.svelte';
import { soundCount } from './count-sound';

/** After the last word it rests so long before it is back to one, s. */
const RESTS_S = 1;
/** A spoken word takes a moment to begin, s. */
const SPEAKS_LATE_S = 0.12;
const STARTS_S = 0.25;

export const hasVoice = (): boolean => 'speechSynthesis' in window && window.speechSynthesis.getVoices().length > 0;
export const canBuzz = (): boolean => 'vibrate' in navigator;

/** Runs a count without hands: slowly first, then at speed, with a pause to go back to one between. */
export class CountRunner {
  running = $state(false);
  /** Where the count stands, s of action. */
  tS = $state(0);
  /** Which time it runs, from 1, and at what pace. */
  pass = $state(1);
  pace = $state(1);
  /** Seconds left until it starts again; null while it runs. */
  waitsS: number | null = $state(null);

  private context: AudioContext | null = null;
  private silence: () => void = () => undefined;
  private frame = 0;
  private beganS = 0;
  private next = 0;

  constructor(
    private readonly count: () => Count,
    private readonly practice: () => Practice,
  ) {}

  toggle(): void {
    if (this.running) this.stop();
    else this.start();
  }

  start(): void {
    this.running = true;
    this.pass = 0;
    if (preferences.countClicks) {
      this.context ??= new AudioContext();
      void this.context.resume();
    }
    this.begin();
    this.frame = requestAnimationFrame(this.tick);
  }

  stop(): void {
    this.running = false;
    this.waitsS = null;
    this.tS = 0;
    cancelAnimationFrame(this.frame);
    this.silence();
    if ('speechSynthesis' in window) window.speechSynthesis.cancel();
  }

  close(): void {
    this.stop();
    void this.context?.close();
  }

  /** Seconds of the clock that everything goes by: that of the sound, where there is one. */
  private now(): number {
    return this.context?.state === 'running' ? this.context.currentTime : performance.now() / 1000;
  }

  private begin(): void {
    this.pass += 1;
    const paces = pacesOf(this.practice());
    this.pace = paces[Math.min(this.pass - 1, paces.length - 1)];
    this.waitsS = null;
    this.next = 0;
    this.beganS = this.now() + STARTS_S;
    this.clock = this.context?.state === 'running' ? 'sound' : 'page';
    if (this.context) {
      const { context } = this;
      const count = this.count();
      // A context that is only waking up starts its clock a little later: the sounds go by it in any case.
      const startS = this.clock === 'sound' ? this.beganS : context.currentTime + STARTS_S;
      this.silence = soundCount(context, count, startS, this.pace);
    }
  }

  private clock: 'sound' | 'page' = 'page';

  private readonly tick = () => {
    if (!this.running) return;
    const count = this.count();
    if (this.clock === 'page' && this.context?.state === 'running') {
      // From here on the sound's own clock counts.
      const done = performance.now() / 1000 - this.beganS;
      this.clock = 'sound';
      this.beganS = this.context.currentTime - done;
    }
    const sinceS = this.now() - this.beganS;
    const tS = count.fromS + sinceS * this.pace;
    this.tS = Math.min(count.toS, Math.max(count.fromS, tS));
    while (this.next < count.cues.length && count.cues[this.next].atS <= tS + SPEAKS_LATE_S * this.pace) {
      const { said, kind } = count.cues[this.next];
      if (said !== null && preferences.countVoice && hasVoice()) speak(said);
      if (preferences.countBuzz && canBuzz() && kind !== 'step') navigator.vibrate(kind === 'mark' ? 120 : 30);
      this.next += 1;
    }
    const overS = (tS - count.toS) / this.pace;
    if (overS >= 0) {
      const { backToOneS } = this.practice();
      this.waitsS = Math.max(0, RESTS_S + backToOneS - overS);
      if (this.waitsS === 0) this.begin();
    }
    this.frame = requestAnimationFrame(this.tick);
  };
}

function speak(said: string): void {
  const words = new SpeechSynthesisUtterance(said);
  words.lang = 'en';
  words.rate = 1.3;
  window.speechSynthesis.speak(words);
}

import type { Count, Cue } from '@gentle-arc/core/rehearse';

/** How each cue sounds: its pitch, how long and how loud. Steps are low, what matters is high. */
const SOUNDS: Record<Cue['kind'], { hz: number; s: number; loud: number }> = {
  countIn: { hz: 880, s: 0.07, loud: 0.5 },
  beat: { hz: 520, s: 0.04, loud: 0.3 },
  step: { hz: 150, s: 0.05, loud: 0.5 },
  phase: { hz: 660, s: 0.12, loud: 0.4 },
  mark: { hz: 1320, s: 0.16, loud: 0.5 },
  rest: { hz: 330, s: 0.4, loud: 0.4 },
};
const ATTACK_S = 0.002;
const RATE_HZ = 44_100;

/**
 * Puts the sounds of a count into an audio context, each at its very time: the count begins at `startS` of the context's
 * clock and goes at a share of its pace. Gives back how to take them out again.
 */
export function soundCount(context: BaseAudioContext, count: Count, startS: number, pace: number): () => void {
  const tones: OscillatorNode[] = [];
  const out = context.createGain();
  out.connect(context.destination);
  for (const { atS, kind } of count.cues) {
    const at = startS + (atS - count.fromS) / pace;
    const { hz, s, loud } = SOUNDS[kind];
    const tone = context.createOscillator();
    const shape = context.createGain();
    tone.frequency.value = hz;
    shape.gain.setValueAtTime(0, at);
    shape.gain.linearRampToValueAtTime(loud, at + ATTACK_S);
    shape.gain.exponentialRampToValueAtTime(1e-3, at + s);
    tone.connect(shape).connect(out);
    tone.start(at);
    tone.stop(at + s);
    tones.push(tone);
  }
  return () => {
    for (const tone of tones) tone.stop();
    out.disconnect();
  };
}

/** The whole count as sound, worked out without playing it. */
export async function renderCount(count: Count, pace: number): Promise<{ samples: Float32Array; rateHz: number }> {
  const lengthS = (count.toS - count.fromS) / pace + 0.6;
  const context = new OfflineAudioContext(1, Math.ceil(lengthS * RATE_HZ), RATE_HZ);
  soundCount(context, count, 0, pace);
  const made = await context.startRendering();
  return { samples: made.getChannelData(0), rateHz: RATE_HZ };
}

import { type ClipFrame, type ClipSummary } from '../take';

const round = (value: number, digits = 5): number | null =>
  Number.isFinite(value) ? Number(value.toFixed(digits)) : null;

/** What `arc clip` prints: each frame’s motion of the picture’s content, and what it comes to. */
export function clipJson(name: string, frames: readonly ClipFrame[], summary: ClipSummary) {
  return {
    clip: name,
    units: {
      rightwards: 'frame widths a second, content to the right',
      upwards: 'frame widths a second, content up',
      turnDegps: 'degrees a second, content clockwise',
      growthPerS: 'natural logarithm of its size a second',
    },
    frames: frames.map((frame) => ({
      tS: round(frame.tS, 4),
      rightwards: round(frame.rightwards),
      upwards: round(frame.upwards),
      turnDegps: round(frame.turnDegps, 4),
      growthPerS: round(frame.growthPerS),
      near: round(frame.near),
      far: round(frame.far),
      brightness: round(frame.brightness, 3),
      followed: round(frame.followed, 2),
    })),
    summary,
  };
}

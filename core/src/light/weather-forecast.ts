import * as z from 'zod';
import { WeatherHourSchema } from '../model';

/** A forecast for open ground, wind at 10 m, an hour a row. */
export const WeatherForecastSchema = z.strictObject({
  place: z.string(),
  /** Said with every figure: this one is made up. */
  source: z.string(),
  hours: z.array(WeatherHourSchema).length(24),
});
export type WeatherForecast = z.infer<typeof WeatherForecastSchema>;

/** Even numbers from 0 to 1 that follow from a text. */
function dice(text: string): () => number {
  let state = 2166136261;
  for (const letter of text) state = Math.imul(state ^ letter.charCodeAt(0), 16777619) >>> 0;
  return () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 4294967296;
}

/** Less of the sky than this does not rain. */
const RAINS_FROM = 0.75;

/**
 * A simulated forecast service: the same place on the same day always has the same weather. Calm at dawn, breezy in the
 * afternoon; clouds come and go over some hours, and rain falls from a closed sky only. `day` as year-month-day.
 */
export function simulatedForecast(place: string, day: string): WeatherForecast {
  const next = dice(`${place} ${day}`);
  const mean = 2 + 5 * next();
  const sky = dice(`sky over ${place} on ${day}`);
  const [usual, swing, phase, wet] = [sky() * 0.8, 0.1 + 0.5 * sky(), sky() * 24, sky()];
  const hours = Array.from({ length: 24 }, (_, hour) => {
    const breeze = Math.max(0.25, 0.7 - 0.6 * Math.cos(((hour - 3) / 24) * 2 * Math.PI));
    const windMps = Math.round(mean * breeze * (0.85 + 0.3 * next()) * 10) / 10;
    const gustMps = Math.round(windMps * (1.3 + 0.3 * next()) * 10) / 10;
    const cover = usual + swing * Math.sin(((hour - phase) / 12) * 2 * Math.PI);
    const cloudShare = Math.round(Math.min(1, Math.max(0, cover)) * 20) / 20;
    const rainMmph = cloudShare >= RAINS_FROM ? Math.round(wet * (cloudShare - RAINS_FROM) * 160) / 10 : 0;
    return { hour, windMps, gustMps, rainMmph, cloudShare };
  });
  return {
    place,
    source: 'A simulated forecast that ships with Gentle Arc: look at the sky, and measure the wind where you are.',
    hours,
  };
}

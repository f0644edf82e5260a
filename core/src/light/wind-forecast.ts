import * as z from 'zod';

/** A forecast of wind 10 m above open ground, an hour a row. */
export const WindForecastSchema = z.strictObject({
  place: z.string(),
  /** Said with every figure: this one is made up. */
  source: z.string(),
  hours: z
    .array(
      z.strictObject({
        hour: z.number().int().min(0).max(23),
        windMps: z.number().min(0).max(60),
        gustMps: z.number().min(0).max(80),
      }),
    )
    .length(24),
});
export type WindForecast = z.infer<typeof WindForecastSchema>;

/**
 * A simulated forecast service: the same place on the same day always has the same weather. Calm at dawn, breezy in the
 * afternoon. `day` as year-month-day.
 */
export function simulatedForecast(place: string, day: string): WindForecast {
  let state = 2166136261;
  for (const letter of `${place} ${day}`) state = Math.imul(state ^ letter.charCodeAt(0), 16777619) >>> 0;
  const next = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 4294967296;
  const mean = 2 + 5 * next();
  const hours = Array.from({ length: 24 }, (_, hour) => {
    const day = Math.max(0.25, 0.7 - 0.6 * Math.cos(((hour - 3) / 24) * 2 * Math.PI));
    const windMps = Math.round(mean * day * (0.85 + 0.3 * next()) * 10) / 10;
    return { hour, windMps, gustMps: Math.round(windMps * (1.3 + 0.3 * next()) * 10) / 10 };
  });
  return { place, source: 'A simulated forecast that ships with Gentle Arc: measure the wind where you are.', hours };
}

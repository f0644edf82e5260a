import { describe, expect, it } from 'vitest';
import { simulatedForecast, WeatherForecastSchema } from './weather-forecast';

describe('the simulated forecast', () => {
  const day = simulatedForecast('tea garden', '2026-04-12');
  it('is a forecast of 24 hours with gusts above the wind', () => {
    expect(WeatherForecastSchema.parse(day)).toEqual(day);
    for (const { windMps, gustMps } of day.hours) expect(gustMps).toBeGreaterThanOrEqual(windMps);
  });
  it('is the same for the same place and day, another for another', () => {
    expect(simulatedForecast('tea garden', '2026-04-12')).toEqual(day);
    expect(simulatedForecast('tea garden', '2026-04-13').hours).not.toEqual(day.hours);
  });
  it('is calmer at dawn than in the afternoon', () => {
    const mean = (from: number, to: number) =>
      day.hours.slice(from, to).reduce((sum, row) => sum + row.windMps, 0) / (to - from);
    expect(mean(2, 6)).toBeLessThan(mean(13, 17));
  });
  it('rains from a closed sky only, over a hundred days', () => {
    for (let k = 0; k < 100; k += 1)
      for (const { rainMmph, cloudShare } of simulatedForecast(
        'tea garden',
        `2026-05-${String((k % 28) + 1).padStart(2, '0')}`,
      ).hours)
        if (rainMmph > 0) expect(cloudShare).toBeGreaterThanOrEqual(0.75);
  });
});

import { resolve } from '$app/paths';
import { WeatherForecastSchema, type WeatherForecast } from '@gentle-arc/core/light';

import { keepText, keptText } from '$lib/ui/preferences.svelte';

const KEPT = 'gentle-arc-weather';

/**
 * The weather of a day at a place: from the service, or, where there is no network, the copy this browser kept of it.
 * Gives a sentence when there is neither.
 */
export async function weatherOf(
  place: string,
  day: string,
): Promise<{ forecast: WeatherForecast; kept: boolean } | string> {
  const key = `${KEPT}:${place}:${day}`;
  try {
    const answer = await fetch(`${resolve('/api/weather')}?place=${encodeURIComponent(place)}&day=${day}`);
    if (!answer.ok) throw new Error(`the service answered ${answer.status}`);
    const forecast = WeatherForecastSchema.parse(await answer.json());
    keepText(key, JSON.stringify(forecast));
    return { forecast, kept: false };
  } catch (error) {
    const copy = keptText(key);
    if (copy) return { forecast: WeatherForecastSchema.parse(JSON.parse(copy)), kept: true };
    return `There is no forecast for that day here (${(error as Error).message}): type what you measured.`;
  }
}

import { json } from '@sveltejs/kit';
import { simulatedForecast } from '@gentle-arc/core/light/wind-forecast';

/** `GET /api/wind?place=…&day=2026-04-12`: the wind of that day, from the simulated service that ships with the app. */
export function GET({ url }) {
  const place = url.searchParams.get('place')?.trim() ?? '';
  const day = url.searchParams.get('day') ?? '';
  if (place === '' || place.length > 120) return refuse('place', 'place must be a name of up to 120 letters.');
  if (!/^\d{4}-\d\d-\d\d$/.test(day) || Number.isNaN(Date.parse(day))) return refuse('day', `day must be a date such as 2026-04-12; it is "${day}".`);
  return json(simulatedForecast(place, day));
}

const refuse = (path: string, sentence: string) => json({ error: { path, sentence } }, { status: 422 });

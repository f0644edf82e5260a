import { json } from '@sveltejs/kit';
import * as z from 'zod';
import { simulatedForecast } from '@gentle-arc/core/light';
import { clipped } from '@gentle-arc/core/model';

/** `GET /api/weather?place=…&day=2026-04-12`: the weather of that day, from the simulated service that ships with the app. */
export function GET({ url }) {
  const place = url.searchParams.get('place')?.trim() ?? '';
  const day = url.searchParams.get('day') ?? '';
  if (place === '' || place.length > 120) return refuse('place', 'place must be a name of up to 120 letters.');
  if (!z.iso.date().safeParse(day).success)
    return refuse('day', `day must be a date such as 2026-04-12; it is "${clipped(day)}".`);
  return json(simulatedForecast(place, day));
}

const refuse = (path: string, sentence: string) => json({ error: { path, sentence } }, { status: 422 });

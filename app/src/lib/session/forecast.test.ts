import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { simulatedForecast } from '@gentle-arc/core/light';
import { weatherOf } from './forecast';

vi.mock('$app/paths', () => ({ resolve: (path: string) => path }));

describe('wind from the forecast', () => {
  const day = simulatedForecast('garden', '2026-04-12');
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, text: string) => kept.set(key, text),
    });
  });
  afterEach(() => vi.unstubAllGlobals());
  const answers = (body: unknown, status = 200) =>
    vi.stubGlobal('fetch', () => Promise.resolve(new Response(JSON.stringify(body), { status })));
  const isAway = () => vi.stubGlobal('fetch', () => Promise.reject(new Error('no network')));

  it('comes from the service, and from the copy kept here when there is no network', async () => {
    answers(day);
    expect(await weatherOf('garden', '2026-04-12')).toEqual({ forecast: day, kept: false });
    isAway();
    expect(await weatherOf('garden', '2026-04-12')).toEqual({ forecast: day, kept: true });
  });
  it('is a sentence where there is neither, or the service answers something else', async () => {
    isAway();
    expect(await weatherOf('garden', '2026-04-12')).toContain('type what you measured');
    answers({ hours: [] });
    expect(await weatherOf('garden', '2026-04-12')).toContain('type what you measured');
    answers({}, 500);
    expect(await weatherOf('garden', '2026-04-12')).toContain('answered 500');
  });
});

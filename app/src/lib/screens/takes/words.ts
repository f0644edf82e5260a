import type { Shoot, Take, TakeVerdict } from '@gentle-arc/core/model';

/** How takes are called on this screen. */
export const VERDICT_WORDS: Record<TakeVerdict, string> = {
  tried: 'counted',
  good: 'good',
  usable: 'usable',
  no: 'no',
};

/** Minutes that the clock of the place is ahead of UTC; of this device where nobody has said where the place is. */
export const offsetOf = ({ site }: Shoot): number =>
  site.place ? site.place.utcOffsetH * 60 : -new Date().getTimezoneOffset();

const there = (at: string, offsetMin: number) => new Date(Date.parse(at) + offsetMin * 60_000);
export const clockOf = (at: string, offsetMin: number): string =>
  there(at, offsetMin).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: 'UTC' });
export const dayWords = (at: string, offsetMin: number): string =>
  there(at, offsetMin).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', timeZone: 'UTC' });

/** A take by its number among those of its shot. */
export const takeName = (takes: readonly Take[], id: string): string =>
  `Take ${takes.findIndex((row) => row.id === id) + 1}`;

import type { DayLight } from '@gentle-arc/core/light';

/** What a stretch of a day is drawn in by its light. */
export const SKY_COLOURS: Record<DayLight, string> = {
  night: '#1d2a35',
  'astronomical twilight': '#2b4152',
  'nautical twilight': '#47657c',
  'civil twilight': '#8aa0ad',
  'low sun': '#e0a04e',
  day: '#f0dca8',
  'high sun': '#f7f0dc',
};

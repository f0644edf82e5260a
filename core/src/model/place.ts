import * as z from 'zod';
import { number } from './facts';

/** Where on earth the middle of the site is; north on the plan is true north there. */
export const SitePlaceSchema = z.strictObject({
  latitudeDeg: number('Latitude, north positive', 'fine', -90, 90, 0.01),
  longitudeDeg: number('Longitude, east positive', 'fine', -180, 180, 0.01),
  /** What the clock there says ahead of UTC. */
  utcOffsetH: number('Clock ahead of UTC, hours', 'fine', -12, 14, 0.5),
});
export type SitePlace = z.infer<typeof SitePlaceSchema>;

import * as z from 'zod';
import { around, bearing, choice, distance, stand } from './parameter';

/** What holds the size: the lens, enlarging the picture afterwards, or the lens first and enlarging where it ends. */
const zoomBy = choice('size held by', {
  both: 'the lens, then enlarging',
  lens: 'the lens only',
  crop: 'enlarging only',
});

/** The camera moves while the zoom holds the subject's height in the frame. Camera and zoom cannot both run evenly. */
export const DollyZoomSchema = z.strictObject({
  kind: z.literal('dollyZoom'),
  ...around,
  fromDistanceM: distance('from'),
  toDistanceM: distance('to'),
  bearingDeg: bearing('seen from bearing'),
  zoomBy,
  pace: choice('even pace of', { travel: 'the camera', zoom: 'the zoom' }),
});

/** The subject walks while the camera stands and only zooms to hold its height. */
export const StandingDollyZoomSchema = z.strictObject({ kind: z.literal('standingDollyZoom'), ...stand, zoomBy });

export const DOLLY_ZOOM_SCHEMAS = [DollyZoomSchema, StandingDollyZoomSchema] as const;

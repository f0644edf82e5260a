import type { SitePlace, WalkPoint } from '../model';
import { onPlan } from '../site';
import { trackOf } from './gpx';
import { checkWalk } from './walk-csv';

/** Where the first point of a track goes on the site, metres. */
export interface Landing {
  xM: number;
  yM: number;
  zM: number;
  /** Where the site is: what is given by coordinates goes there. */
  place?: SitePlace | null;
}

/**
 * Reads the first track of a GPX 1.1 file as a walk. Longitude and latitude become site metres by geodesic distance and
 * azimuth on WGS 84 from the first point, which is laid on `landing` at time 0; heights count from the first point's,
 * or stay level when the file has none. Throws a `Refusal` that names the track point.
 */
export function readWalkGpx(text: string, landing: Landing): WalkPoint[] {
  const track = trackOf(text);
  const first = track[0];
  const startMs = Date.parse(first.time);
  const points = track.map((point) => {
    const { xM, yM } = onPlan(
      { latitudeDeg: first['@lat'], longitudeDeg: first['@lon'] },
      { latitudeDeg: point['@lat'], longitudeDeg: point['@lon'] },
    );
    const rise = point.ele !== undefined && first.ele !== undefined ? point.ele - first.ele : 0;
    return {
      tS: (Date.parse(point.time) - startMs) / 1000,
      xM: landing.xM + xM,
      yM: landing.yM + yM,
      zM: landing.zM + rise,
    };
  });
  return checkWalk(points, (i) => `trkpt ${i + 1}`);
}

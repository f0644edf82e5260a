import geodesic from 'geographiclib-geodesic';

/** A point on the ellipsoid WGS 84. */
export interface OnEarth {
  latitudeDeg: number;
  longitudeDeg: number;
}
const { WGS84 } = geodesic.Geodesic;
const RAD = Math.PI / 180;

/**
 * A point of the site (metres east and north of its middle) on earth: as far from the middle, and in the direction, as
 * it lies on the plan (azimuthal equidistant; Karney 2013, by geographiclib). Within a kilometre, lengths between other
 * points are right to a millimetre.
 */
export function onEarth({ latitudeDeg, longitudeDeg }: OnEarth, xM: number, yM: number): OnEarth {
  const { lat2 = latitudeDeg, lon2 = longitudeDeg } = WGS84.Direct(
    latitudeDeg,
    longitudeDeg,
    Math.atan2(xM, yM) / RAD,
    Math.hypot(xM, yM),
  );
  return { latitudeDeg: lat2, longitudeDeg: lon2 };
}

/** Where a point of the earth lies on the site, metres east and north of its middle. */
export function onPlan(middle: OnEarth, point: OnEarth): { xM: number; yM: number } {
  const { s12 = 0, azi1 = 0 } = WGS84.Inverse(
    middle.latitudeDeg,
    middle.longitudeDeg,
    point.latitudeDeg,
    point.longitudeDeg,
  );
  return { xM: s12 * Math.sin(azi1 * RAD), yM: s12 * Math.cos(azi1 * RAD) };
}

export interface Point3 {
  xM: number;
  yM: number;
  zM: number;
}

const RAD = Math.PI / 180;

/** The place at a distance and bearing (degrees clockwise from north) from a point, at a height above it. */
export function fromPivot(pivot: Point3, distanceM: number, bearingDeg: number, heightM: number): Point3 {
  return {
    xM: pivot.xM + distanceM * Math.sin(bearingDeg * RAD),
    yM: pivot.yM + distanceM * Math.cos(bearingDeg * RAD),
    zM: pivot.zM + heightM,
  };
}

/** Bearing in degrees, 0 to under 360 clockwise from north, from one site point to another; 0 when they coincide. */
export function bearingDeg(fromX: number, fromY: number, toX: number, toY: number): number {
  const deg = Math.atan2(toX - fromX, toY - fromY) / RAD;
  return deg < 0 ? deg + 360 : deg;
}

/** The angle brought to within half a turn of `near`, degrees. */
export function nearestTurn(deg: number, near: number): number {
  return deg - 360 * Math.round((deg - near) / 360);
}

/** Where the camera travels: a curve in the site, parametrised by the share of its length covered. Metres. */
export interface Track {
  lengthM: number;
  /** The curve bends: a straight rail cannot make it. */
  curved: boolean;
  /** Writes x, y, z at share s in 0..1 into `out` from `offset` on. */
  write(s: number, out: Float64Array, offset?: number): void;
}

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

/** A straight run from one point to another. */
export function line(from: Point3, to: Point3): Track {
  return {
    lengthM: Math.hypot(to.xM - from.xM, to.yM - from.yM, to.zM - from.zM),
    curved: false,
    write(s, out, offset = 0) {
      out[offset] = from.xM + (to.xM - from.xM) * s;
      out[offset + 1] = from.yM + (to.yM - from.yM) * s;
      out[offset + 2] = from.zM + (to.zM - from.zM) * s;
    },
  };
}

/** A level run on a circle about a point: sweep is clockwise seen from above when positive. */
export function circle(pivot: Point3, radiusM: number, startBearingDeg: number, sweepDeg: number, heightM: number): Track {
  return {
    lengthM: Math.abs(radiusM * sweepDeg * RAD),
    curved: sweepDeg !== 0,
    write(s, out, offset = 0) {
      const bearing = (startBearingDeg + sweepDeg * s) * RAD;
      out[offset] = pivot.xM + radiusM * Math.sin(bearing);
      out[offset + 1] = pivot.yM + radiusM * Math.cos(bearing);
      out[offset + 2] = pivot.zM + heightM;
    },
  };
}

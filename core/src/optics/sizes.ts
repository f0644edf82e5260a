/**
 * Sizes in the picture and distances on the ground, through a rectilinear lens looking straight at the thing. Metres
 * and mm; shares of the frame height.
 */

/** How far a thing of known height is when it fills a share of the frame height: `d = H f / (share h)`. */
export function distanceFromShareM(
  heightM: number,
  share: number,
  focalLengthMm: number,
  frameHeightMm: number,
): number {
  return (heightM * focalLengthMm) / (share * frameHeightMm);
}

/** What share of the frame height a thing fills at a distance. */
export function shareAtDistance(
  heightM: number,
  distanceM: number,
  focalLengthMm: number,
  frameHeightMm: number,
): number {
  return (heightM * focalLengthMm) / (distanceM * frameHeightMm);
}

/**
 * How many times as large a nearer thing looks as an equal one farther off, with so much ground between them: from a
 * distance to the nearer. 1 when they look alike.
 */
export function stackRatio(toNearerM: number, betweenM: number): number {
  return (toNearerM + betweenM) / toNearerM;
}

/**
 * How far back to go until two things so far apart look alike to within a ratio (above 1), and the focal length that
 * then fills a share of the frame height with the nearer.
 */
export function stacked(
  betweenM: number,
  ratio: number,
  heightM: number,
  share: number,
  frameHeightMm: number,
): { toNearerM: number; focalLengthMm: number } {
  const toNearerM = betweenM / (ratio - 1);
  return { toNearerM, focalLengthMm: (share * frameHeightMm * toNearerM) / heightM };
}

/**
 * How much of the sensor lies behind the height of a photograph of a shape (width over height), mm. An upright one was
 * taken with the sensor turned; where its shape is another than the sensor's, the side that was cut is the one that
 * does not fill it.
 */
export function photographHeightMm(sensor: { widthMm: number; heightMm: number }, aspect: number): number {
  const [long, short] = [Math.max(sensor.widthMm, sensor.heightMm), Math.min(sensor.widthMm, sensor.heightMm)];
  return aspect >= 1 ? Math.min(short, long / aspect) : Math.min(long, short / aspect);
}

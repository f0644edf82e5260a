/**
 * From which side something is lit, as the camera sees it: by the angle on the ground between the way to the camera and
 * the way to the light. The bounds are common practice, no published source.
 */
const SIDES = [
  [20, 'front'],
  [60, 'three-quarter'],
  [110, 'side'],
  [150, 'rim'],
  [180.1, 'behind'],
] as const;
export type LightSide = (typeof SIDES)[number][1];

/** Light on a thing: its side, and whether it comes from the left or the right of the picture. */
export interface SideOfLight {
  side: LightSide;
  from: 'left' | 'right' | 'middle';
  /** Degrees on the ground from the way to the camera, clockwise seen from above. */
  turnDeg: number;
}

/** Steeper than this it comes from above more than from a side, degrees. Common practice, no published source. */
export const FROM_ABOVE_DEG = 60;

const SIDE_WORDS: Record<LightSide, string> = {
  front: 'from the front',
  'three-quarter': 'three-quarter',
  side: 'from the side',
  rim: 'as a rim',
  behind: 'from behind',
};

/**
 * @param lightAzimuthDeg the way from the thing to the light, clockwise from north
 * @param cameraAzimuthDeg the way from the thing to the camera
 */
export function sideOfLight(lightAzimuthDeg: number, cameraAzimuthDeg: number): SideOfLight {
  const turnDeg = ((((lightAzimuthDeg - cameraAzimuthDeg) % 360) + 540) % 360) - 180;
  const away = Math.abs(turnDeg);
  const [, side] = SIDES.find(([below]) => away < below) ?? SIDES[SIDES.length - 1];
  // Who looks back at the camera has its right at its own left: clockwise from there is to the left of the picture.
  const from = side === 'front' || side === 'behind' ? 'middle' : turnDeg > 0 ? 'left' : 'right';
  return { side, from, turnDeg };
}

/** The side in words: `three-quarter from the left, low`. */
export function sideWords({ side, from }: SideOfLight, altitudeDeg: number): string {
  if (altitudeDeg >= FROM_ABOVE_DEG) return 'from above';
  const height = altitudeDeg < 15 ? ', low' : altitudeDeg >= 40 ? ', high' : '';
  if (from === 'middle') return `${SIDE_WORDS[side]}${height}`;
  return side === 'side' ? `from the ${from}${height}` : `${SIDE_WORDS[side]} from the ${from}${height}`;
}

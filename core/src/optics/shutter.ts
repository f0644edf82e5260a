/** Exposure time in seconds for a shutter angle in degrees at a frame rate: `angle / (360 fps)`. */
export function exposureTimeS(shutterDeg: number, frameRateHz: number): number {
  return shutterDeg / (360 * frameRateHz);
}

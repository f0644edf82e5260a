/**
 * Exposure by APEX (ISO 2720): how bright a scene is, what a camera lets in, and what a filter must take away. Stops
 * throughout.
 */

/** Exposure value of f-number and exposure time: `log2(N² / t)`. */
export function exposureValue(fNumber: number, exposureS: number): number {
  return Math.log2((fNumber * fNumber) / exposureS);
}

/** The exposure value a camera is set to, as if at ISO 100. */
export function settingEv100(fNumber: number, exposureS: number, iso: number): number {
  return exposureValue(fNumber, exposureS) - Math.log2(iso / 100);
}

/** Stops of light too many for a setting: positive, and a filter has to take it away; negative, and it is too dark. */
export function excessStops(sceneEv100: number, fNumber: number, exposureS: number, iso: number): number {
  return sceneEv100 - settingEv100(fNumber, exposureS, iso);
}

/** A neutral density filter said in the three ways that are engraved on them. Optical density 0.3 is one stop. */
export interface NeutralDensity {
  stops: number;
  density: number;
  /** ND number: the light is divided by it. */
  factor: number;
}

export function neutralDensity(stops: number): NeutralDensity {
  return { stops, density: stops * 0.3, factor: 2 ** stops };
}

/** Common light conditions at ISO 100, EV: usual values of exposure tables (from memory). */
export const LIGHT_CONDITIONS = [
  { id: 'snow', label: 'Sun on snow or sand', ev100: 16 },
  { id: 'sun', label: 'Full sun, clear shadows', ev100: 15 },
  { id: 'haze', label: 'Hazy sun, soft shadows', ev100: 14 },
  { id: 'bright', label: 'Bright cloud, no shadows', ev100: 13 },
  { id: 'overcast', label: 'Heavy cloud, or open shade', ev100: 12 },
  { id: 'sunset', label: 'Just before sunset', ev100: 11 },
  { id: 'dusk', label: 'Just after sunset', ev100: 8 },
  { id: 'window', label: 'Room by a large window', ev100: 9 },
  { id: 'room', label: 'Room in the evening, lamps', ev100: 6 },
  { id: 'night', label: 'Street at night', ev100: 4 },
] as const;

/** Diffraction: the Airy disc's diameter on the sensor, mm, for green light: `2.44 λ N` with λ 550 nm. */
export function airyDiscMm(fNumber: number): number {
  return 2.44 * 0.00055 * fNumber;
}

/**
 * Exposures a second that keep in step with lamps on mains: the light pulses twice a cycle, so an exposure is even when
 * it holds whole pulses. How far from whole, 0 to 0.5; below one pulse it is what is missing.
 */
export function flickerOff(exposureS: number, mainsHz: number): number {
  const pulses = exposureS * 2 * mainsHz;
  return pulses < 1 ? Math.min(0.5, 1 - pulses) : Math.abs(pulses - Math.round(pulses));
}

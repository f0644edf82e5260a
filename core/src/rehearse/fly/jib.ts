/** A jib's arm about its base: bearing of the camera from the base and angle above level, with their rates. */
export interface JibState {
  swingDeg: number;
  swingDegps: number;
  boomDeg: number;
  boomDegps: number;
}

export interface JibArm {
  base: { xM: number; yM: number; zM: number };
  lengthM: number;
}

/** How long a balanced arm takes to follow hands, and what they turn it by at most. Common practice. */
const FOLLOWS_S = 0.5;
const FULL_DEGPS = 40;
const RAD = Math.PI / 180;

/** The arm after `h` seconds more of hands that lead it, each from −1 to 1. */
export function swung(state: JibState, input: { swing: number; boom: number }, h: number): JibState {
  const keep = Math.exp(-h / FOLLOWS_S);
  const axis = (deg: number, degps: number, stick: number): [number, number] => {
    const wish = stick * FULL_DEGPS;
    return [deg + wish * h + (degps - wish) * FOLLOWS_S * (1 - keep), wish + (degps - wish) * keep];
  };
  const [swingDeg, swingDegps] = axis(state.swingDeg, state.swingDegps, input.swing);
  const [boomDeg, boomDegps] = axis(state.boomDeg, state.boomDegps, input.boom);
  const held = Math.min(70, Math.max(-60, boomDeg));
  return { swingDeg, swingDegps, boomDeg: held, boomDegps: held === boomDeg ? boomDegps : 0 };
}

/** Where the camera is at the end of the arm, m. */
export function armEnd({ base, lengthM }: JibArm, { swingDeg, boomDeg }: JibState): [number, number, number] {
  const level = lengthM * Math.cos(boomDeg * RAD);
  return [
    base.xM + level * Math.sin(swingDeg * RAD),
    base.yM + level * Math.cos(swingDeg * RAD),
    base.zM + lengthM * Math.sin(boomDeg * RAD),
  ];
}

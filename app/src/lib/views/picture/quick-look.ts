import { Color, ShaderMaterial, Vector3 } from 'three';
import { GROUND_PAINT, LIGHT } from './scene-look';

/**
 * The look of a frame that is drawn in a hurry without a graphics processor, where sun and sky are all the light there
 * is: light is worked out at the corners of a solid instead of at each pixel, and the colours of a screen are found
 * without powers. It is the same light and haze, so that nothing jumps when the picture comes to rest.
 */

/** Light as it falls on a surface that faces it, over pi; shared by all. */
const light = {
  sunFrom: { value: new Vector3(0, 1, 0) },
  sunLight: { value: new Color() },
  skyLight: { value: new Color() },
  soilLight: { value: new Color() },
  aboveLight: { value: new Color() },
  haze: { value: new Color() },
};

/** One source of light: its colour and how strong it is. */
interface Source {
  color: Color;
  intensity: number;
}
const over = (into: Color, color: Color, intensity: number) => into.copy(color).multiplyScalar(intensity / Math.PI);

/** Sets the light: the sun with where it comes from, the sky with what the soil throws back, and light from above. */
export function lightQuickly(
  sun: Source & { from: Vector3 },
  sky: Source & { groundColor: Color },
  above: Source & { visible: boolean },
): void {
  light.sunFrom.value.copy(sun.from).normalize();
  over(light.sunLight.value, sun.color, sun.intensity);
  over(light.skyLight.value, sky.color, sky.intensity);
  over(light.soilLight.value, sky.groundColor, sky.intensity);
  over(light.aboveLight.value, above.color, above.visible ? above.intensity : 0);
}

/** Sets the colour of the haze. */
export function hazeQuickly(colour: Color): void {
  light.haze.value.copy(colour);
}

/** A colour of light as a screen takes it: the curve of sRGB to some thousandths, by roots alone. */
export const SHOWN_QUICKLY = /* glsl */ `
vec3 shown(vec3 colour) {
  vec3 half_ = sqrt(colour);
  vec3 fourth = sqrt(half_);
  return 0.662002687 * half_ + 0.684122060 * fourth - 0.323583601 * sqrt(fourth) - 0.0225411470 * colour;
}
`;

/** `given`: how the light at a corner is handed on. */
const vertex = (paint: string, given: string) => /* glsl */ `
uniform vec3 sunFrom;
uniform vec3 sunLight;
uniform vec3 skyLight;
uniform vec3 soilLight;
uniform vec3 aboveLight;
varying vec3 lit;
varying vec2 onGrain;
${SHOWN_QUICKLY}
void main() {
  vec3 facing = normalize(mat3(modelMatrix) * normal);
  vec3 fallen = mix(soilLight, skyLight, 0.5 + 0.5 * facing.y) + sunLight * max(0.0, dot(facing, sunFrom))
    + aboveLight * max(0.0, facing.y);
  lit = ${given}(fallen * ${paint});
  onGrain = position.xy + position.z * vec2(0.7, 0.3);
  gl_Position = projectionMatrix * (modelViewMatrix * vec4(position, 1.0));
}
`;

/** Nearer than this there is no haze, and farther no grain, m: no pixel pays for both. */
export const NEAR_M = LIGHT.hazeFromM;

/**
 * Light and dark about one, as grain has them, from waves that cross each other: looking a pattern up in a sheet costs
 * half of a frame without a graphics processor. What is smaller than a pixel or two is left out with depth. A face has
 * one light all over, so that it is made a colour of the screen at its corners.
 */
const NEAR = /* glsl */ `
varying vec3 lit;
varying vec2 onGrain;
vec4 waves(vec4 at) {
  vec4 off = fract(at) - 0.5;
  vec4 up = 1.0 - 4.0 * off * off;
  return up * up - 0.53;
}
void main() {
  vec4 wave = waves(onGrain.x * vec4(1.3, -0.55, 3.9, -2.3) + onGrain.y * vec4(0.5, 1.1, -1.3, 4.7));
  // What a pixel has of depth for nothing is one over it.
  float close = gl_FragCoord.w * gl_FragCoord.w;
  float broad = 0.09 * (wave.x + wave.y) * clamp(600.0 * (close - ${(1 / NEAR_M ** 2).toFixed(6)}), 0.0, 1.0);
  float fine = wave.z * (0.2 * wave.w + 0.1 * wave.y) * min(1.0, 25.0 * close);
  gl_FragColor = vec4(lit * (1.0 + broad + fine), 1.0);
}
`;

const FAR = /* glsl */ `
uniform vec3 haze;
varying vec3 lit;
${SHOWN_QUICKLY}
void main() {
  float away = smoothstep(${LIGHT.hazeFromM.toFixed(1)}, ${LIGHT.hazeToM.toFixed(1)}, 1.0 / gl_FragCoord.w);
  gl_FragColor = vec4(shown(mix(lit, haze, away)), 1.0);
}
`;

const painted = (paint: string) => {
  const made = (vertexShader: string, fragmentShader: string) =>
    new ShaderMaterial({ vertexShader, fragmentShader, vertexColors: true, uniforms: light });
  return { near: made(vertex(paint, 'shown'), NEAR), far: made(vertex(paint, ''), FAR) };
};

/** What pieces are drawn with in such a frame, near and far: their paint is on their corners. */
export const quickPiece = painted('color');

const { r, g, b } = new Color(GROUND_PAINT.colour);
/** What the ground is drawn with: its corners have one tone. */
export const quickGround = painted(`vec3(${r}, ${g}, ${b})`);

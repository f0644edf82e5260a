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

const vertex = (paint: string) => /* glsl */ `
uniform vec3 sunFrom;
uniform vec3 sunLight;
uniform vec3 skyLight;
uniform vec3 soilLight;
uniform vec3 aboveLight;
varying vec3 lit;
varying vec2 onGrain;
void main() {
  vec3 facing = normalize(mat3(modelMatrix) * normal);
  vec3 fallen = mix(soilLight, skyLight, 0.5 + 0.5 * facing.y) + sunLight * max(0.0, dot(facing, sunFrom))
    + aboveLight * max(0.0, facing.y);
  lit = fallen * ${paint};
  onGrain = position.xy + position.z * vec2(0.7, 0.3);
  gl_Position = projectionMatrix * (modelViewMatrix * vec4(position, 1.0));
}
`;

/**
 * Patches of light and dark about one, as grain has them, from waves that cross each other: looking a pattern up in a
 * sheet costs half of a frame without a graphics processor. What is smaller than a pixel or two is left out with depth.
 */
const PATCHES = /* glsl */ `
vec4 waves(vec4 at) {
  vec4 off = fract(at) - 0.5;
  vec4 up = 1.0 - 4.0 * off * off;
  return up * up;
}
float crossing(vec4 wave) { return wave.x * wave.y + wave.z * wave.w - 0.57; }
float broad(vec2 at) {
  return 0.3 * crossing(waves(at.x * vec4(0.49, -0.31, 0.83, 0.17) + at.y * vec4(0.27, 0.61, -0.43, 0.97)));
}
float fine(vec2 at) {
  return 0.34 * crossing(waves(at.x * vec4(3.1, -2.3, 4.7, 1.3) + at.y * vec4(1.7, 3.7, -2.9, 5.3)));
}
`;

const PICTURE = /* glsl */ `
uniform vec3 haze;
varying vec3 lit;
varying vec2 onGrain;
${PATCHES}
${SHOWN_QUICKLY}
`;

/** Nearer than this there is no haze, and farther no fine grain, m: no pixel pays for both. */
export const NEAR_M = LIGHT.hazeFromM;

// What a pixel has of depth for nothing is one over it.
const NEAR = /* glsl */ `${PICTURE}
void main() {
  float close = gl_FragCoord.w * gl_FragCoord.w;
  float patches = 1.0 + broad(onGrain) * min(1.0, 1000.0 * close) + fine(onGrain) * min(1.0, 40.0 * close);
  gl_FragColor = vec4(shown(lit * patches), 1.0);
}
`;
const FAR = /* glsl */ `${PICTURE}
void main() {
  float close = gl_FragCoord.w * gl_FragCoord.w;
  float away = smoothstep(${LIGHT.hazeFromM.toFixed(1)}, ${LIGHT.hazeToM.toFixed(1)}, 1.0 / gl_FragCoord.w);
  vec3 colour = lit * (1.0 + broad(onGrain) * min(1.0, 1000.0 * close));
  gl_FragColor = vec4(shown(mix(colour, haze, away)), 1.0);
}
`;

const painted = (paint: string) => {
  const made = (fragmentShader: string) =>
    new ShaderMaterial({ vertexShader: vertex(paint), fragmentShader, vertexColors: true, uniforms: light });
  return { near: made(NEAR), far: made(FAR) };
};

/** What pieces are drawn with in such a frame, near and far: their paint is on their corners. */
export const quickPiece = painted('color');

const { r, g, b } = new Color(GROUND_PAINT.colour);
/** What the ground is drawn with: its corners have one tone. */
export const quickGround = painted(`vec3(${r}, ${g}, ${b})`);

import { Color, ShaderMaterial, Vector3 } from 'three';
import type { PieceKind } from '@gentle-arc/core/model';
import { GROUND_PAINT, LIGHT, paintOf } from './scene-look';
import { isSkin, SKIN } from './surfaces';

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

const VERTEX = /* glsl */ `
uniform vec3 sunFrom;
uniform vec3 sunLight;
uniform vec3 skyLight;
uniform vec3 soilLight;
uniform vec3 aboveLight;
uniform vec3 paint;
uniform float skinned;
varying vec3 lit;
varying vec2 onGrain;
varying float deepM;
void main() {
  vec3 facing = normalize(mat3(modelMatrix) * normal);
  vec3 fallen = mix(soilLight, skyLight, 0.5 + 0.5 * facing.y) + sunLight * max(0.0, dot(facing, sunFrom))
    + aboveLight * max(0.0, facing.y);
  lit = fallen * mix(paint * color, ${SKIN}, skinned * ${isSkin('color.r')});
  onGrain = position.xy + position.z * vec2(0.7, 0.3);
  vec4 seen = modelViewMatrix * vec4(position, 1.0);
  deepM = -seen.z;
  gl_Position = projectionMatrix * seen;
}
`;

/**
 * Patches of light and dark about one, as grain has them, from waves that cross each other: looking a pattern up in a
 * sheet costs half of a frame without a graphics processor. What is smaller than a pixel or two is left out with depth.
 */
const PATCHES = /* glsl */ `
vec4 waves(vec4 at) {
  vec4 up = 2.0 * abs(fract(at) - 0.5);
  return up * up * (3.0 - 2.0 * up);
}
float patches(vec2 at, float deepM) {
  vec4 broad = waves(at.x * vec4(0.49, -0.31, 0.83, 0.17) + at.y * vec4(0.27, 0.61, -0.43, 0.97));
  vec4 fine = waves(at.x * vec4(3.1, -2.3, 4.7, 1.3) + at.y * vec4(1.7, 3.7, -2.9, 5.3));
  float away = deepM * deepM;
  return 1.0 + (broad.x * broad.y + broad.z * broad.w - 0.5) * 0.3 / (1.0 + 0.0006 * away)
    + (fine.x * fine.y + fine.z * fine.w - 0.5) * 0.34 / (1.0 + 0.02 * away);
}
`;

const FRAGMENT = /* glsl */ `
uniform vec3 haze;
varying vec3 lit;
varying vec2 onGrain;
varying float deepM;
${PATCHES}
${SHOWN_QUICKLY}
void main() {
  vec3 colour = lit * patches(onGrain, deepM);
  float far = smoothstep(${LIGHT.hazeFromM.toFixed(1)}, ${LIGHT.hazeToM.toFixed(1)}, deepM);
  gl_FragColor = vec4(shown(mix(colour, haze, far)), 1.0);
}
`;

const made = (paint: string, skinned: boolean) =>
  new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    vertexColors: true,
    uniforms: { ...light, paint: { value: new Color(paint) }, skinned: { value: skinned ? 1 : 0 } },
  });

const materials = new Map<string, ShaderMaterial>();

/** What a piece is drawn with in such a frame. */
export function quickMaterialOf(kind: PieceKind, isSubject: boolean): ShaderMaterial {
  const key = `${kind} ${isSubject}`;
  const known = materials.get(key) ?? made(paintOf(kind, isSubject).colour, kind === 'figure');
  materials.set(key, known);
  return known;
}

export const quickGround = made(GROUND_PAINT.colour, false);

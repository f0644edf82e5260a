import { Color, ShaderMaterial, Vector3 } from 'three';
import type { PieceKind } from '@gentle-arc/core/model';
import { GROUND_PAINT, LIGHT, paintOf } from './scene-look';
import { grain, isSkin, SKIN } from './surfaces';

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
  onGrain = (position.xy + position.z * vec2(0.7, 0.3)) * 0.21;
  vec4 seen = modelViewMatrix * vec4(position, 1.0);
  deepM = -seen.z;
  gl_Position = projectionMatrix * seen;
}
`;

const FRAGMENT = /* glsl */ `
uniform sampler2D grain;
uniform vec3 haze;
varying vec3 lit;
varying vec2 onGrain;
varying float deepM;
${SHOWN_QUICKLY}
void main() {
  vec3 colour = lit * (0.6 + 0.4 * texture2D(grain, onGrain).r + 0.4 * texture2D(grain, onGrain.yx * 5.3).r);
  float far = smoothstep(${LIGHT.hazeFromM.toFixed(1)}, ${LIGHT.hazeToM.toFixed(1)}, deepM);
  gl_FragColor = vec4(shown(mix(colour, haze, far)), 1.0);
}
`;

const made = (paint: string, skinned: boolean) =>
  new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: FRAGMENT,
    vertexColors: true,
    uniforms: { ...light, grain, paint: { value: new Color(paint) }, skinned: { value: skinned ? 1 : 0 } },
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

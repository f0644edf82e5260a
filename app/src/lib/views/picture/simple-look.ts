import { BufferAttribute, BufferGeometry, Color, ShaderMaterial, Vector3 } from 'three';
import { depthTint, depthTone, focusTone, LIGHT, SHARPNESS, TINT } from './scene-look';

/**
 * The same look for a browser without a graphics processor: light is worked out at the corners of a solid instead of at
 * each pixel, colours are mixed as they are shown, and the leaves of hedges are left away. Several small pictures then
 * play far quicker.
 */

interface Paint {
  colour: string;
  tintShare: number;
}

const rgb = (colour: string, strength: number) => new Color(colour).multiplyScalar(strength / Math.PI);
const sunFrom = new Vector3(LIGHT.from.x, -LIGHT.from.z, LIGHT.from.y).normalize();
const sunLight = rgb(LIGHT.sun, LIGHT.sunStrength);
const skyLight = rgb(LIGHT.sky, LIGHT.skyStrength);
const soilLight = rgb(LIGHT.soil, LIGHT.skyStrength);

/**
 * A solid with its lit colour, and how much depth tints it, at each corner. Lambert's law with one sun, and a sky
 * lighter above than below: what three.js does at each pixel.
 */
export function painted(solid: BufferGeometry, { colour, tintShare }: Paint): BufferGeometry {
  const normals = solid.getAttribute('normal');
  const tones = solid.hasAttribute('color') ? solid.getAttribute('color') : null;
  const own = new Color(colour);
  const lit = new Color();
  const rows = new Float32Array(4 * normals.count);
  for (let i = 0; i < normals.count; i += 1) {
    const [x, y, z] = [normals.getX(i), normals.getY(i), normals.getZ(i)];
    const sun = Math.max(0, x * sunFrom.x + y * sunFrom.y + z * sunFrom.z);
    const up = 0.5 + 0.5 * z;
    const tone = tones ? tones.getX(i) : 1;
    const light = (channel: 'r' | 'g' | 'b') =>
      (soilLight[channel] + (skyLight[channel] - soilLight[channel]) * up + sunLight[channel] * sun) *
      own[channel] *
      tone;
    lit.setRGB(light('r'), light('g'), light('b')).convertLinearToSRGB();
    rows.set([lit.r, lit.g, lit.b, tintShare], 4 * i);
  }
  const paintedSolid = new BufferGeometry();
  paintedSolid.setAttribute('position', solid.getAttribute('position'));
  paintedSolid.setIndex(solid.index);
  paintedSolid.setAttribute('paint', new BufferAttribute(rows, 4));
  return paintedSolid;
}

const sky = { value: new Color() };

/** Sets the haze, and gives the colour of the sky as it is shown. */
export function simpleSky(colour: Color): Color {
  return sky.value.copy(colour).convertLinearToSRGB();
}

const VERTEX = /* glsl */ `
attribute vec4 paint;
varying vec3 vViewPosition;
varying vec3 lit;
varying float tintShare;
varying vec3 onPiece;
void main() {
  vec4 seen = modelViewMatrix * vec4(position, 1.0);
  lit = paint.rgb;
  tintShare = paint.a;
  onPiece = position;
  vViewPosition = -seen.xyz;
  gl_Position = projectionMatrix * seen;
}
`;

const fragment = (lines: string) => /* glsl */ `
uniform float subjectM;
uniform float depthTone;
uniform vec3 focusTone;
uniform vec3 sky;
varying vec3 vViewPosition;
varying vec3 lit;
varying float tintShare;
varying vec3 onPiece;
void main() {
  vec4 diffuseColor = vec4(lit, 1.0);
  ${TINT}
  ${lines}
  ${SHARPNESS}
  float haze = clamp((awayM - ${LIGHT.hazeFromM.toFixed(1)}) / ${(LIGHT.hazeToM - LIGHT.hazeFromM).toFixed(1)}, 0.0, 1.0);
  gl_FragColor = vec4(mix(diffuseColor.rgb, sky, haze), 1.0);
}
`;

const made = (lines: string) =>
  new ShaderMaterial({
    vertexShader: VERTEX,
    fragmentShader: fragment(lines),
    uniforms: {
      subjectM: depthTint,
      depthTone,
      focusTone,
      sky,
    },
  });

/** A line each metre, as wide as a pixel of a small picture, that fades before it would shimmer. */
const METRES = /* glsl */ `
vec2 toLine = abs(fract(onPiece.xy - 0.5) - 0.5);
float line = step(min(toLine.x, toLine.y), 0.01 + 0.002 * awayM) * max(0.0, 0.3 - 0.012 * awayM);
diffuseColor.rgb = mix(diffuseColor.rgb, vec3(0.36, 0.30, 0.20), line);
`;

const materials = { plain: made(''), ground: made(METRES) };

export const simpleMaterial = (surface: keyof typeof materials) => materials[surface];

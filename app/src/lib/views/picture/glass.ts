import { BufferAttribute, BufferGeometry, type Color, DoubleSide, Mesh, ShaderMaterial, Vector3 } from 'three';
import type { Piece } from '@gentle-arc/core/model';
import { panesOf } from '@gentle-arc/core/site';
import { placeOnSite } from './placed-solids';

/** What is mirrored: the colour of the sky near the ground. */
const mirrored = { value: new Vector3(0.8, 0.85, 0.9) };

/** Sets what glass mirrors. */
export const mirrorSky = ({ r, g, b }: Color): void => void mirrored.value.set(r, g, b);

/**
 * One sheet that is seen through, the less the flatter it is looked at. Schlick's approximation of Fresnel's equations
 * (Schlick 1994, from memory) for n = 1.5, once for each of its two faces.
 */
const MATERIAL = new ShaderMaterial({
  transparent: true,
  depthWrite: false,
  side: DoubleSide,
  uniforms: { mirrored },
  vertexShader: /* glsl */ `
varying vec3 towards;
varying vec3 facing;
void main() {
  vec4 seen = modelViewMatrix * vec4(position, 1.0);
  towards = -seen.xyz;
  facing = normalMatrix * normal;
  gl_Position = projectionMatrix * seen;
}
`,
  fragmentShader: /* glsl */ `
uniform vec3 mirrored;
varying vec3 towards;
varying vec3 facing;
void main() {
  float straight = abs(dot(normalize(towards), normalize(facing)));
  float back = 0.04 + 0.96 * pow(1.0 - straight, 5.0);
  gl_FragColor = vec4(mirrored, min(0.85, 2.0 * back));
  #include <colorspace_fragment>
}
`,
});

/** The glass of a wall where it stands, as one mesh; null where there is none. */
export function glassOf(piece: Piece): Mesh | null {
  const panes = piece.kind === 'wall' ? panesOf(piece) : [];
  if (panes.length === 0) return null;
  const corners = panes.flatMap(({ from, to, bottom, top }) => [
    ...[0, from, bottom, 0, to, bottom, 0, to, top],
    ...[0, from, bottom, 0, to, top, 0, from, top],
  ]);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(Float32Array.from(corners), 3));
  geometry.setAttribute(
    'normal',
    new BufferAttribute(
      Float32Array.from(corners, (_, i) => (i % 3 === 0 ? 1 : 0)),
      3,
    ),
  );
  return new Mesh(geometry.applyMatrix4(placeOnSite(piece)), MATERIAL);
}

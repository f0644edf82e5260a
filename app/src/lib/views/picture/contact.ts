import { BufferAttribute, BufferGeometry, Mesh, ShaderMaterial, UniformsLib, UniformsUtils } from 'three';

/** The soft dark about the foot of what stands on something: without it things float. */

/** How far it reaches beyond the foot, m. */
const REACH_M = 0.32;
const LIFT_M = 0.006;

const material = new ShaderMaterial({
  transparent: true,
  depthWrite: false,
  fog: true,
  polygonOffset: true,
  polygonOffsetFactor: -2,
  polygonOffsetUnits: -2,
  uniforms: UniformsUtils.clone(UniformsLib.fog),
  vertexShader: /* glsl */ `
attribute vec4 foot;
varying vec4 onFoot;
#include <fog_pars_vertex>
void main() {
  onFoot = foot;
  vec4 mvPosition = modelViewMatrix * vec4(position, 1.0);
  gl_Position = projectionMatrix * mvPosition;
  #include <fog_vertex>
}`,
  fragmentShader: /* glsl */ `
varying vec4 onFoot;
#include <fog_pars_fragment>
void main() {
  vec2 beyond = max(abs(onFoot.xy) - onFoot.zw, 0.0);
  float left = max(0.0, 1.0 - length(beyond) / ${REACH_M.toFixed(2)});
  float dark = 0.42 * left * left;
  gl_FragColor = vec4(0.09, 0.08, 0.06, dark);
  #include <fog_fragment>
}`,
});

/** A foot on the ground: its middle, which way it is turned (degrees from north), half its size across and along, m. */
export interface Foot {
  xM: number;
  yM: number;
  zM: number;
  headingDeg: number;
  halfAcrossM: number;
  halfAlongM: number;
}

/** The dark about many feet as one thing to draw, in site coordinates. */
export function contactOf(feet: readonly Foot[]): Mesh {
  const positions = new Float32Array(feet.length * 18);
  const foot = new Float32Array(feet.length * 24);
  const corners = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, -1],
    [1, 1],
    [-1, 1],
  ];
  feet.forEach(({ xM, yM, zM, headingDeg, halfAcrossM, halfAlongM }, i) => {
    const turn = (headingDeg * Math.PI) / 180;
    const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
    corners.forEach(([sx, sy], k) => {
      const [across, along] = [sx * (halfAcrossM + REACH_M), sy * (halfAlongM + REACH_M)];
      positions.set([xM + across * cos + along * sin, yM - across * sin + along * cos, zM + LIFT_M], 18 * i + 3 * k);
      foot.set([across, along, halfAcrossM, halfAlongM], 24 * i + 4 * k);
    });
  });
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(positions, 3));
  geometry.setAttribute('foot', new BufferAttribute(foot, 4));
  const mesh = new Mesh(geometry, material);
  // After what it lies on.
  mesh.renderOrder = 1.5;
  return mesh;
}

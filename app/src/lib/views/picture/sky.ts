import { BackSide, Color, Mesh, ShaderMaterial, SphereGeometry, Vector3 } from 'three';
import { SHOWN_QUICKLY } from './quick-look';

/** The sky by the height of the sun: bright blue by day, warm at the rim when it is low, nearly dark at night. */

/** How it looks at an altitude of the sun, degrees: colours of the rim and overhead. Between two the mean is taken. */
const SKIES: readonly { altitudeDeg: number; rim: string; top: string }[] = [
  { altitudeDeg: -18, rim: '#141a24', top: '#0a0e15' },
  { altitudeDeg: -8, rim: '#4a4a5c', top: '#1b2536' },
  { altitudeDeg: -3, rim: '#b98a76', top: '#3c4c68' },
  { altitudeDeg: 1, rim: '#f0bf91', top: '#6f88a8' },
  { altitudeDeg: 8, rim: '#f0dcc0', top: '#86a6c6' },
  { altitudeDeg: 25, rim: '#dfe8ea', top: '#86afd3' },
  { altitudeDeg: 90, rim: '#dde7ea', top: '#7ba8d2' },
];
/** Nobody has said when it is filmed. */
const PLAIN = { rim: new Color('#dde7ea'), top: new Color('#a9c4d8') };
const DIM = 0.42;

export interface SkyLook {
  rim: Color;
  top: Color;
}

/** The colours of the sky; `dim`: for a dark stage. */
export function skyLook(altitudeDeg: number | null, dim: boolean): SkyLook {
  const look = altitudeDeg === null ? { rim: PLAIN.rim.clone(), top: PLAIN.top.clone() } : between(altitudeDeg);
  if (dim) for (const colour of [look.rim, look.top]) colour.multiplyScalar(DIM);
  return look;
}

function between(altitudeDeg: number): SkyLook {
  const above = Math.max(
    1,
    SKIES.findIndex((row) => row.altitudeDeg >= altitudeDeg),
  );
  const [low, high] = [SKIES[above - 1], SKIES[above]];
  const share = Math.min(1, Math.max(0, (altitudeDeg - low.altitudeDeg) / (high.altitudeDeg - low.altitudeDeg)));
  const mixed = (key: 'rim' | 'top') => new Color(low[key]).lerp(new Color(high[key]), share);
  return { rim: mixed('rim'), top: mixed('top') };
}

const RADIUS_M = 1400;

const VERTEX = /* glsl */ `
varying vec3 towards;
void main() {
  towards = normalize(position);
  vec4 seen = modelViewMatrix * vec4(position, 1.0);
  gl_Position = projectionMatrix * seen;
}`;

const SKY = /* glsl */ `
uniform vec3 rim;
uniform vec3 top;
uniform vec3 sun;
uniform float glow;
varying vec3 towards;
`;

const FINE = /* glsl */ `${SKY}
void main() {
  float up = max(0.0, towards.y);
  vec3 colour = mix(rim, top, pow(up, 0.55));
  float near = max(0.0, dot(normalize(towards), sun));
  colour += glow * (0.35 * pow(near, 24.0) + 0.9 * smoothstep(0.99988, 0.99994, near)) * vec3(1.0, 0.86, 0.62);
  gl_FragColor = vec4(colour, 1.0);
  #include <colorspace_fragment>
}`;

/** The same by roots and products alone: powers are what a sky costs without a graphics processor. */
const QUICK = /* glsl */ `${SKY}
${SHOWN_QUICKLY}
void main() {
  float half_ = sqrt(max(0.0, towards.y));
  // Between the square root and the next power: near enough to 0.55.
  float share = half_ * (0.8 + 0.2 * half_);
  float near = max(0.0, dot(normalize(towards), sun));
  float third = near * near * near;
  float sixth = third * third;
  float twelfth = sixth * sixth;
  vec3 colour = mix(rim, top, share)
    + glow * (0.35 * twelfth * twelfth + 0.9 * smoothstep(0.99988, 0.99994, near)) * vec3(1.0, 0.86, 0.62);
  gl_FragColor = vec4(shown(colour), 1.0);
}`;

/** A dome about the camera: paler towards the rim, bright about the sun. */
export class SkyDome {
  readonly mesh: Mesh<SphereGeometry, ShaderMaterial>;
  private readonly fine: ShaderMaterial;
  private readonly quick: ShaderMaterial;
  private readonly uniforms = {
    rim: { value: new Color() },
    top: { value: new Color() },
    sun: { value: new Vector3(0, 1, 0) },
    glow: { value: 0 },
  };

  constructor() {
    this.fine = this.painted(FINE);
    this.quick = this.painted(QUICK);
    this.mesh = new Mesh<SphereGeometry, ShaderMaterial>(new SphereGeometry(RADIUS_M, 24, 16), this.fine);
    this.mesh.frustumCulled = false;
    this.mesh.renderOrder = 2;
    // It goes with whoever looks.
    this.mesh.onBeforeRender = (_renderer, _scene, camera) => {
      this.mesh.position.setFromMatrixPosition(camera.matrixWorld);
      this.mesh.updateMatrixWorld();
      this.mesh.modelViewMatrix.multiplyMatrices(camera.matrixWorldInverse, this.mesh.matrixWorld);
    };
  }

  /** Painted with as little as its look allows, or as it should be. */
  hurry(quick: boolean): void {
    this.mesh.material = quick ? this.quick : this.fine;
  }

  private painted(fragmentShader: string): ShaderMaterial {
    return new ShaderMaterial({
      uniforms: this.uniforms,
      side: BackSide,
      depthWrite: false,
      fog: false,
      vertexShader: VERTEX,
      fragmentShader,
    });
  }

  /** `from`: towards the sun; null: it is not seen. */
  set({ rim, top }: SkyLook, from: Vector3 | null): void {
    this.uniforms.rim.value.copy(rim);
    this.uniforms.top.value.copy(top);
    this.uniforms.glow.value = from ? 1 : 0;
    if (from) this.uniforms.sun.value.copy(from);
  }
}

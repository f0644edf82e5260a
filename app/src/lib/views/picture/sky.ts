import { BufferAttribute, BufferGeometry, Color, Mesh, type PerspectiveCamera, ShaderMaterial, Vector3 } from 'three';
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

/** Where in the picture it begins, -1 to 1 from its foot to its top: below, all is of the colour of its rim. */
const VERTEX = /* glsl */ `
uniform float fromY;
varying vec3 towards;
vec3 lookAt(vec2 at) {
  vec2 flat_ = (at + projectionMatrix[2].xy) / vec2(projectionMatrix[0].x, projectionMatrix[1].y);
  return transpose(mat3(viewMatrix)) * vec3(flat_, -1.0);
}
`;
const PLACED = /* glsl */ `
  vec2 at = vec2(position.x, mix(fromY, 1.0, position.y));
  towards = lookAt(at);
  // As far away as anything can be.
  gl_Position = vec4(at, 1.0, 1.0);
`;

const SKY = /* glsl */ `
uniform vec3 rim;
uniform vec3 top;
uniform vec3 sun;
uniform float glow;
`;

const FINE = /* glsl */ `${SKY}
varying vec3 towards;
void main() {
  vec3 to = normalize(towards);
  vec3 colour = mix(rim, top, pow(max(0.0, to.y), 0.55));
  float near = max(0.0, dot(to, sun));
  colour += glow * (0.35 * pow(near, 24.0) + 0.9 * smoothstep(0.99988, 0.99994, near)) * vec3(1.0, 0.86, 0.62);
  gl_FragColor = vec4(colour, 1.0);
  #include <colorspace_fragment>
}`;

/** The same by roots and products alone: powers are what a sky costs without a graphics processor. */
const QUICKLY = /* glsl */ `${SKY}
${SHOWN_QUICKLY}
vec3 skyTowards(vec3 to) {
  float half_ = sqrt(max(0.0, to.y));
  // Between the square root and the next power: near enough to 0.55.
  float share = half_ * (0.8 + 0.2 * half_);
  float near = max(0.0, dot(to, sun));
  float third = near * near * near;
  float sixth = third * third;
  float twelfth = sixth * sixth;
  vec3 colour = mix(rim, top, share)
    + glow * (0.35 * twelfth * twelfth + 0.9 * smoothstep(0.99988, 0.99994, near)) * vec3(1.0, 0.86, 0.62);
  return shown(colour);
}
`;

const LOOKS = {
  fine: { vertexShader: `${VERTEX}void main() {${PLACED}}`, fragmentShader: FINE },
  /** With the sun in the picture. */
  quick: {
    vertexShader: `${VERTEX}void main() {${PLACED}}`,
    fragmentShader: `${QUICKLY}
varying vec3 towards;
void main() { gl_FragColor = vec4(skyTowards(normalize(towards)), 1.0); }`,
  },
  /** Without it: its colours run smoothly from corner to corner. */
  quickest: {
    vertexShader: `${VERTEX}${QUICKLY}
varying vec3 colour;
void main() {${PLACED}colour = skyTowards(normalize(towards));}`,
    fragmentShader: 'varying vec3 colour; void main() { gl_FragColor = vec4(colour, 1.0); }',
  },
};

/** A sheet over the picture of so many tiles, from 0 to 1 upwards, closer together at its foot. */
const ACROSS = 6;
const UP = 8;
function sheet(): BufferGeometry {
  const corners = Array.from({ length: (ACROSS + 1) * (UP + 1) }, (_, i) => {
    const [k, j] = [i % (ACROSS + 1), Math.floor(i / (ACROSS + 1))];
    return [(2 * k) / ACROSS - 1, (j / UP) ** 2, 0];
  });
  const tiles = Array.from({ length: ACROSS * UP }, (_, i) => {
    const at = Math.floor(i / ACROSS) * (ACROSS + 1) + (i % ACROSS);
    return [at, at + 1, at + ACROSS + 1, at + ACROSS + 1, at + 1, at + ACROSS + 2];
  });
  const made = new BufferGeometry();
  made.setAttribute('position', new BufferAttribute(Float32Array.from(corners.flat()), 3));
  made.setIndex(tiles.flat());
  return made;
}

/** From where on there is sky in a picture, -1 to 1 from its foot to its top; 1 or more: none is seen. */
export function skyFromY({ projectionMatrix: { elements }, matrixWorldInverse }: PerspectiveCamera): number {
  // Which way is up, in the camera's axes: the horizon is what lies square to it.
  const [x, y, z] = [4, 5, 6].map((i) => matrixWorldInverse.elements[i]);
  if (y < 0.1) return -1;
  const at = (side: number) => ((z - (x * (side + elements[8])) / elements[0]) / y) * elements[5] - elements[9];
  return Math.max(-1, Math.min(at(-1), at(1)));
}

/** About the sun its glow is too steep for corners, radians. */
const GLOW_RAD = 0.2;

/** How far outside of a picture that looks straight at its corner a direction is, radians; less than 0: inside. */
function fromFrame({ projectionMatrix, matrixWorld }: PerspectiveCamera, towards: Vector3): number {
  const [, , , , , , , , x, y, z] = matrixWorld.elements;
  const off = Math.acos(Math.max(-1, Math.min(1, -(x * towards.x + y * towards.y + z * towards.z))));
  return off - Math.atan(Math.hypot(1 / projectionMatrix.elements[0], 1 / projectionMatrix.elements[5]));
}

/** A sheet behind everything: paler towards the rim, bright about the sun. */
export class Sky {
  readonly mesh: Mesh<BufferGeometry, ShaderMaterial>;
  private readonly looks: Record<keyof typeof LOOKS, ShaderMaterial>;
  private hurried = false;
  private readonly uniforms = {
    rim: { value: new Color() },
    top: { value: new Color() },
    sun: { value: new Vector3(0, 1, 0) },
    glow: { value: 0 },
    fromY: { value: -1 },
  };

  constructor() {
    const made = (look: { vertexShader: string; fragmentShader: string }) =>
      new ShaderMaterial({ uniforms: this.uniforms, depthWrite: false, fog: false, ...look });
    this.looks = { fine: made(LOOKS.fine), quick: made(LOOKS.quick), quickest: made(LOOKS.quickest) };
    this.mesh = new Mesh<BufferGeometry, ShaderMaterial>(sheet(), this.looks.fine);
    this.mesh.frustumCulled = false;
    this.mesh.renderOrder = 2;
  }

  /** Painted with as little as its look allows, or as it should be. */
  hurry(hurried: boolean): void {
    this.hurried = hurried;
  }

  /** Where it is seen from a camera, and how. */
  lookFrom(camera: PerspectiveCamera): void {
    const { mesh, looks, uniforms, hurried } = this;
    uniforms.fromY.value = hurried ? skyFromY(camera) : -1;
    mesh.visible = uniforms.fromY.value < 1;
    const isSunNear = uniforms.glow.value > 0 && fromFrame(camera, uniforms.sun.value) < GLOW_RAD;
    mesh.material = looks[!hurried ? 'fine' : isSunNear ? 'quick' : 'quickest'];
  }

  /** `from`: towards the sun; null: it is not seen. */
  set({ rim, top }: SkyLook, from: Vector3 | null): void {
    this.uniforms.rim.value.copy(rim);
    this.uniforms.top.value.copy(top);
    this.uniforms.glow.value = from ? 1 : 0;
    if (from) this.uniforms.sun.value.copy(from);
  }
}

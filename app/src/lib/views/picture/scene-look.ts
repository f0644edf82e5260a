import { BufferAttribute, BufferGeometry, Color, MeshLambertMaterial, Vector3 } from 'three';
import type { Piece, PieceKind } from '@gentle-arc/core/model';
import { type Sun, towardsSun } from '@gentle-arc/core/light';
import { type Going, solidOf } from '@gentle-arc/core/site';
import {
  grain,
  HURRIED_LINES,
  type Surface,
  SURFACE_FUNCTIONS,
  SURFACE_LINES,
  SURFACE_OF,
  surfaceNumber,
} from './surfaces';

/** How the picture looks: a paper model in which depth runs from warm to cool about the subject's distance. */

/** Distance of the subject, m: shared by every material. */
export const depthTint = { value: 5 };

/** Depth runs from warm to cool (1), or colours are as they are (0). */
export const depthTone = { value: 0 };

/**
 * Shown in tones of sharpness (1) or as it is (0), and between which distances from the camera's plane it is sharp, m.
 */
export const focusTone = { value: new Vector3(0, 0, 1e6) };

const COLOURS: Record<PieceKind, string> = {
  figure: '#a9683f',
  dog: '#a07a52',
  car: '#b5705a',
  lorry: '#c08a55',
  motorbike: '#a8604e',
  bicycle: '#8a7565',
  scooter: '#8f7f70',
  board: '#b08a5a',
  boat: '#b48c66',
  bottle: '#7f9a86',
  tin: '#c98a4b',
  watch: '#b9a27c',
  turntable: '#cfc2a6',
  table: '#b28a5e',
  chair: '#a98660',
  plinth: '#d8cdb8',
  lamp: '#efe0b4',
  model: '#c4a782',
  post: '#9b7550',
  hedge: '#8fa863',
  wall: '#dccbad',
  box: '#d9c4a0',
  slab: '#cdbd97',
  tree: '#7b9a66',
  ridge: '#9fb09a',
  stair: '#c9bda2',
  platform: '#b99a70',
  road: '#8d8a80',
  water: '#86a9b0',
  terrain: '#c2bd92',
  fence: '#a68a66',
  rock: '#a39d92',
  bush: '#86a064',
};
const SUBJECT = '#0e5a4a';
const GROUND = '#d9cca9';

const geometries = new WeakMap<Piece, Map<string, BufferGeometry>>();
const STILL = 'still';

/**
 * The solid of a piece as a geometry, or of who goes as it is caught in a step or a turn of wheels; made once for each
 * state of a piece. `coarse`: as is enough from afar.
 */
export function geometryOf(piece: Piece, going?: Going, coarse = false): BufferGeometry {
  const states = geometries.get(piece) ?? new Map<string, BufferGeometry>();
  geometries.set(piece, states);
  const caught = going && caughtIn(going, piece.kind === 'figure' || piece.kind === 'dog');
  const key = `${caught ? JSON.stringify(caught) : STILL} ${coarse}`;
  const known = states.get(key);
  if (known) return known;
  const solid = solidOf(piece, caught, coarse);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(solid.positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(solid.normals, 3));
  const tones = new Float32Array(solid.positions.length);
  solid.tones.forEach((tone, i) => tones.fill(tone, 3 * i, 3 * i + 3));
  geometry.setAttribute('color', new BufferAttribute(tones, 3));
  geometry.computeBoundingSphere();
  states.set(key, geometry);
  return geometry;
}

/** Steps and wheels are drawn in so many states: more cannot be told apart. */
const STEP_STATES = 20;
const STRIDE_STATES = 12;
const WHEEL_STATES = 48;

function caughtIn({ step, turned }: Going, steps: boolean): Going {
  const at = (value: number, states: number) => Math.round(value * states) / states;
  const round = (value: number, states: number) => at(value - Math.floor(value), states) % 1;
  if (!steps) return { step: { through: 0, stride: 0, running: false }, turned: round(turned, WHEEL_STATES) };
  const stride = at(step.stride, STRIDE_STATES);
  const through = stride === 0 ? 0 : round(step.through, STEP_STATES);
  return { step: { through, stride, running: step.running }, turned: through };
}

export const TINT = /* glsl */ `
float awayM = length(vViewPosition);
float warm = 1.0 - smoothstep(0.3 * subjectM, 0.85 * subjectM, awayM);
float cool = smoothstep(1.3 * subjectM, 9.0 * subjectM, awayM);
diffuseColor.rgb = mix(diffuseColor.rgb, vec3(0.70, 0.29, 0.11), 0.5 * warm * tintShare * depthTone);
diffuseColor.rgb = mix(diffuseColor.rgb, vec3(0.42, 0.55, 0.68), 0.62 * cool * tintShare * depthTone);
`;

/** What is sharp in strong ink; what is nearer in warm, what is farther in cool pale tones. */
export const SHARPNESS = /* glsl */ `
if (focusTone.x > 0.5) {
  float grey = dot(diffuseColor.rgb, vec3(0.3, 0.6, 0.1));
  float deepM = vViewPosition.z;
  vec3 pale = vec3(0.72 + 0.28 * grey);
  if (deepM < focusTone.y) diffuseColor.rgb = pale * vec3(0.98, 0.80, 0.66);
  else if (deepM > focusTone.z) diffuseColor.rgb = pale * vec3(0.78, 0.86, 0.95);
  else diffuseColor.rgb = mix(vec3(0.05, 0.42, 0.32), vec3(0.35, 0.75, 0.55), grey);
}
`;

function tinted(colour: string, share: number, texture: Surface, hurried: boolean): MeshLambertMaterial {
  const material = new MeshLambertMaterial({ color: new Color(colour), vertexColors: true });
  material.onBeforeCompile = (shader) => {
    shader.uniforms.subjectM = depthTint;
    shader.uniforms.tintShare = { value: share };
    shader.uniforms.depthTone = depthTone;
    shader.uniforms.grain = grain;
    shader.uniforms.surface = { value: surfaceNumber(texture) };
    shader.uniforms.focusTone = focusTone;
    shader.vertexShader =
      'varying vec3 onPiece;\n' +
      shader.vertexShader.replace('#include <begin_vertex>', '#include <begin_vertex>\nonPiece = position;');
    shader.fragmentShader =
      'uniform float subjectM;\nuniform float depthTone;\nuniform float tintShare;\n' +
      'uniform vec3 focusTone;\nvarying vec3 onPiece;\n' +
      SURFACE_FUNCTIONS +
      shader.fragmentShader.replace(
        '#include <color_fragment>',
        hurried ? HURRIED_LINES : SURFACE_LINES + TINT + SHARPNESS,
      );
  };
  material.customProgramCacheKey = () => (hurried ? 'hurried' : 'tinted');
  return material;
}

/**
 * Light of sun and sky, and the haze. `above`: how much of the sky's light comes from straight above, where a roof keeps
 * it off.
 */
export const LIGHT = {
  sun: '#fff0d2',
  sunStrength: 2.3,
  sky: '#eef3f6',
  soil: '#d8c8a4',
  skyStrength: 1.75,
  above: 0.62,
  lamp: '#ffe9c4',
  from: new Vector3(-32, 42, 26),
  hazeFromM: 60,
  hazeToM: 420,
};

/** Where light comes from, how warm and how strong it is. */
export interface SunLook {
  from: Vector3;
  colour: Color;
  strength: number;
  sky: number;
}

const NOON = new Color(LIGHT.sun);
const EMBER = new Color('#ffb26b');

/**
 * The look of the sun as high as it stands: warm and long-shadowed when low, gone when it is down. Without one it is a
 * lamp high up, as nobody has said when it is filmed.
 */
export function sunLook(sun: Sun | null): SunLook {
  if (!sun)
    return {
      from: LIGHT.from.clone().normalize(),
      colour: NOON.clone(),
      strength: LIGHT.sunStrength,
      sky: LIGHT.skyStrength,
    };
  const [east, north, up] = towardsSun(sun);
  const height = Math.min(1, Math.max(0, sun.altitudeDeg / 25));
  // A camera is set for the light that there is: low sun is warm, not dark.
  const exposed = 1 + 0.5 * (1 - height);
  const dusk = Math.min(1, Math.max(0, (sun.altitudeDeg + 12) / 14));
  return {
    // three.js has y up and south towards the viewer; below the horizon nothing is lit from beneath.
    from: new Vector3(east, Math.max(0.02, up), -north).normalize(),
    colour: EMBER.clone().lerp(NOON, Math.sqrt(height)),
    strength: sun.altitudeDeg <= 0 ? 0 : LIGHT.sunStrength * exposed,
    sky: LIGHT.skyStrength * (0.3 + 0.7 * dusk) * exposed,
  };
}

/** What a piece is painted in, and how much depth tints it. */
export const paintOf = (kind: PieceKind, isSubject: boolean) =>
  isSubject ? { colour: SUBJECT, tintShare: 0 } : { colour: COLOURS[kind], tintShare: 1 };
export const GROUND_PAINT = { colour: GROUND, tintShare: 0.8 };

const materials = new Map<string, MeshLambertMaterial>();

/** What a piece is drawn with; `hurried`: as cheaply as its look allows. */
export function materialOf(kind: PieceKind, isSubject: boolean, hurried = false): MeshLambertMaterial {
  const key = `${isSubject ? (kind === 'figure' ? 'somebody' : 'something') : kind} ${hurried}`;
  const known = materials.get(key);
  if (known) return known;
  const made = isSubject
    ? tinted(SUBJECT, 0, kind === 'figure' ? 'body' : 'plain', hurried)
    : tinted(COLOURS[kind], 1, SURFACE_OF[kind] ?? 'plain', hurried);
  materials.set(key, made);
  return made;
}

export const groundMaterial = tinted(GROUND, 0.8, 'ground', false);
export const hurriedGround = tinted(GROUND, 0.8, 'ground', true);

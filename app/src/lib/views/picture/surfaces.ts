import {
  DataTexture,
  LinearFilter,
  LinearMipmapLinearFilter,
  RedFormat,
  RepeatWrapping,
  UnsignedByteType,
} from 'three';
import type { PieceKind } from '@gentle-arc/core/model';

/**
 * What surfaces are made of, in metres of the site, so that motion is felt at every distance: boards, courses of stone,
 * plaster, leaves, grain. What would shimmer fades before it does. All are one program: compiling many costs more than
 * choosing.
 */
const SURFACES = ['plain', 'grain', 'boards', 'stone', 'plaster', 'body', 'water', 'leaves', 'ground'] as const;
export type Surface = (typeof SURFACES)[number];
export const surfaceNumber = (surface: Surface): number => SURFACES.indexOf(surface);
const is = (surface: Surface) => `surface == ${surfaceNumber(surface)}`;

/** Cells of the grain from one side of its sheet to the other, and how fine it is drawn. */
const CELLS = 16;
const SHEET_PX = 128;

/** Soft even noise that meets itself at its edges: light and dark about a half, the same for everybody. */
function grainSheet(): DataTexture {
  let state = 20_240_229;
  const random = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
  const values = Array.from({ length: CELLS * CELLS }, random);
  const ease = (t: number) => t * t * (3 - 2 * t);
  const at = (x: number, y: number) => values[(y % CELLS) * CELLS + (x % CELLS)];
  const data = new Uint8Array(SHEET_PX * SHEET_PX);
  for (let row = 0; row < SHEET_PX; row += 1)
    for (let column = 0; column < SHEET_PX; column += 1) {
      const [x, y] = [(column / SHEET_PX) * CELLS, (row / SHEET_PX) * CELLS];
      const [i, j, u, v] = [Math.floor(x), Math.floor(y), ease(x % 1), ease(y % 1)];
      const low = at(i, j) * (1 - u) + at(i + 1, j) * u;
      const high = at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u;
      data[row * SHEET_PX + column] = Math.round(255 * (low * (1 - v) + high * v));
    }
  const sheet = new DataTexture(data, SHEET_PX, SHEET_PX, RedFormat, UnsignedByteType);
  Object.assign(sheet, {
    wrapS: RepeatWrapping,
    wrapT: RepeatWrapping,
    magFilter: LinearFilter,
    minFilter: LinearMipmapLinearFilter,
    generateMipmaps: true,
    needsUpdate: true,
  });
  return sheet;
}
export const grain = { value: grainSheet() };

/** Faces and hands are lighter than cloth by a known tone: their colour, and whether a tone is theirs; in GLSL 1 or 0. */
export const SKIN_COLOUR = [0.46, 0.24, 0.14];
const SKIN = `vec3(${SKIN_COLOUR.join(', ')})`;
const SKIN_TONES = [1.44, 1.56];
export const isSkinTone = (tone: number) => tone >= SKIN_TONES[0] && tone <= SKIN_TONES[1];
const isSkin = (tone: string) => `(step(${SKIN_TONES[0]}, ${tone}) * step(${tone}, ${SKIN_TONES[1]}))`;

export const SURFACE_FUNCTIONS = /* glsl */ `
uniform sampler2D grain;
uniform int surface;
float speck(vec2 cell) { return fract(sin(dot(cell, vec2(12.9898, 78.233))) * 43758.5453); }
float patches(vec2 at, float perMetre) { return texture2D(grain, at * (perMetre / ${CELLS.toFixed(1)})).r - 0.5; }
float seam(float value, float apart, float wide, float finest) {
  float away = abs(fract(value / apart - 0.5) - 0.5) * apart;
  return smoothstep(wide + finest, wide, away) * smoothstep(apart * 0.7, apart * 0.15, finest);
}
`;

/** Along a wall or across a floor, whichever way the face looks; `finest` is how many metres a pixel covers here. */
export const SURFACE_LINES = /* glsl */ `
#include <color_fragment>
if (surface != ${surfaceNumber('plain')}) {
  vec3 perPixel3 = fwidth(onPiece);
  float finest = max(perPixel3.x, max(perPixel3.y, perPixel3.z));
  vec3 facing = cross(dFdx(onPiece), dFdy(onPiece));
  facing /= max(1e-12, length(facing));
  vec2 level = normalize(vec2(-facing.y, facing.x) + 1e-5);
  vec2 face = abs(facing.z) > 0.7 ? onPiece.xy : vec2(dot(onPiece.xy, level), onPiece.z);
  float rough = patches(face, 9.0);
  float shade = 1.0;
  if (${is('ground')}) {
    shade += 0.34 * patches(onPiece.xy, 0.19) + 0.3 * patches(onPiece.yx + 3.1, 0.9) + 0.34 * rough
      + 0.42 * patches(onPiece.yx, 27.0);
  } else if (${is('boards')}) {
    shade = (0.92 + 0.16 * speck(vec2(floor(face.x / 0.18), 1.0)) * smoothstep(0.3, 0.05, finest))
      * (1.0 - 0.42 * seam(face.x, 0.18, 0.004, finest)) * (1.0 + 0.3 * patches(face * vec2(1.0, 0.12), 24.0));
  } else if (${is('stone')}) {
    float course = floor(face.y / 0.22);
    float along = face.x + 0.31 * mod(course, 2.0);
    shade = (0.9 + 0.2 * speck(vec2(floor(along / 0.46), course)) * smoothstep(0.4, 0.06, finest))
      * (1.0 - 0.3 * max(seam(face.y, 0.22, 0.007, finest), seam(along, 0.46, 0.007, finest))) * (1.0 + 0.2 * rough);
  } else if (${is('plaster')}) {
    shade += 0.16 * patches(face, 1.6) + 0.12 * rough - 0.12 * smoothstep(0.5, 0.0, onPiece.z) * (0.6 + rough);
  } else if (${is('leaves')}) {
    shade += 0.5 * patches(face, 1.5) + 0.75 * rough + 0.8 * patches(face + 1.7, 31.0);
  } else if (${is('water')}) {
    shade += 0.35 * patches(onPiece.xy * vec2(0.4, 2.2), 1.6);
  } else if (${is('body')}) {
    float skin = ${isSkin('vColor.r')};
    diffuseColor.rgb = mix(diffuseColor.rgb, ${SKIN}, skin);
    shade += (1.0 - skin) * (0.14 * rough + 0.2 * patches(face, 40.0));
  } else {
    shade += 0.22 * rough + 0.2 * patches(face, 33.0);
  }
  diffuseColor.rgb *= shade;
}
`;

/**
 * While it moves, without a graphics processor: enough grain for motion to be felt, and no more. What is skipped in a
 * shader costs there as well, so this is another one.
 */
export const HURRIED_LINES = /* glsl */ `
#include <color_fragment>
diffuseColor.rgb *= 1.0 + 0.6 * (texture2D(grain, (onPiece.xy + onPiece.z * vec2(0.7, 0.3)) * 0.21).r - 0.5);
if (${is('body')} && ${isSkin('vColor.r')} > 0.5) diffuseColor.rgb = ${SKIN};
`;

/** What kinds are made of. */
export const SURFACE_OF: Partial<Record<PieceKind, Surface>> = {
  figure: 'body',
  dog: 'grain',
  hedge: 'leaves',
  tree: 'leaves',
  bush: 'leaves',
  ridge: 'leaves',
  box: 'boards',
  platform: 'boards',
  table: 'boards',
  fence: 'grain',
  post: 'grain',
  wall: 'plaster',
  plinth: 'plaster',
  slab: 'stone',
  stair: 'stone',
  rock: 'grain',
  terrain: 'ground',
  road: 'grain',
  water: 'water',
};

import { type Mesh as Drawn, Primitive, WebIO } from '@gltf-transform/core';
import { clipped, type Mesh, MOST_TRIANGLES, packed } from '../model';
import { Refusal } from './refusal';

/** A person's own model: its surface and how large it is, metres. */
export interface OwnModel {
  name: string;
  mesh: Mesh;
  /** Across, along its heading and up. */
  depthM: number;
  lengthM: number;
  heightM: number;
}

/** What a piece may measure. */
const LEAST_M = 0.005;
const MOST_M = { depthM: 2000, lengthM: 2000, heightM: 500 };

const refuse = (why: string) => Refusal.of('model', why);

/**
 * Reads a model from binary glTF 2.0 (GLB): every triangle of its scene, in metres, its front (+Z in glTF) along the
 * heading. Colours, pictures, joints and movements are left out. Throws a `Refusal` that says what to mend.
 */
export async function readModelGlb(fileName: string, bytes: Uint8Array): Promise<OwnModel> {
  let document;
  try {
    document = await new WebIO().readBinary(bytes);
  } catch (error) {
    throw refuse(
      `This is no binary glTF (.glb) that can be read: ${clipped((error as Error).message)}. Save it as GLB, ` +
        'uncompressed and with everything in one file.',
    );
  }
  const root = document.getRoot();
  const scene = root.getDefaultScene() ?? root.listScenes()[0];
  const places: number[] = [];
  scene?.traverse((node) => {
    const mesh = node.getMesh();
    if (mesh) addTriangles(mesh, node.getWorldMatrix(), places);
  });
  if (places.length === 0) throw refuse('The model has no triangles: it needs at least one surface in its scene.');
  return sized(clipped(fileName.replace(/\.glb$/i, '').trim() || 'Own model', 80), places);
}

function addTriangles(mesh: Drawn, m: readonly number[], places: number[]): void {
  const spot: number[] = [0, 0, 0];
  for (const primitive of mesh.listPrimitives()) {
    if (primitive.getMode() !== Primitive.Mode.TRIANGLES)
      throw refuse('The model has lines, points, strips or fans; save it as plain triangles.');
    const positions = primitive.getAttribute('POSITION');
    if (!positions) continue;
    const indices = primitive.getIndices();
    const count = indices ? indices.getCount() : positions.getCount();
    if (count % 3 !== 0) throw refuse('The model ends within a triangle; save it again.');
    if (places.length / 9 + count / 3 > MOST_TRIANGLES)
      throw refuse(
        `The model has more than ${MOST_TRIANGLES.toLocaleString('en')} triangles; make it coarser (decimate it) first.`,
      );
    for (let i = 0; i < count; i += 1) {
      const at = indices ? indices.getScalar(i) : i;
      if (!(at < positions.getCount())) throw refuse('A triangle of the model names a corner that is not there.');
      const [x, y, z] = positions.getElement(at, spot);
      const [east, up, south] = [0, 1, 2].map((row) => m[row] * x + m[4 + row] * y + m[8 + row] * z + m[12 + row]);
      // Its front looks along +Z there and along the heading here, so that its right-hand side is −X.
      places.push(-east, south, up);
    }
  }
}

/** The surface within its box; corners in one place are one. */
function sized(name: string, places: readonly number[]): OwnModel {
  const low = [Infinity, Infinity, Infinity];
  const high = [-Infinity, -Infinity, -Infinity];
  places.forEach((value, i) => {
    if (!Number.isFinite(value)) throw refuse('A corner of the model is at no number; save it again.');
    low[i % 3] = Math.min(low[i % 3], value);
    high[i % 3] = Math.max(high[i % 3], value);
  });
  const [depthM, lengthM, heightM] = high.map((value, axis) => Math.max(LEAST_M, value - low[axis]));
  const largest = Math.max(depthM / MOST_M.depthM, lengthM / MOST_M.lengthM, heightM / MOST_M.heightM);
  if (largest > 1)
    throw refuse(
      `The model is ${Math.round(Math.max(depthM, lengthM, heightM))} m large; glTF is in metres, and at most ` +
        `${MOST_M.lengthM} m across and ${MOST_M.heightM} m up can stand on a site. Scale it down.`,
    );
  const size = [depthM, lengthM, heightM];
  const known = new Map<string, number>();
  const corners: number[] = [];
  const faces: number[] = [];
  for (let i = 0; i < places.length; i += 3) {
    const shares = [0, 1, 2].map((axis) => (places[i + axis] - low[axis]) / size[axis]);
    const key = shares.map((share) => Math.round(share * 65_535)).join(' ');
    let at = known.get(key);
    if (at === undefined) {
      at = known.size;
      known.set(key, at);
      corners.push(...shares);
    }
    faces.push(at);
  }
  // What has shrunk to a line when its corners met is not seen.
  const whole = faces.flatMap((_, i) => {
    if (i % 3 !== 0) return [];
    const [a, b, c] = faces.slice(i, i + 3);
    return a === b || b === c || a === c ? [] : [a, b, c];
  });
  if (whole.length === 0) throw refuse('The model has no surface: all its triangles are lines.');
  return {
    name,
    mesh: packed({ corners: Float64Array.from(corners), faces: Uint16Array.from(whole) }),
    depthM,
    lengthM,
    heightM,
  };
}

import { type ModelPiece, unpacked } from '../model';
import { TONE, type Solid } from './mesh-builder';

const solids = new WeakMap<object, Map<string, Solid>>();

/** A person's own model as large as its piece says, standing on its base. Unpacked once for each size. */
export function modelSolid({ mesh, depthM, lengthM, heightM }: ModelPiece): Solid {
  const key = `${depthM} ${lengthM} ${heightM}`;
  const known = solids.get(mesh) ?? new Map<string, Solid>();
  solids.set(mesh, known);
  const solid = known.get(key) ?? drawn(mesh, [depthM, lengthM, heightM]);
  // Sizes are tried while one is dragged: only the last is kept.
  if (!known.has(key)) known.clear();
  known.set(key, solid);
  return solid;
}

function drawn(mesh: ModelPiece['mesh'], size: readonly [number, number, number]): Solid {
  const { corners, faces } = unpacked(mesh);
  const positions = new Float32Array(faces.length * 3);
  const normals = new Float32Array(faces.length * 3);
  faces.forEach((corner, i) => {
    for (let axis = 0; axis < 3; axis += 1)
      positions[3 * i + axis] = (corners[3 * corner + axis] - (axis < 2 ? 0.5 : 0)) * size[axis];
  });
  for (let at = 0; at < positions.length; at += 9) {
    const side = (to: number) => [0, 1, 2].map((axis) => positions[at + to + axis] - positions[at + axis]);
    const [u, v] = [side(3), side(6)];
    const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const length = Math.hypot(n[0], n[1], n[2]) || 1;
    for (let corner = 0; corner < 3; corner += 1)
      for (let axis = 0; axis < 3; axis += 1) normals[at + 3 * corner + axis] = n[axis] / length;
  }
  return { positions, normals, tones: new Float32Array(faces.length).fill(TONE.plain) };
}

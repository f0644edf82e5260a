import type { Samples } from '../../motion';
import type { Scene } from '../../scene';
import { groundHeightM } from '../../site';

/** Height of the lens above the ground below it, metres, one value per row. */
export function heightsM(scene: Scene, samples: Samples): Float64Array {
  return samples.zM.map((zM, i) => zM - groundHeightM(scene.ground, samples.xM[i], samples.yM[i]));
}

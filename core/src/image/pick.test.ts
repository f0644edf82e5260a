import { describe, expect, it } from 'vitest';
import { filmed, usual } from '../testing/filmed';
import { AROUND } from '../testing/shoots';
import { threeCameraAt, threeProject } from '../testing/three-camera';
import { pieceAtPoint } from './pick';

describe('a press on the picture', () => {
  it('chooses what stands there: where three.js puts the middle of each piece', () => {
    const { scene, samples } = filmed({ kind: 'still', ...AROUND, heightM: 1.2, distanceM: 5, bearingDeg: 180 });
    const camera = threeCameraAt(samples, 0);
    const aspect = samples.frameWidthMm / samples.frameHeightMm;
    for (const id of ['figure', 'post']) {
      const piece = scene.pieces.find((row) => row.id === id);
      if (!piece) throw new Error(id);
      const { u, w } = threeProject(camera, piece.xM, piece.yM, piece.zM + piece.heightM * 0.5);
      expect(pieceAtPoint(scene, samples, 0, u + 0.5, 0.5 - w * aspect)).toBe(id);
    }
    expect(pieceAtPoint(scene, samples, 0, 0.95, 0.4)).toBe('back');
  });
  it('nothing stands in the sky', () => {
    const { scene, samples } = filmed({ ...usual('tilt'), fromDeg: 70, toDeg: 85 });
    expect(pieceAtPoint(scene, samples, 0, 0.5, 0.5)).toBeNull();
  });
});

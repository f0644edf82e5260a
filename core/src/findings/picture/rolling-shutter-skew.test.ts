import { Mesh, BoxGeometry, MeshBasicMaterial, Raycaster, Vector2 } from 'three';
import { describe, expect, it } from 'vitest';
import { DEFAULT_AIM, type Move, newPiece, type Shoot } from '../../model';
import { readShot } from '../../reading';
import { AROUND, moved, plainShoot } from '../../testing/shoots';
import { threeCamera } from '../../testing/three-camera';

const TIMING = {
  durationS: 2,
  holdStartS: 0,
  featherInS: 0,
  featherOutS: 0,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};
const pan: Move = { kind: 'pan', ...AROUND, heightM: 1.2, distanceM: 12, bearingDeg: 180, fromDeg: -20, toDeg: 20 };
const post = { ...newPiece('post', 'post', 'Post', 0, 0, 0), heightM: 2.4 };

function shootOf(readOutMs: number, more: Parameters<typeof moved>[1] = {}): Shoot {
  const shoot = plainShoot(
    moved(pan, {
      subjectId: 'post',
      timing: TIMING,
      lensId: 'lens-moss-85',
      focalLengthMm: 85,
      rigId: 'rig-tripod',
      gaitId: 'gait-stand',
      aim: { ...DEFAULT_AIM, mode: 'locked' },
      ...more,
    }),
    [post],
  );
  return { ...shoot, kit: { ...shoot.kit, cameras: shoot.kit.cameras.map((camera) => ({ ...camera, readOutMs })) } };
}
const lean = (shoot: Shoot) => readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'skew');

describe('lean by read-out', () => {
  it('agrees with a picture rendered row by row, each row by three.js a little later than the one above', () => {
    const readOutMs = 30;
    const shoot = shootOf(readOutMs);
    const { samples } = readShot(shoot, shoot.shots[0]).picture;
    const [camera] = shoot.kit.cameras;
    const recordedMm = camera.sensorWidthMm / (camera.pictureWidthPx / camera.pictureHeightPx);
    const readOutS = (readOutMs / 1000) * (samples.frameHeightMm / recordedMm);
    const degps = 40 / TIMING.durationS;
    const solid = new Mesh(new BoxGeometry(0.15, 2.4, 0.15), new MeshBasicMaterial());
    solid.position.set(0, 1.2, 0);
    solid.updateMatrixWorld();
    const rows = 41;
    const middles: [number, number][] = [];
    const caster = new Raycaster();
    for (let r = 0; r < rows; r += 1) {
      const v = 0.5 - (r + 0.5) / rows;
      // The post is in the middle of the frame halfway through the read-out.
      const panDeg = degps * readOutS * ((r + 0.5) / rows - 0.5);
      const eye = threeCamera({
        xM: 0,
        yM: -12,
        zM: 1.2,
        panDeg,
        tiltDeg: 0,
        rollDeg: 0,
        focalLengthMm: 85,
        frameWidthMm: samples.frameWidthMm,
        frameHeightMm: samples.frameHeightMm,
      });
      const hits = Array.from({ length: 1601 }, (_, k) => (k - 800) / 8000).filter((u) => {
        caster.setFromCamera(new Vector2(2 * u, 2 * v), eye);
        return caster.intersectObject(solid).length > 0;
      });
      if (hits.length > 0) middles.push([v, (hits[0] + hits[hits.length - 1]) / 2]);
    }
    expect(middles.length).toBeGreaterThan(rows / 2);
    // Slope of the post over the picture, both in widths of it.
    const [top, bottom] = [middles[0], middles[middles.length - 1]];
    const aspect = samples.frameWidthMm / samples.frameHeightMm;
    const renderedDeg = (Math.atan(((bottom[1] - top[1]) / (top[0] - bottom[0])) * aspect) * 180) / Math.PI;
    expect(Math.abs(renderedDeg)).toBeGreaterThan(2);
    expect(lean(shoot)?.value).toBeGreaterThan(Math.abs(renderedDeg) * 0.98);
    expect(lean(shoot)?.value).toBeLessThan(Math.abs(renderedDeg) * 1.08);
  });
  it('grows with the read-out, in proportion while it is small, and is nothing for a camera that reads all at once', () => {
    const [ten, twenty] = [lean(shootOf(10))?.value ?? 0, lean(shootOf(20))?.value ?? 0];
    expect(twenty / ten).toBeCloseTo(2, 1);
    expect(lean(shootOf(0))).toBeUndefined();
  });
  it('goes by the camera, not by the screen: slow motion leans as much as the same turn at full speed', () => {
    const slow = lean(shootOf(20, { frameRateHz: 24, captureRateHz: 120 }))?.value ?? 0;
    expect(slow / (lean(shootOf(20))?.value ?? 1)).toBeCloseTo(1, 1);
  });
  it('ripples from the limit on, and a whip’s does not show', () => {
    expect(lean(shootOf(40))?.grade).not.toBe('calm');
    expect(lean(shootOf(2))?.grade).toBe('calm');
    const whip = shootOf(40, { move: { ...pan, kind: 'whipPan' } as Move });
    expect(lean({ ...whip, shots: [{ ...whip.shots[0], move: { ...pan, kind: 'whipPan' } as Move }] })?.grade).toBe(
      'calm',
    );
  });
});

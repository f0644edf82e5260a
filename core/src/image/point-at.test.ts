import { describe, expect, it } from 'vitest';
import { partFootOf, sceneOf } from '../scene';
import { partOf } from '../site';
import { demoShoot } from '../testing/demo';
import { CAMERA_SIZE, project } from '../optics';
import { sampleShot } from '../motion';
import { pointOnPiece } from './point-at';

const demo = demoShoot();

describe('a point of a thing under a finger', () => {
  it('falls back to where the finger was, for whatever stands, walks, rides or turns, at every moment', () => {
    let found = 0;
    for (const shot of demo.shots) {
      const scene = sceneOf(demo, shot);
      const { subject } = scene;
      if (!subject) continue;
      const samples = sampleShot(scene);
      const thing = scene.things.find(({ piece }) => piece.id === subject.id);
      if (!thing) throw new Error('a subject is a thing');
      for (const row of [0, samples.count >> 1, samples.count - 1])
        for (const [across, down] of [
          [0.5, 0.5],
          [0.45, 0.4],
          [0.52, 0.55],
        ]) {
          const point = pointOnPiece(scene, samples, row, across, down, subject.id);
          if (!point) continue;
          found += 1;
          const whole = partOf(subject, 'whole');
          const spot = new Float64Array(3);
          partFootOf(thing, { ...whole, id: 'own:x', ...point, heightM: 0 })(samples.tS[row], spot);
          const seen = project(samples.cameras, row * CAMERA_SIZE, spot[0], spot[1], spot[2], {
            u: 0,
            w: 0,
            depthM: 0,
          });
          const aspect = samples.frameWidthMm / samples.frameHeightMm;
          expect(seen.u + 0.5).toBeCloseTo(across, 4);
          expect(0.5 - seen.w * aspect).toBeCloseTo(down, 4);
        }
    }
    expect(found).toBeGreaterThan(60);
  });
  it('is none beside the thing', () => {
    const scene = sceneOf(demo, demo.shots[0]);
    expect(pointOnPiece(scene, sampleShot(scene), 0, 0.01, 0.01, scene.subject?.id ?? '')).toBeNull();
  });
});

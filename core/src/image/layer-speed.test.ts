import { describe, expect, it } from 'vitest';
import { type Samples, sampleShot } from '../motion';
import { pointsOf } from '../site';
import { AROUND, moved, plainSetup } from '../testing/shoots';
import { threeCameraAt, threeProject } from '../testing/three-camera';
import { everywhere, FAR_SHARE, NEAR_SHARE, siteMotion } from './layer-speed';
import { subjectInFrame } from './subject-in-frame';

const ARC = { kind: 'arc' as const, ...AROUND, radiusM: 5, startBearingDeg: 140, sweepDeg: 80 };

function threeAt(samples: Samples, i: number) {
  return threeCameraAt(samples, i);
}

/** Pseudo-random points all round the camera's path, the same in every run. */
function scattered(count: number) {
  let seed = 12345;
  const next = () => (seed = (seed * 1103515245 + 12345) % 2147483648) / 2147483648 - 0.5;
  const column = (span: number, lift: number) => Float64Array.from({ length: count }, () => next() * span + lift);
  return pointsOf(column(40, 0), column(40, 0), column(6, 1.5));
}

describe('site motion', () => {
  it('agrees with three.js, point by point, to 1e-9 of a frame width a frame', () => {
    const scene = plainSetup(moved(ARC));
    const samples = sampleShot(scene);
    const subject = subjectInFrame(samples, scene);
    const points = scattered(4000);
    const { near, far } = siteMotion(samples, everywhere(points), subject.depthM, subject.rightwards, subject.upwards);
    for (const i of [1, 40, 96, 150]) {
      const [now, before] = [threeAt(samples, i), threeAt(samples, i - 1)];
      for (const [layer, inLayer] of [
        [near, (depth: number) => depth < subject.depthM[i] * NEAR_SHARE],
        [far, (depth: number) => depth > subject.depthM[i] * FAR_SHARE],
      ] as const) {
        let [count, square, right] = [0, 0, 0];
        const pan = (samples.panDeg[i] * Math.PI) / 180;
        const tilt = (samples.tiltDeg[i] * Math.PI) / 180;
        for (let k = 0; k < points.count; k += 1) {
          const [x, y, z] = points.xyzM.subarray(3 * k);
          const depth =
            (x - samples.xM[i]) * Math.sin(pan) * Math.cos(tilt) +
            (y - samples.yM[i]) * Math.cos(pan) * Math.cos(tilt) +
            (z - samples.zM[i]) * Math.sin(tilt);
          const seen = threeProject(now, x, y, z);
          if (
            depth < 0.05 ||
            Math.abs(seen.u) > 0.5 ||
            Math.abs(seen.w) > samples.frameHeightMm / samples.frameWidthMm / 2 ||
            !inLayer(depth)
          )
            continue;
          const was = threeProject(before, x, y, z);
          count += 1;
          square += (seen.u - was.u) ** 2 + (seen.w - was.w) ** 2;
          right += seen.u - was.u;
        }
        expect(count).toBeGreaterThan(3);
        expect(layer.points[i]).toBe(count);
        expect(Math.abs(layer.speed[i] / samples.frameRateHz - Math.sqrt(square / count))).toBeLessThan(1e-9);
        expect(Math.abs(layer.rightwards[i] / samples.frameRateHz - right / count)).toBeLessThan(1e-9);
      }
    }
  });
  it('measured at every third row, stays near what every row says, and is the same where it is measured', () => {
    const scene = plainSetup(moved(ARC));
    const samples = sampleShot(scene);
    const { depthM, rightwards, upwards } = subjectInFrame(samples, scene);
    const points = everywhere(scattered(4000));
    const [all, some] = [1, 3].map(
      (stride) => siteMotion(samples, points, depthM, rightwards, upwards, stride).far.speed,
    );
    const most = Math.max(...all);
    for (let row = 1; row < samples.count; row += 1) expect(Math.abs(some[row] - all[row])).toBeLessThan(0.05 * most);
    for (const row of [1, 4, 40, samples.count - 1]) expect(some[row]).toBe(all[row]);
  });
  it('says nothing about a layer with nothing in it', () => {
    const scene = plainSetup(moved(ARC));
    const samples = sampleShot(scene);
    const subject = subjectInFrame(samples, scene);
    const behind = pointsOf([0], [-60], [1]);
    const { near, far } = siteMotion(samples, everywhere(behind), subject.depthM, subject.rightwards, subject.upwards);
    expect(Number.isNaN(near.speed[50])).toBe(true);
    expect(far.points[50]).toBe(0);
  });
  it('is nothing in a locked-off shot of a still site', () => {
    const scene = plainSetup(moved({ ...ARC, sweepDeg: 0 }));
    const samples = sampleShot(scene);
    const subject = subjectInFrame(samples, scene);
    const { near, far } = siteMotion(
      samples,
      everywhere(scattered(4000)),
      subject.depthM,
      subject.rightwards,
      subject.upwards,
    );
    for (const column of [near.speed, far.speed, far.againstSubject]) for (const value of column) expect(value).toBe(0);
    expect(Math.max(...subject.speed)).toBe(0);
  });
  it('compares with the subject by vectors: a subject that moves with the far layer has no parallax against it', () => {
    const scene = plainSetup(moved(ARC));
    const samples = sampleShot(scene);
    const { depthM } = subjectInFrame(samples, scene);
    const one = pointsOf([0], [25], [2]);
    const still = new Float64Array(samples.count);
    const plain = siteMotion(samples, everywhere(one), depthM, still, still);
    const against = siteMotion(samples, everywhere(one), depthM, plain.far.rightwards, plain.far.upwards);
    for (let i = 1; i < samples.count; i += 1)
      if (plain.far.points[i]) expect(against.far.againstSubject[i]).toBeLessThan(1e-6);
  });
});

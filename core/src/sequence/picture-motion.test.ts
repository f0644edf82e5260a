import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { type Move } from '../model';
import { shotOf, shootOf, whip } from '../testing/joined';
import { demoShoot } from '../testing/demo';
import { threeCameraAt } from '../testing/three-camera';
import { pictureMotion, tell } from '.';

const demo = demoShoot();

describe('motion of the whole picture', () => {
  it.each(['shot-whip', 'shot-cut-spin', 'shot-pavilion', 'shot-spiral', 'shot-helix', 'shot-taste', 'shot-bar'])(
    '%s: is what three.js sees it do to a plane of points',
    (id) => {
      const { samples } = tell(demo, demo.shots.find((shot) => shot.id === id) ?? demo.shots[0]);
      const depthM = 9;
      for (const share of [0.1, 0.3, 0.5, 0.52, 0.7]) {
        const from = Math.floor(share * (samples.count - 3));
        const to = from + 2;
        const motion = pictureMotion(samples, from, to, () => depthM);
        const [one, other] = [threeCameraAt(samples, from), threeCameraAt(samples, to)];
        const forS = samples.screenS[to] - samples.screenS[from];
        const away = new Vector3();
        one.getWorldDirection(away);
        const sums = { n: 0, right: 0, up: 0, along: 0, across: 0, spread: 0 };
        for (const u of [-0.375, -0.125, 0.125, 0.375])
          for (const v of [-0.3, 0, 0.3]) {
            const ray = new Vector3(2 * u, 2 * v, 0.5).unproject(one).sub(one.position);
            const seen = ray
              .multiplyScalar(depthM / ray.dot(away))
              .add(one.position)
              .project(other);
            const w = v / one.aspect;
            const [du, dw] = [seen.x / 2 - u, seen.y / 2 / other.aspect - w];
            sums.n += 1;
            sums.right += du;
            sums.up += dw;
            sums.along += u * du + w * dw;
            sums.across += w * du - u * dw;
            sums.spread += u * u + w * w;
          }
        const [grown, turned] = [1 + sums.along / sums.spread, sums.across / sums.spread];
        expect(motion.rightwards).toBeCloseTo(sums.right / sums.n / forS, 6);
        expect(motion.upwards).toBeCloseTo(sums.up / sums.n / forS, 6);
        expect(motion.turnDegps).toBeCloseTo((Math.atan2(turned, grown) * 180) / Math.PI / forS, 4);
        expect(motion.growth).toBeCloseTo(Math.log(Math.hypot(turned, grown)) / forS, 6);
      }
    },
  );
  it('goes against a pan, as fast as the lens makes it', () => {
    const shot = whip('w', 80, 1);
    const { samples } = tell(shootOf([shot]), shot);
    const perS = ((samples.panDeg[12] - samples.panDeg[10]) / 2) * samples.frameRateHz * (Math.PI / 180);
    const motion = pictureMotion(samples, 10, 12, () => 1000);
    // In the middle a turn of a radian is the focal length; off the middle it is more, by the secant squared.
    const middle = (perS * samples.focalLengthMm[10]) / samples.frameWidthMm;
    expect(-motion.rightwards / middle).toBeGreaterThan(1);
    expect(-motion.rightwards / middle).toBeLessThan(1.15);
  });
  it('a roll turns the picture the other way, as fast; a zoom grows it by its logarithm', () => {
    const roll = shotOf('r', { kind: 'roll', fromDeg: 0, toDeg: 60 } as Move);
    const { samples } = tell(shootOf([roll]), roll);
    const rolled = (samples.rollDeg[21] - samples.rollDeg[20]) * samples.frameRateHz;
    expect(pictureMotion(samples, 20, 21, () => 50).turnDegps).toBeCloseTo(-rolled, 6);
    const still = shotOf('z', { kind: 'still' });
    const zoomed = tell(shootOf([still]), still).samples;
    const longer = { ...zoomed, cameras: zoomed.cameras.slice(), focalLengthMm: zoomed.focalLengthMm.slice() };
    for (let k = 0; k < 8; k += 1) longer.cameras[12 + k] = zoomed.cameras[k] * 1.1;
    for (let k = 8; k < 12; k += 1) longer.cameras[12 + k] = zoomed.cameras[k];
    expect(pictureMotion(longer, 0, 1, () => 20).growth).toBeCloseTo(Math.log(1.1) * zoomed.frameRateHz, 6);
  });
});

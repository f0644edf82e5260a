import fc from 'fast-check';
import { PerspectiveCamera } from 'three';
import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT } from '../model';
import { threeCamera, threeProject } from '../testing/three-camera';
import { angleOfViewDeg, frameSizeMm, recordedWidthPx } from './angle-of-view';
import { heldFocalLengthMm, throughLens } from './held-zoom';
import { CAMERA_SIZE, project, writeCamera } from './projection';
import { exposureTimeS } from './shutter';

describe('angle of view', () => {
  // Rectilinear lens, 2 atan(w / 2f); the second opinion is three.js.
  it.each([
    [16, 96.73],
    [24, 73.74],
    [35, 54.43],
    [50, 39.6],
    [70, 28.84],
    [135, 15.19],
  ])('of %d mm across 36 mm is %d°', (focalLengthMm, deg) => {
    expect(angleOfViewDeg(36, focalLengthMm)).toBeCloseTo(deg, 2);
    const camera = new PerspectiveCamera();
    camera.filmGauge = 36;
    camera.aspect = 1;
    camera.setFocalLength(focalLengthMm);
    expect(angleOfViewDeg(36, focalLengthMm)).toBeCloseTo(camera.getEffectiveFOV(), 9);
  });
});

describe('the frame on the sensor', () => {
  const [fullFrame] = DEFAULT_KIT.cameras;
  it('takes the full width for a wide delivery and cuts top and bottom', () => {
    const frame = frameSizeMm(fullFrame, { widthPx: 3840, heightPx: 2160 });
    expect(frame.widthMm).toBeCloseTo(36, 1);
    expect(frame.widthMm / frame.heightMm).toBeCloseTo(16 / 9, 9);
  });
  it('takes the full recorded height for an upright delivery', () => {
    const frame = frameSizeMm(fullFrame, { widthPx: 1080, heightPx: 1920 });
    expect(frame.heightMm).toBeCloseTo((36 * 3376) / 6000, 6);
    expect(frame.widthMm / frame.heightMm).toBeCloseTo(9 / 16, 9);
    expect(recordedWidthPx(fullFrame, { widthPx: 1080, heightPx: 1920 })).toBeCloseTo((3376 * 9) / 16, 3);
  });
});

describe('shutter', () => {
  // t = angle / (360 fps)
  it('of 180° at 24 is 1/48 s, at 6 it is 1/12 s', () => {
    expect(exposureTimeS(180, 24)).toBeCloseTo(1 / 48, 12);
    expect(exposureTimeS(180, 6)).toBeCloseTo(1 / 12, 12);
  });
});

describe('held zoom', () => {
  it('follows distance, and enlarges what the lens does not reach', () => {
    expect(heldFocalLengthMm(35, 6, 3)).toBe(70);
    const lens = DEFAULT_KIT.lenses[1];
    expect(throughLens(105, lens)).toEqual({ effectiveMm: 105, crop: 1.5 });
    expect(throughLens(12, lens)).toEqual({ effectiveMm: 24, crop: 1 });
    expect(throughLens(50, lens)).toEqual({ effectiveMm: 50, crop: 1 });
  });
});

const angle = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
const pose = fc.record({
  xM: angle(50),
  yM: angle(50),
  zM: angle(20),
  panDeg: angle(360),
  tiltDeg: angle(89),
  rollDeg: angle(180),
  focalLengthMm: fc.double({ min: 8, max: 200, noNaN: true }),
  frameWidthMm: fc.constantFrom(36, 23.5, 17.3),
});

describe('projection', () => {
  it('agrees with three.js to 1e-9 of a frame width over random poses', () => {
    fc.assert(
      fc.property(
        pose,
        angle(0.45),
        angle(0.2),
        fc.double({ min: 0.5, max: 80, noNaN: true }),
        (given, u, w, depthM) => {
          const camera = new Float64Array(CAMERA_SIZE);
          writeCamera(
            camera,
            0,
            given.xM,
            given.yM,
            given.zM,
            given.panDeg,
            given.tiltDeg,
            given.rollDeg,
            given.focalLengthMm,
            given.frameWidthMm,
          );
          // A point that lies in the picture: from the camera's own axes.
          const scale = (given.frameWidthMm / given.focalLengthMm) ** 2 * depthM;
          const at = (axis: number) =>
            camera[axis] * u * scale + camera[4 + axis] * w * scale + camera[8 + axis] * depthM;
          const [xM, yM, zM] = [given.xM + at(0), given.yM + at(1), given.zM + at(2)];
          const ours = project(camera, 0, xM, yM, zM, { u: 0, w: 0, depthM: 0 });
          const theirs = threeProject(
            threeCamera({ ...given, frameHeightMm: (given.frameWidthMm * 9) / 16 }),
            xM,
            yM,
            zM,
          );
          expect(Math.abs(ours.u - theirs.u)).toBeLessThan(1e-9);
          expect(Math.abs(ours.w - theirs.w)).toBeLessThan(1e-9);
          expect(ours.u).toBeCloseTo(u, 8);
          expect(ours.depthM).toBeCloseTo(depthM, 8);
        },
      ),
      { numRuns: 400 },
    );
  });

  it('turns the picture anticlockwise when the camera rolls clockwise', () => {
    const camera = new Float64Array(CAMERA_SIZE);
    writeCamera(camera, 0, 0, 0, 0, 0, 0, 30, 36, 36);
    const above = project(camera, 0, 0, 10, 1, { u: 0, w: 0, depthM: 0 });
    expect(above.u).toBeLessThan(0);
    expect(above.w).toBeGreaterThan(0);
  });
});

import { plannedFilm, sampleShot } from '@gentle-arc/core/motion';
import { PerspectiveCamera, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { newPiece, newShoot, newShot, type Shot } from '@gentle-arc/core/model';
import { sceneOf } from '@gentle-arc/core/scene';
import { blurDiscMm } from '@gentle-arc/core/optics';
import {
  focusPlaneM,
  layerFigures,
  lookOfMany,
  measurePicture,
  momentAt,
  openingRadiusM,
  openRows,
} from '@gentle-arc/core/image';
import { lookPast, nudge, standAt } from './through-lens';

/** A figure 4 m before the camera on its axis, seen through 85 mm. */
function taken(more: Partial<Shot>) {
  const shoot = newShoot('s', 'S', 'one');
  const pieces = [newPiece('figure', 'figure', 'Ansa', 0, 0, 0)];
  const base = newShot(shoot.kit, 'one', 'One', 'figure');
  const move = {
    kind: 'still' as const,
    pivotEastM: 0,
    pivotNorthM: 0,
    heightM: pieces[0].heightM / 2,
    distanceM: 4,
    bearingDeg: 180,
  };
  const shot = {
    ...base,
    move,
    lensId: 'lens-moss-85',
    focalLengthMm: 85,
    fNumber: 1.8,
    rigId: 'rig-tripod',
    gaitId: 'gait-stand',
    ...more,
  };
  const scene = sceneOf({ ...shoot, site: { pieces, place: null, underlays: [] }, shots: [shot] }, shot);
  return { scene, samples: sampleShot(scene) };
}

const LOOKS = 400;
const WIDTH_PX = 1920;

/**
 * Draws a point of light through every look of one frame onto a line of pixels, as the picture is laid together; how
 * many pixels it lights, from first to last.
 */
function drawn(
  { scene, samples }: ReturnType<typeof taken>,
  row: number,
  at: (share: number) => Vector3,
  blur: { lens: boolean; motion: boolean },
): number {
  const camera = new PerspectiveCamera();
  camera.rotation.order = 'YXZ';
  const lit = new Set<number>();
  for (let k = 0; k < LOOKS; k += 1) {
    const look = lookOfMany(k, LOOKS);
    standAt(camera, momentAt(samples, blur.motion ? row + look.share * openRows(scene, samples, row) : row), samples);
    const planeM = focusPlaneM(samples, row, (scene.subject?.heightM ?? 0) / 2);
    if (blur.lens) {
      const radiusM = openingRadiusM(samples.focalLengthMm[row], scene.shot.fNumber, planeM);
      lookPast(camera, look.x * radiusM, look.y * radiusM, planeM);
    }
    camera.updateMatrixWorld();
    lit.add(Math.floor(((at(look.share).project(camera).x + 1) / 2) * WIDTH_PX));
  }
  return Math.max(...lit) - Math.min(...lit) + 1;
}

describe('the picture through the lens, drawn with three.js', () => {
  it('blurs a point by the true disc of the thin-lens formula (S. F. Ray, from memory), and not at all in the plane of sharpness', () => {
    const film = taken({});
    for (const distanceM of [1.2, 2.5, 4, 7, 30]) {
      const point = () => new Vector3(0, film.samples.zM[0], 4 - distanceM);
      const expectedPx = (blurDiscMm(85, 1.8, 4, distanceM) / film.samples.frameWidthMm) * WIDTH_PX;
      expect(
        Math.abs(drawn(film, 0, point, { lens: true, motion: false }) - expectedPx),
        `${distanceM} m`,
      ).toBeLessThan(2 + expectedPx * 0.04);
    }
  });
  it('smears what moves while the shutter is open by as many pixels as the reading says', () => {
    const slide = {
      kind: 'slide' as const,
      pivotEastM: 0,
      pivotNorthM: 0,
      heightM: 0.85,
      distanceM: 4,
      bearingDeg: 180,
      travelM: 3,
      skewDeg: 0,
    };
    const aim = { mode: 'locked' as const, place: { u: 0, v: 0 }, smoothingS: 0, deadBandDeg: 0, rateMaxDegps: 360 };
    for (const shutterDeg of [90, 180, 360]) {
      const film = taken({
        move: slide,
        aim,
        shutterDeg,
        timing: {
          durationS: 4,
          holdStartS: 0,
          featherInS: 0,
          featherOutS: 0,
          holdEndS: 0,
          featherShape: 'minimumJerk',
        },
      });
      const said = layerFigures(measurePicture(plannedFilm(film.scene), 'metric')).find(
        ({ layer }) => layer === 'subject',
      );
      const expectedPx = (said?.blurShare ?? 0) * WIDTH_PX;
      expect(expectedPx).toBeGreaterThan(3);
      const middle = film.samples.count >> 1;
      expect(
        Math.abs(drawn(film, middle, () => new Vector3(0, 0.85, 0), { lens: false, motion: true }) - expectedPx),
        `${shutterDeg}°`,
      ).toBeLessThan(1.6);
    }
  });
  it('spreads its looks evenly: over the opening about the middle, over the time about half of it', () => {
    const looks = Array.from({ length: 64 }, (_, k) => lookOfMany(k, 64));
    const mean = (value: (look: (typeof looks)[number]) => number) =>
      looks.reduce((sum, look) => sum + value(look), 0) / looks.length;
    expect(Math.abs(mean(({ x }) => x))).toBeLessThan(0.03);
    expect(Math.abs(mean(({ y }) => y))).toBeLessThan(0.03);
    expect(mean(({ share }) => share)).toBeCloseTo(0.5, 1);
    expect(mean(({ x, y }) => x * x + y * y)).toBeCloseTo(0.5, 2);
    for (const { share, pixelX, pixelY } of looks)
      expect(share >= 0 && share < 1 && Math.abs(pixelX) <= 0.5 && Math.abs(pixelY) <= 0.5).toBe(true);
  });
  it('nudges the whole picture alike, however deep things lie', () => {
    const camera = new PerspectiveCamera();
    standAt(camera, momentAt(taken({}).samples, 0), taken({}).samples);
    camera.updateMatrixWorld();
    const points = [new Vector3(0.3, 1, 3), new Vector3(-2, 0, -20)];
    const before = points.map((point) => point.clone().project(camera).x);
    nudge(camera, 0.01, 0);
    points.forEach((point, i) => expect(point.clone().project(camera).x - before[i]).toBeCloseTo(-0.01, 9));
  });
});

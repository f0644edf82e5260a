import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT } from '../model';
import { plannedFilm } from '../motion';
import { project, writeCamera, CAMERA_SIZE } from '../optics';
import { AROUND, HELD, moved, plainSetup } from '../testing/shoots';
import { twoFilmsOf } from './two-films';

const widest = { ...DEFAULT_KIT.lenses[0], focalLengthMinMm: 1, focalLengthMaxMm: 3000 };
const film = (fromDistanceM: number, toDistanceM: number, subjectPart = 'whole') =>
  plannedFilm({
    ...plainSetup(
      moved(
        { kind: 'dollyZoom', ...HELD, ...AROUND, heightM: 0.85, fromDistanceM, toDistanceM, bearingDeg: 180 },
        { focalLengthMm: 30, subjectPart },
      ),
    ),
    lens: widest,
  });

describe('a dolly zoom from two films', () => {
  it('zooms the background as the real move shows it at that depth, by projection', () => {
    const found = twoFilmsOf(film(3, 6), 40);
    // A bar 2 m wide that stands 40 m behind her, through the real camera at both ends.
    const wide = (distanceM: number, focalLengthMm: number) => {
      const camera = new Float64Array(CAMERA_SIZE);
      writeCamera(camera, 0, 0, 0, 1, 0, 0, 0, focalLengthMm, 36);
      const at = (xM: number) => project(camera, 0, xM, distanceM + 40, 1, { u: 0, w: 0, depthM: 0 }).u;
      return at(1) - at(-1);
    };
    expect(found?.background.times).toBeCloseTo(wide(6, 60) / wide(3, 30), 5);
    expect(found?.background.times).toBeCloseTo((2 * 43) / 46, 5);
    expect(found?.person).toMatchObject({ focalLengthMm: 30 });
    expect(found?.person.distanceM).toBeCloseTo(3, 6);
    // Her feet stand at 0, whatever of her the shot is after; 1.7 m at 3 m through 30 mm on 20.25 mm.
    expect(found?.person.lensHeightM).toBeCloseTo(0.85, 9);
    expect(found?.person.heightShare).toBeCloseTo((1.7 * 30) / 3 / 20.25, 6);
    expect(twoFilmsOf(film(3, 6, 'face'), 40)?.person.lensHeightM).toBeGreaterThan(0.84);
    expect(twoFilmsOf(film(3, 6, 'face'), 40)?.person.heightShare).toBeLessThan(0.3);
  });
  it('is none where nothing is zoomed', () => {
    expect(twoFilmsOf(film(4, 4.01), 30)).toBeNull();
  });
});

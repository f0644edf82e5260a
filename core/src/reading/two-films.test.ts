import { describe, expect, it } from 'vitest';
import { DEFAULT_KIT } from '../model';
import { plannedFilm } from '../motion';
import { project, writeCamera, CAMERA_SIZE } from '../optics';
import { AROUND, HELD, moved, plainSetup } from '../testing/shoots';
import { twoFilmsOf } from './two-films';

const widest = { ...DEFAULT_KIT.lenses[0], focalLengthMinMm: 1, focalLengthMaxMm: 3000 };
const film = (fromDistanceM: number, toDistanceM: number) =>
  plannedFilm({
    ...plainSetup(
      moved(
        { kind: 'dollyZoom', ...HELD, ...AROUND, heightM: 0.85, fromDistanceM, toDistanceM, bearingDeg: 180 },
        { focalLengthMm: 30 },
      ),
    ),
    lens: widest,
  });

describe('a dolly zoom from two films', () => {
  it('zooms the background as the real move shows it at that depth, by projection', () => {
    const { samples } = film(3, 6);
    const found = twoFilmsOf({ samples }, 1.2, 0.5, 40);
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
  });
  it('is none where nothing is zoomed', () => {
    expect(twoFilmsOf(film(4, 4.01), 1, 0.5, 30)).toBeNull();
  });
});

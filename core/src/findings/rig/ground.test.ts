import { describe, expect, it } from 'vitest';
import { newPiece, type Piece } from '../../model';
import { readShot } from '../../reading';
import { AROUND, moved, plainShoot } from '../../testing/shoots';

/** Ground that rises evenly by so many per cent towards the east. */
const rising = (percent: number): Piece => ({
  ...newPiece('terrain', 'hill', 'Hill', 0, 0, 0),
  ...{ lengthM: 60, depthM: 60, heightM: 0.6 * percent, headingDeg: 0, columns: 2, levels: [0, 1, 0, 1] },
});
/** What is said of the slope when a camera slides two metres east over it. */
function slope(percent: number, rigId: string) {
  const slide = { kind: 'slide' as const, ...AROUND, distanceM: 4, bearingDeg: 180, travelM: 2, skewDeg: 0 };
  const figure = { ...newPiece('figure', 'figure', 'Ansa', 0, 0, 0), zM: 0.3 * percent };
  const shoot = plainShoot(moved(slide, { rigId }), [rising(percent), figure]);
  return readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'rig.slope');
}

describe('the slope of the ground', () => {
  it('is that of a hill of heights, for wheels and for feet', () => {
    // Twenty in a hundred are 11.31°, fifty are 26.57° (arctangent).
    expect(slope(20, 'rig-board')?.value).toBeCloseTo(11.31, 1);
    expect(slope(20, 'rig-board')?.grade).toBe('cannot');
    expect(slope(50, 'rig-gimbal')?.value).toBeCloseTo(26.57, 1);
    expect(slope(5, 'rig-board')).toBeUndefined();
  });
  it('under a rail is told with how much has to be propped', () => {
    const rail = slope(20, 'rig-slider-240');
    expect(rail?.grade).toBe('tight');
    expect(rail?.sentence).toMatch(/^The ground under the rail rises by 0\.4 m from end to end \(11\.?\d*°\): prop/);
    expect(slope(5, 'rig-slider-240')).toBeUndefined();
  });
});

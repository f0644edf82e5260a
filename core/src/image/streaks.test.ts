import { describe, expect, it } from 'vitest';
import { filmed, usual } from '../testing/filmed';
import { HELD_STILL } from '../testing/shoots';
import { streaker } from './streaks';

const TIMING = {
  durationS: 10,
  holdStartS: 0,
  featherInS: 0,
  featherOutS: 0,
  holdEndS: 0,
  featherShape: 'minimumJerk' as const,
};

describe('streaks', () => {
  it('of a steady pan to the right run to the left, about as far as it turns meanwhile', () => {
    const { scene, samples } = filmed({ ...usual('pan'), fromDeg: -10, toDeg: 10 }, { ...HELD_STILL, timing: TIMING });
    const streaks = streaker(scene, samples)(120, 'far');
    expect(streaks.length).toBeGreaterThan(5);
    // 2° a second for 0.4 s on a frame as wide as it is far: at least tan 0.8°, a little more off the axis.
    const least = Math.tan((0.8 * Math.PI) / 180);
    for (const { fromU, toU } of streaks) {
      expect(fromU - toU).toBeGreaterThan(least * 0.95);
      expect(fromU - toU).toBeLessThan(least * 1.35);
    }
  });
  it('stay in their layer, and are none in a locked-off shot', () => {
    const { scene, samples } = filmed(usual('still'), { timing: TIMING });
    for (const layer of ['near', 'far'] as const)
      for (const { fromU, fromV, toU, toV } of streaker(scene, samples)(20, layer))
        expect([toU, toV]).toEqual([fromU, fromV]);
    const slide = filmed({ ...usual('slide'), travelM: 2 }, { timing: TIMING });
    const mean = (layer: 'near' | 'far') => {
      const streaks = streaker(slide.scene, slide.samples)(120, layer);
      return (
        streaks.reduce((sum, { fromU, fromV, toU, toV }) => sum + Math.hypot(toU - fromU, toV - fromV), 0) /
        streaks.length
      );
    };
    expect(mean('near')).toBeGreaterThan(0.005);
  });
});

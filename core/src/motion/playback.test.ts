import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readShot } from '../reading';
import { num } from '../testing/any-move';
import { filmed, usual } from '../testing/filmed';
import { lengthOnScreenS, playingOf } from './playback';
import { mostRepeats, rowAt } from './shown';

const plain = {
  captureRateHz: 120,
  frameRateHz: 24,
  playback: { reversed: false, ramp: [] as { atS: number; speed: number }[] },
};
const ramped = (ramp: { atS: number; speed: number }[], reversed = false) => ({
  ...plain,
  playback: { reversed, ramp },
});
const anyRamp = fc
  .array(fc.record({ gapS: num(0.1, 4), speed: num(0.05, 8) }), { maxLength: 5 })
  .map((rows) =>
    rows.reduce<{ atS: number; speed: number }[]>(
      (ramp, { gapS, speed }) => [...ramp, { atS: (ramp[ramp.length - 1]?.atS ?? -0.1) + gapS, speed }],
      [],
    ),
  );

describe('how a shot is played', () => {
  it('without a ramp takes as much longer as more frames are recorded than shown', () => {
    expect(playingOf(plain, 4).lengthS).toBeCloseTo(20, 9);
    expect(playingOf(plain, 4).slowAt(1)).toBeCloseTo(5, 12);
  });
  it('takes ln(v₁/v₀) / gain while the speed changes evenly', () => {
    // From life to a quarter within 2 s: ∫ dt / (1 − 0.375 t) = ln 4 / 0.375.
    const playing = playingOf(
      ramped([
        { atS: 0, speed: 1 },
        { atS: 2, speed: 0.25 },
      ]),
      3,
    );
    expect(playing.screenAt(2)).toBeCloseTo(Math.log(4) / 0.375, 9);
    expect(playing.lengthS).toBeCloseTo(Math.log(4) / 0.375 + 4, 9);
  });
  it('agrees with an integration by small steps, leads there and back, and never stands still', () => {
    fc.assert(
      fc.property(anyRamp, num(0.5, 12), num(0, 1), fc.boolean(), (ramp, durationS, share, reversed) => {
        const playing = playingOf(ramped(ramp, reversed), durationS);
        const tS = share * durationS;
        expect(playing.actionAt(playing.screenAt(tS))).toBeCloseTo(tS, 6);
        const steps = 4000;
        let sum = 0;
        for (let i = 0; i < steps; i += 1) sum += (playing.slowAt(((i + 0.5) * durationS) / steps) * durationS) / steps;
        // As near as 4,000 steps come to a ramp that is over within a few of them.
        expect(Math.abs(sum / playing.lengthS - 1)).toBeLessThan(0.003);
        const later = playing.screenAt(Math.min(durationS, tS + 0.01)) - playing.screenAt(tS);
        if (tS + 0.01 < durationS) expect(Math.sign(later)).toBe(reversed ? -1 : 1);
      }),
      { numRuns: 60 },
    );
  });
  it('shows the same in half the time at twice the speed, and screen speeds double', () => {
    const at = (speed: number) =>
      filmed(usual('slide'), {
        captureRateHz: 24,
        frameRateHz: 24,
        playback: { reversed: false, ramp: [{ atS: 0, speed }] },
      });
    const [once, twice] = [at(1), at(2)];
    expect(lengthOnScreenS(twice.scene.shot)).toBeCloseTo(lengthOnScreenS(once.scene.shot) / 2, 9);
    const near = ({ shoot }: ReturnType<typeof at>) => {
      const speeds = readShot(shoot, shoot.shots[0]).picture.subject.speed.filter((value) => !Number.isNaN(value));
      return Math.max(...speeds);
    };
    expect(near(twice)).toBeCloseTo(2 * near(once), 2);
  });
  it('in reverse begins where the move ended, while the rig goes as it was planned', () => {
    const [forth, back] = [filmed(usual('push')), filmed(usual('push'), { playback: { reversed: true, ramp: [] } })];
    expect(back.samples.subjectDistanceM[0]).toBeCloseTo(forth.samples.subjectDistanceM[forth.last], 9);
    expect(rowAt(back.samples, 0)).toBe(back.last);
    const rig = ({ shoot }: typeof back) =>
      readShot(shoot, shoot.shots[0]).findings.find(({ id }) => id === 'rig.speed')?.value;
    expect(rig(back)).toBe(rig(forth));
  });
  it('counts for how many frames each recorded one is shown', () => {
    const { samples } = filmed(usual('slide'), {
      captureRateHz: 6,
      frameRateHz: 24,
      playback: { reversed: false, ramp: [{ atS: 0, speed: 1 }] },
    });
    expect(mostRepeats(samples)).toBeCloseTo(4, 9);
  });
});

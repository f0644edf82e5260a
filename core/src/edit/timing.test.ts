import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TimingSchema, type Timing } from '../model';
import { mostOfPart, withTiming, type TimingPart } from './timing';

const PARTS: TimingPart[] = ['durationS', 'holdStartS', 'featherInS', 'featherOutS', 'holdEndS'];
const START: Timing = {
  durationS: 8,
  holdStartS: 0.5,
  featherInS: 1.5,
  featherOutS: 1.5,
  holdEndS: 0.5,
  featherShape: 'minimumJerk',
};

describe('a timing that is typed part by part', () => {
  it('stays in order whatever is typed within what each part may be, and the part is what was typed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...PARTS), fc.double({ min: 0, max: 1, noNaN: true })), { maxLength: 12 }),
        (steps) => {
          let timing = START;
          for (const [part, share] of steps) {
            const least = part === 'durationS' ? 0.2 : 0;
            const valueS = least + share * (mostOfPart(timing, part) - least);
            timing = withTiming(timing, part, valueS);
            expect(TimingSchema.safeParse(timing).success, JSON.stringify(timing)).toBe(true);
            expect(timing[part]).toBe(valueS);
          }
        },
      ),
    );
  });
  it('a hold of three hundred seconds lengthens the whole; two of them and feathers leave no more than there is', () => {
    expect(withTiming(START, 'holdStartS', 300).durationS).toBe(303.5);
    const long = { ...START, durationS: 86_400, holdStartS: 43_200, featherInS: 43_190 };
    expect(mostOfPart(long, 'holdEndS')).toBeCloseTo(8.5, 9);
  });
});

import { describe, expect, it } from 'vitest';
import type { Finding, FindingId } from '../findings';
import { readingVerdict } from './verdict';

const finding = (id: FindingId, grade: Finding['grade']): Finding => ({
  id,
  grade,
  sentence: '',
  reason: '',
  screenS: 0,
  value: 0,
  limit: 0,
  unit: '',
  said: '',
  measure: '',
});

describe('the whole reading in a few words', () => {
  it('counts what has to be mended before what is only to be looked at', () => {
    expect(readingVerdict([finding('stop', 'calm'), finding('rig.pan', 'fits')])).toEqual({
      grade: 'calm',
      text: 'Reads smoothly',
    });
    expect(readingVerdict([finding('stop', 'ripple'), finding('rig.pan', 'tight')])).toEqual({
      grade: 'ripple',
      text: 'Nearly: 2 things to look at',
    });
    expect(readingVerdict([finding('stop', 'jolt'), finding('rig.pan', 'ripple')])).toEqual({
      grade: 'jolt',
      text: 'Will not work yet: 1 thing to mend',
    });
    expect(readingVerdict([finding('stop', 'cannot'), finding('rig.pan', 'jolt')]).text).toBe(
      'Will not work yet: 2 things to mend',
    );
  });
});

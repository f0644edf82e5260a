import { describe, expect, it } from 'vitest';
import type { Finding } from '@gentle-arc/core/findings/finding';
import { aboutOf } from './about';
import { verdictOf } from './verdict';

const finding = (id: string, grade: Finding['grade']): Finding => ({
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

describe('what a finding is about', () => {
  it('is near, far, all that stands still, the subject, or the frame', () => {
    expect(
      ['speed.near', 'speed.far', 'stop', 'even.picture', 'size', 'focus.sharp', 'lookRoom', 'rig.height', 'empty'].map(
        aboutOf,
      ),
    ).toEqual(['near', 'far', 'layers', 'layers', 'subject', 'subject', 'subject', 'frame', 'frame']);
  });
});

describe('the whole reading in a few words', () => {
  it('counts what has to be mended before what is only to be looked at', () => {
    expect(verdictOf([finding('a', 'calm'), finding('b', 'fits')])).toEqual({ grade: 'calm', text: 'Reads smoothly' });
    expect(verdictOf([finding('a', 'ripple'), finding('b', 'tight')])).toEqual({
      grade: 'ripple',
      text: 'Nearly: 2 things to look at',
    });
    expect(verdictOf([finding('a', 'jolt'), finding('b', 'ripple')])).toEqual({
      grade: 'jolt',
      text: 'Will not work yet: 1 thing to mend',
    });
    expect(verdictOf([finding('a', 'cannot'), finding('b', 'jolt')]).text).toBe('Will not work yet: 2 things to mend');
  });
});

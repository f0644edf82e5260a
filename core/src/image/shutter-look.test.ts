import { describe, expect, it } from 'vitest';
import { limitsOf } from '../model';
import { shutterLook } from './shutter-look';

const limits = limitsOf({});
const look = (shutterDeg: number, fastest: number, subjectBlur = 0) =>
  shutterLook({ shutterDeg, frameRateHz: 24 }, { fastest, subjectBlur }, limits);

describe('what a shutter does to motion', () => {
  it('short, and quick motion turns hard; slow motion does not show it', () => {
    expect([look(30, 0.2), look(30, 0.01), look(180, 0.2)]).toEqual(['short', 'fine', 'fine']);
  });
  it('long, when the subject itself smears', () => {
    expect(look(180, 0.2, limits.subjectBlur * 1.01)).toBe('long');
    expect(look(180, 0.2, limits.subjectBlur)).toBe('fine');
  });
});

import { describe, expect, it } from 'vitest';
import { sideOfLight, sideWords } from './side';

/** The camera stands south of her and looks north; suns are put by hand. */
const CAMERA_DEG = 180;
const lit = (sunDeg: number, high = 25) => sideWords(sideOfLight(sunDeg, CAMERA_DEG), high);

describe('from which side she is lit', () => {
  it('is told as it looks in the picture, for suns put by hand', () => {
    expect(lit(180)).toBe('from the front');
    expect(lit(220)).toBe('three-quarter from the left');
    expect(lit(140)).toBe('three-quarter from the right');
    // West of her is left of a picture that looks north.
    expect(lit(270)).toBe('from the left');
    expect(lit(90)).toBe('from the right');
    expect(lit(310)).toBe('as a rim from the left');
    expect(lit(50)).toBe('as a rim from the right');
    expect(lit(0)).toBe('from behind');
    expect(lit(350, 8)).toBe('from behind, low');
    expect(lit(90, 45)).toBe('from the right, high');
    expect(lit(90, 70)).toBe('from above');
  });
  it('turns with the camera and does not care where north is counted from', () => {
    for (let turn = -720; turn <= 720; turn += 45)
      expect(sideOfLight(100 + turn, 40 + turn)).toMatchObject({ side: 'side', from: 'left', turnDeg: 60 });
  });
});

import { describe, expect, it } from 'vitest';
import { newPiece, problemsIn, type Shoot, stagedPieces, WHOLE } from '../model';
import { plainPieces, plainShoot } from '../testing/shoots';
import { duplicateShot } from './shots';
import { movePiece, removePiece, turnPiece } from './pieces';
import { putOn } from './put-on';
import { asOnSite, bringOrLeave, stagePiece } from './staging';
import { takeSubject } from './subject';

const bike = { ...newPiece('bicycle', 'bike', 'Bike', 4, 2, 0), headingDeg: 0 };
const rider = newPiece('figure', 'rider', 'Rider', 9, 9, 0);
const site = (): Shoot => {
  const shoot = plainShoot((shot) => shot, [...plainPieces(), bike, rider]);
  return putOn(duplicateShot(shoot, 0, 'two'), 'rider', 'bike');
};
const seen = (shoot: Shoot, shotIndex: number, id: string) =>
  stagedPieces(shoot.site.pieces, shoot.shots[shotIndex]).find((piece) => piece.id === id);
const inOrder = (shoot: Shoot) => expect(problemsIn(shoot)).toEqual([]);

describe('a piece in one shot only', () => {
  it('is moved, turned, posed and left out there, and stays elsewhere as it was', () => {
    let shoot = site();
    shoot = movePiece(shoot, 'shot-1', 'post', 2, 2, true);
    shoot = turnPiece(shoot, 'shot-1', 'post', 45, true);
    expect(seen(shoot, 0, 'post')).toMatchObject({ xM: 2, yM: 2, headingDeg: 45 });
    expect(seen(shoot, 1, 'post')).toMatchObject({ xM: -0.4, yM: -2.2 });
    // What has a place of its own in a shot is moved there, whatever is meant by default.
    expect(seen(movePiece(shoot, 'shot-1', 'post', 3, 3), 0, 'post')).toMatchObject({ xM: 3, yM: 3 });
    const without = stagePiece(shoot, 'shot-1', 'post', { there: false });
    expect(seen(without, 0, 'post')).toBeUndefined();
    expect(seen(without, 1, 'post')).toBeDefined();
    inOrder(without);
    expect(asOnSite(without, 'shot-1', 'post').shots[0].staging).toEqual([]);
  });
  it('a figure in another pose fills another box, and what it measures standing is kept', () => {
    const shoot = stagePiece(site(), 'shot-1', 'figure', { pose: 'sit' });
    expect(seen(shoot, 0, 'figure')).toMatchObject({ pose: 'sit', standing: { heightM: 1.7 } });
    expect(seen(shoot, 0, 'figure')?.heightM).toBeLessThan(1.4);
    expect(seen(shoot, 1, 'figure')?.heightM).toBe(1.7);
    inOrder(shoot);
  });
  it('the same lists give the same pieces, so that nothing is drawn again', () => {
    const shoot = stagePiece(site(), 'shot-1', 'figure', { pose: 'sit' });
    const [a, b] = [0, 0].map(() => stagedPieces(shoot.site.pieces, shoot.shots[0]));
    expect(a).toBe(b);
  });
});

describe('what stands on something', () => {
  it('takes its seat and its pose, and goes along when that is moved or turned, in all shots or in one', () => {
    const shoot = site();
    const sits = seen(shoot, 0, 'rider');
    expect(sits).toMatchObject({ on: 'bike', pose: 'ride', xM: 4, headingDeg: 0 });
    const behind = 2 - (sits?.yM ?? 0);
    expect(behind).toBeGreaterThan(0.1);
    expect(seen(movePiece(shoot, 'shot-1', 'bike', 10, 2), 1, 'rider')?.xM).toBeCloseTo(10, 2);
    const turned = seen(turnPiece(shoot, 'shot-1', 'bike', 90), 0, 'rider');
    expect(turned?.xM).toBeCloseTo(4 - behind, 2);
    expect(turned).toMatchObject({ headingDeg: 90 });
    const here = movePiece(shoot, 'shot-1', 'bike', -5, 2, true);
    expect(seen(here, 0, 'rider')?.xM).toBeCloseTo(-5, 2);
    expect(seen(here, 1, 'rider')?.xM).toBeCloseTo(4, 2);
    inOrder(here);
  });
  it('gets down again, and stays behind when what it stood on goes', () => {
    expect(seen(putOn(site(), 'rider', null), 0, 'rider')).toMatchObject({ on: null, pose: 'stand', zM: 0 });
    const gone = removePiece(site(), 'bike');
    expect(seen(gone, 0, 'rider')).toMatchObject({ on: null });
    inOrder(gone);
  });
  it('comes and goes with what it stands on', () => {
    const without = bringOrLeave(site(), 'shot-1', 'bike', false);
    expect([seen(without, 0, 'bike'), seen(without, 0, 'rider')]).toEqual([undefined, undefined]);
    expect(seen(without, 1, 'rider')).toBeDefined();
    expect(bringOrLeave(without, 'shot-1', 'bike', true).shots[0].staging).toEqual([]);
  });
  it('nothing stands on itself', () => {
    const shoot = putOn(site(), 'bike', 'rider');
    expect(problemsIn(shoot)[0].sentence).toMatch(/stands on itself in the end; put one of them on the ground/);
  });
});

describe('what a shot is about', () => {
  it('keeps its part where the new subject has it, and brings in who was left out', () => {
    const shoot = stagePiece(site(), 'shot-1', 'rider', { there: false });
    const [shot] = shoot.shots;
    const face = { ...shot, subjectPart: 'face' };
    const [, , , post] = shoot.site.pieces;
    expect(takeSubject(face, rider)).toMatchObject({ subjectId: 'rider', subjectPart: 'face' });
    expect(takeSubject(face, rider).staging[0].there).toBe(true);
    expect(takeSubject(face, post).subjectPart).toBe(WHOLE);
    inOrder({ ...shoot, shots: [takeSubject(face, rider)] });
  });
});

import { describe, expect, it } from 'vitest';
import { BODIES, newPiece, posedSize, type Figure } from '.';

describe('measures of a body', () => {
  it.each([
    ['eyes', 0.936],
    ['chin', 0.87],
    ['shoulders', 0.818],
    ['elbows', 0.63],
    ['hips', 0.53],
    ['knees', 0.285],
    ['ankles', 0.039],
    ['shoulderBreadth', 0.259],
    ['hipBreadth', 0.191],
    ['upperArm', 0.186],
    ['forearm', 0.146],
    ['hand', 0.108],
    ['foot', 0.152],
  ] as const)(
    '%s is %f of stature (Drillis & Contini 1966, as drawn in Winter, Biomechanics and Motor Control of Human Movement; from memory)',
    (measure, share) => expect(BODIES.adult[measure]).toBe(share),
  );
  it('a head is about 0.13 of a grown-up and a sixth of a child', () => {
    expect(1 - BODIES.adult.chin).toBeCloseTo(0.13, 3);
    expect(1 - BODIES.child.chin).toBeCloseTo(1 / 6, 2);
  });
  it('sitting height is about half of stature: 0.52, seat at 0.245 (NASA-STD-3000, from memory)', () => {
    const sits = { ...(newPiece('figure', 'f', 'F', 0, 0, 0) as Figure), pose: 'sit' as const };
    expect(posedSize(sits).heightM).toBeCloseTo(1.7 * (0.52 + 0.245), 6);
  });
  it('who lies is as long as they are tall, and low', () => {
    const lies = posedSize({ ...(newPiece('figure', 'f', 'F', 0, 0, 0) as Figure), pose: 'lie' });
    expect(lies.lengthM).toBe(1.7);
    expect(lies.heightM).toBeLessThan(0.36);
  });
});

import { describe, expect, it } from 'vitest';
import { newPiece } from '@gentle-arc/core/model';
import { PlacedSolids } from './placed-solids';

const table = { ...newPiece('table', 'table', 'Table', 4, 5, 1), headingDeg: 90 };

describe('solids of pieces that stand still', () => {
  it('stand where their piece stands', () => {
    const solid = new PlacedSolids(false).of(table, false);
    solid.computeBoundingBox();
    const box = solid.boundingBox;
    expect(((box?.min.x ?? 0) + (box?.max.x ?? 0)) / 2).toBeCloseTo(4, 3);
    expect(((box?.min.y ?? 0) + (box?.max.y ?? 0)) / 2).toBeCloseTo(5, 3);
    expect(box?.min.z).toBeCloseTo(1, 3);
    // It faces east: its length lies from west to east.
    expect((box?.max.x ?? 0) - (box?.min.x ?? 0)).toBeCloseTo(table.lengthM, 2);
    expect((box?.max.y ?? 0) - (box?.min.y ?? 0)).toBeCloseTo(table.depthM, 2);
  });
  it('are made once for a piece, and anew for one that was changed', () => {
    const solids = new PlacedSolids(true);
    expect(solids.of(table, false)).toBe(solids.of(table, false));
    expect(solids.of({ ...table }, false)).not.toBe(solids.of(table, false));
  });
  it('are painted otherwise where they are the subject, in the simple look only', () => {
    const paint = (isSubject: boolean) =>
      Array.from(new PlacedSolids(true).of(table, isSubject).getAttribute('paint').array);
    expect(paint(true)).not.toEqual(paint(false));
    const fine = new PlacedSolids(false);
    expect(fine.of(table, true)).toBe(fine.of(table, false));
  });
});

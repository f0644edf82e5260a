import type { BufferAttribute } from 'three';
import { PerspectiveCamera } from 'three';
import { describe, expect, it } from 'vitest';
import { newPiece, type Piece } from '@gentle-arc/core/model';
import { QuickSite } from './quick-site';
import { standingQuickly } from './quick-solids';

const HEIGHT_PX = 360;
const still = (...pieces: Piece[]) => pieces.map((piece) => ({ piece, isSubject: false }));
const corners = (piece: Piece, look: 'fine' | 'coarse') =>
  standingQuickly(piece, false)[look].getAttribute('position').count;

/** Eye-high at the middle of the site, looking north. */
function camera(): PerspectiveCamera {
  const made = new PerspectiveCamera(40, 16 / 9, 0.05, 1500);
  made.position.set(0, 1.6, 0);
  made.updateMatrixWorld();
  return made;
}

/** What is drawn: how many corners near and far, and where the first of them is on the site. */
function drawn(site: QuickSite) {
  const { geometry } = site.mesh;
  const [near, far] = geometry.groups.map(({ count }) => count);
  const position = geometry.getAttribute('position');
  const at = (i: number) => position.getY(geometry.getIndex()?.getX(i) ?? 0);
  return { near, far, at };
}

describe('all that stands still, in a hurry', () => {
  const close = newPiece('post', 'close', 'Close', 0, 4, 0);
  const beyond = newPiece('tree', 'beyond', 'Beyond', 1, 20, 0);
  const behind = newPiece('tree', 'behind', 'Behind', 0, -10, 0);
  const hill = newPiece('rock', 'hill', 'Hill', 0, 200, 0);

  it('is drawn as far as it is seen: nothing behind the camera, the nearest first', () => {
    const site = new QuickSite();
    site.place(still(beyond, behind, close));
    site.lookFrom(camera(), HEIGHT_PX);
    const { near, far, at } = drawn(site);
    expect(near + far).toBe(corners(close, 'coarse') + corners(beyond, 'coarse'));
    expect(Math.abs(at(0) - 4)).toBeLessThan(1);
    expect(at(near + far - 1)).toBeGreaterThan(10);
  });
  it('is drawn finely where it is large in the picture', () => {
    const site = new QuickSite();
    const table = newPiece('bottle', 'b', 'B', 0, 0.3, 1.5);
    site.place(still(table));
    site.lookFrom(camera(), HEIGHT_PX);
    expect(drawn(site).near).toBe(corners(table, 'fine'));
    site.lookFrom(camera(), HEIGHT_PX / 6);
    expect(drawn(site).near).toBe(corners(table, 'coarse'));
  });
  it('is drawn with haze from where there is some', () => {
    const site = new QuickSite();
    site.place(still(hill, close));
    site.lookFrom(camera(), HEIGHT_PX);
    expect(drawn(site)).toMatchObject({ near: corners(close, 'coarse'), far: corners(hill, 'coarse') });
  });
  it('changes where it was when a piece is moved, and is made anew when one comes', () => {
    const site = new QuickSite();
    site.place(still(close, beyond));
    const { geometry } = site.mesh;
    const position = geometry.getAttribute('position') as BufferAttribute;
    const moved = { ...close, yM: 9 };
    site.place(still(moved, beyond));
    expect(site.mesh.geometry).toBe(geometry);
    const touched = () => position.updateRanges.reduce((sum, { count }) => sum + count / 3, 0);
    const size = (piece: Piece) => corners(piece, 'fine') + corners(piece, 'coarse');
    expect(touched()).toBe(size(close));
    // Another that is moved before anything was drawn: both are told.
    const also = { ...beyond, yM: 25 };
    site.place(still(moved, also));
    expect(touched()).toBe(size(close) + size(beyond));
    site.lookFrom(camera(), HEIGHT_PX);
    expect(Math.abs(drawn(site).at(0) - 9)).toBeLessThan(1);
    site.place(still(moved, also, hill));
    expect(site.mesh.geometry).not.toBe(geometry);
  });
});

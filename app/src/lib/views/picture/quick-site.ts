import { BufferAttribute, BufferGeometry, Frustum, Matrix4, Mesh, type PerspectiveCamera, Sphere } from 'three';
import type { Piece } from '@gentle-arc/core/model';
import { NEAR_M, quickPiece } from './quick-look';
import { ballOf, isSmall, pixelsOfMetre, type QuickSolid, standingQuickly } from './quick-solids';

/** Where the corners of a solid begin among those of all, and how many there are. */
interface Run {
  from: number;
  count: number;
}
interface Slot {
  solid: QuickSolid;
  fine: Run;
  coarse: Run;
  /** About it, in the axes of three.js. */
  ball: Sphere;
}

const NAMES = ['position', 'normal', 'color'] as const;
const size = (solid: BufferGeometry) => solid.getAttribute('position').count;

/**
 * All that stands still on a site as one thing to draw, of which each picture is told what can be seen: nearest first,
 * and coarsely what is far. Without a graphics processor each triangle costs, and each thing to draw by itself.
 */
export class QuickSite {
  readonly mesh = new Mesh(new BufferGeometry(), [quickPiece.near, quickPiece.far]);
  private slots: Slot[] = [];
  private order = new BufferAttribute(new Uint32Array(0), 1);
  private readonly frustum = new Frustum();
  private readonly seen = new Matrix4();

  constructor() {
    // It is culled by piece.
    this.mesh.frustumCulled = false;
    this.makeRoom([]);
  }

  /** Puts these where they stand. What only changed, as a piece that is dragged, is changed where it was. */
  place(pieces: readonly { piece: Piece; isSubject: boolean }[]): void {
    const solids = pieces.map(({ piece, isSubject }) => standingQuickly(piece, isSubject));
    const alike =
      solids.length === this.slots.length &&
      solids.every(
        ({ fine, coarse }, i) => size(fine) === this.slots[i].fine.count && size(coarse) === this.slots[i].coarse.count,
      );
    if (!alike) this.makeRoom(solids);
    solids.forEach((solid, i) => {
      const slot = this.slots[i];
      if (slot.solid !== solid || !alike) this.write(slot, solid, alike);
    });
  }

  /** What can be seen from a camera in a picture of so many pixels' height. */
  lookFrom(camera: PerspectiveCamera, heightPx: number): void {
    const { frustum, order } = this;
    this.seen.multiplyMatrices(camera.projectionMatrix, camera.matrixWorldInverse);
    frustum.setFromProjectionMatrix(this.seen);
    const pixels = pixelsOfMetre(camera, heightPx);
    const inView = this.slots
      .filter(({ ball }) => frustum.intersectsSphere(ball))
      .map((slot) => ({ slot, awayM: camera.position.distanceTo(slot.ball.center) }))
      .sort((a, b) => a.awayM + a.slot.ball.radius - b.awayM - b.slot.ball.radius);
    const { geometry } = this.mesh;
    let [n, near] = [0, 0];
    for (const { slot, awayM } of inView) {
      const { from, count } = isSmall(slot.ball.radius, awayM, pixels) ? slot.coarse : slot.fine;
      for (let i = 0; i < count; i += 1) order.array[n + i] = from + i;
      n += count;
      if (awayM + slot.ball.radius < NEAR_M) near = n;
    }
    order.clearUpdateRanges();
    order.addUpdateRange(0, n);
    order.needsUpdate = true;
    geometry.clearGroups();
    geometry.addGroup(0, near, 0);
    geometry.addGroup(near, n - near, 1);
  }

  private makeRoom(solids: readonly QuickSolid[]): void {
    let end = 0;
    const run = (solid: BufferGeometry): Run => {
      const from = end;
      end += size(solid);
      return { from, count: size(solid) };
    };
    this.slots = solids.map((solid) => ({
      solid,
      fine: run(solid.fine),
      coarse: run(solid.coarse),
      ball: new Sphere(),
    }));
    this.mesh.geometry.dispose();
    const geometry = (this.mesh.geometry = new BufferGeometry());
    for (const name of NAMES) geometry.setAttribute(name, new BufferAttribute(new Float32Array(3 * end), 3));
    this.order = new BufferAttribute(new Uint32Array(end), 1);
    geometry.setIndex(this.order);
  }

  private write(slot: Slot, solid: QuickSolid, inPlace: boolean): void {
    slot.solid = solid;
    const { geometry } = this.mesh;
    for (const name of NAMES) {
      const all = geometry.getAttribute(name) as BufferAttribute;
      for (const kind of ['fine', 'coarse'] as const) {
        const { from, count } = slot[kind];
        (all.array as Float32Array).set(solid[kind].getAttribute(name).array, 3 * from);
        if (inPlace) all.addUpdateRange(3 * from, 3 * count);
      }
      all.needsUpdate = true;
    }
    const { center, radius } = ballOf(solid.fine);
    // The site has z up; three.js has y up and south towards the viewer.
    slot.ball.set(slot.ball.center.set(center.x, center.z, -center.y), radius);
  }
}

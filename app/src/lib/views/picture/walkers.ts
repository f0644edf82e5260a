import { type BufferGeometry, Group, Matrix4, Mesh, type Material, type Object3D, type PerspectiveCamera } from 'three';
import type { Scene, Stance, Thing } from '@gentle-arc/core/scene';
import { turnedBy } from '@gentle-arc/core/scene';
import type { Going } from '@gentle-arc/core/site';
import { contactOf } from './contact';
import { type Looks, looksOf, type Pace, SIMPLE } from './looks';
import type { PlacedSolids } from './placed-solids';
import { NEAR_M, quickPiece } from './quick-look';
import { goingQuickly, isSmall, pixelsOfMetre } from './quick-solids';

/** Half of what who goes stands on, beside its size. */
const WALKER_FOOT = 0.2;

interface Walker {
  mesh: Mesh<BufferGeometry, Material>;
  thing: Thing;
  isSubject: boolean;
  looks: Looks;
  /** How it is caught at the moment that is drawn. */
  going: Going | undefined;
}

/** Whoever goes: where and how they are at a moment of action. */
export class Walkers {
  readonly group = new Group();
  private rows: Walker[] = [];
  private feet: BufferGeometry[] = [];
  private quick = false;
  private readonly spot = new Float64Array(3);
  private readonly axes = new Float64Array(9);
  private readonly stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };

  constructor(
    private readonly solids: PlacedSolids,
    private readonly simple: boolean,
  ) {}

  place(setup: Scene): void {
    this.group.clear();
    for (const foot of this.feet.splice(0)) foot.dispose();
    this.rows = setup.things
      .filter(({ walks }) => walks)
      .map((thing) => {
        const { piece } = thing;
        const isSubject = piece.id === setup.subject?.id;
        const looks = this.simple ? SIMPLE : looksOf(piece.kind, isSubject);
        const mesh = new Mesh<BufferGeometry, Material>(this.solids.caught(piece, isSubject), looks.fine);
        mesh.matrixAutoUpdate = false;
        mesh.castShadow = true;
        mesh.receiveShadow = true;
        if (!this.simple) {
          const half = WALKER_FOOT * Math.min(piece.lengthM, piece.depthM);
          const contact = contactOf([{ xM: 0, yM: 0, zM: 0, headingDeg: 0, halfAcrossM: half, halfAlongM: half }]);
          this.feet.push(contact.geometry);
          mesh.add(contact);
        }
        this.group.add(mesh);
        return { mesh, thing, isSubject, looks, going: undefined };
      });
  }

  dress(pace: Pace): void {
    this.quick = pace === 'quick';
    if (pace === 'quick') return;
    for (const { mesh, looks } of this.rows) mesh.material = looks[pace];
  }

  /** Moves whoever walks to where they are at a moment of action; whether anybody does. */
  walkTo(tS: number): boolean {
    const { spot, stance, axes } = this;
    for (const row of this.rows) {
      const { mesh, thing } = row;
      thing.at(tS, spot);
      thing.stanceAt(tS, stance);
      turnedBy(stance, axes);
      const [ax, ay, az, bx, by, bz, cx, cy, cz] = axes;
      mesh.matrix.set(ax, bx, cx, spot[0], ay, by, cy, spot[1], az, bz, cz, spot[2], 0, 0, 0, 1);
      mesh.matrixWorldNeedsUpdate = true;
      row.going = thing.goingAt?.(tS);
    }
    return this.rows.length > 0;
  }

  /** As they are caught, and in a hurry as finely as they are seen from a camera in a picture of so many pixels. */
  lookFrom(camera: PerspectiveCamera, heightPx: number): void {
    for (const { mesh, thing, isSubject, going } of this.rows) {
      if (!this.quick) {
        mesh.geometry = this.solids.caught(thing.piece, isSubject, going);
        continue;
      }
      const { piece } = thing;
      // The site has z up; three.js has y up and south towards the viewer.
      const [x, y, z] = [mesh.matrix.elements[12], mesh.matrix.elements[14], -mesh.matrix.elements[13]];
      const awayM = Math.hypot(camera.position.x - x, camera.position.y - y, camera.position.z - z);
      const radiusM = Math.hypot(piece.heightM, piece.lengthM, piece.depthM) / 2;
      const coarse = isSmall(radiusM, awayM, pixelsOfMetre(camera, heightPx));
      mesh.material = awayM < NEAR_M ? quickPiece.near : quickPiece.far;
      mesh.geometry = goingQuickly(piece, isSubject, going, coarse);
    }
  }

  /**
   * Shakes what carries the camera along with it, from where a plain camera stands to where it really does: what the
   * camera is fixed to holds still in the picture, and the world moves.
   */
  shakeCarrier(subjectId: string, plain: Object3D, shaken: Object3D): void {
    plain.updateMatrixWorld();
    shaken.updateMatrixWorld();
    const along = new Matrix4().copy(shaken.matrixWorld).multiply(plain.matrixWorld.clone().invert());
    const site = this.group.matrixWorld;
    const inSite = site.clone().invert().multiply(along).multiply(site);
    for (const { mesh, thing } of this.rows)
      if (thing.piece.id === subjectId || thing.piece.on === subjectId) {
        mesh.matrix.premultiply(inSite);
        mesh.matrixWorldNeedsUpdate = true;
      }
  }
}

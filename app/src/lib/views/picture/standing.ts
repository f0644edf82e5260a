import { type BufferGeometry, Group, Mesh, type Material } from 'three';
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { type Piece, PIECE_KINDS } from '@gentle-arc/core/model';
import { contactOf, type Foot } from './contact';
import { glassOf } from './glass';
import { type Looks, looksOf, type Pace, SIMPLE } from './looks';
import type { PlacedSolids } from './placed-solids';
import { QuickSite } from './quick-site';
import { materialOf } from './scene-look';

/** What darkens the ground at its foot. */
const stands = ({ kind, heightM }: Piece) => !PIECE_KINDS[kind].ground && heightM > 0.03;
const footOf = ({ kind, xM, yM, zM, headingDeg, lengthM, depthM }: Piece): Foot => {
  // A tree touches the ground with its trunk.
  const share = kind === 'tree' ? 0.09 : 0.5;
  const [halfAcrossM, halfAlongM] = [share * depthM, share * lengthM];
  return { xM, yM, zM, headingDeg, halfAcrossM, halfAlongM };
};

/** A piece that stands still. */
export interface Still {
  piece: Piece;
  isSubject: boolean;
}

type Dressed = Mesh<BufferGeometry, Material>;

/** All that stands still on a site. */
export class Standing {
  readonly group = new Group();
  readonly quick = new QuickSite();
  private readonly solid = new Group();
  private readonly beside = new Group();
  private readonly looks = new Map<Dressed, Looks>();
  private stills: readonly Still[] = [];
  /** What is drawn as it should be, and in a hurry, was made of what stands there now. */
  private made = { fine: false, quick: false };
  private merged: BufferGeometry[] = [];
  private flat: BufferGeometry[] = [];
  /** Those of what stands by itself in the simple look. */
  private apart = new Set<BufferGeometry>();

  constructor(
    private readonly solids: PlacedSolids,
    private readonly simple: boolean,
  ) {
    this.group.add(this.solid, this.beside, this.quick.mesh);
    this.quick.mesh.visible = false;
  }

  place(stills: readonly Still[]): void {
    this.stills = stills;
    this.made = { fine: false, quick: false };
    this.layBeside();
  }

  dress(pace: Pace): void {
    const isQuick = pace === 'quick';
    this.quick.mesh.visible = isQuick;
    this.solid.visible = !isQuick;
    if (isQuick && !this.made.quick) {
      this.quick.place(this.stills);
      this.made.quick = true;
    }
    if (isQuick) return;
    if (!this.made.fine) {
      if (this.simple) this.standApart();
      else this.merge();
      this.made.fine = true;
    }
    for (const [mesh, looks] of this.looks) mesh.material = looks[pace];
  }

  /** What lies and hangs there beside solids: the dark at their feet, and glass. */
  private layBeside(): void {
    this.beside.clear();
    for (const geometry of this.flat.splice(0)) geometry.dispose();
    const put = (mesh: Mesh) => {
      this.flat.push(mesh.geometry);
      this.beside.add(mesh);
    };
    for (const { piece } of this.stills) {
      const glass = glassOf(piece);
      if (glass) put(glass);
    }
    const feet = this.stills.filter(({ piece }) => stands(piece)).map(({ piece }) => footOf(piece));
    if (feet.length > 0 && !this.simple) put(contactOf(feet));
  }

  /** What looks alike is drawn in one go. */
  private merge(): void {
    this.clear();
    for (const geometry of this.merged.splice(0)) geometry.dispose();
    const alike = new Map<Looks, BufferGeometry[]>();
    for (const { piece, isSubject } of this.stills) {
      const looks = looksOf(piece.kind, isSubject);
      alike.set(looks, [...(alike.get(looks) ?? []), this.solids.of(piece, isSubject)]);
    }
    for (const [looks, geometries] of alike) {
      const geometry = mergeGeometries(geometries);
      this.merged.push(geometry);
      this.stand(geometry, looks).castShadow = looks.fine !== materialOf('ridge', false);
    }
  }

  /** Each by itself: the next shot has most of them, too, and what is out of sight is not drawn. */
  private standApart(): void {
    this.clear();
    const stood = this.apart;
    this.apart = new Set();
    for (const { piece, isSubject } of this.stills) {
      const geometry = this.solids.of(piece, isSubject);
      this.stand(geometry, SIMPLE);
      this.apart.add(geometry);
    }
    // The graphics keep what they were given until they are told: what stands no more.
    for (const geometry of stood) if (!this.apart.has(geometry)) geometry.dispose();
  }

  private clear(): void {
    this.solid.clear();
    this.looks.clear();
  }

  private stand(geometry: BufferGeometry, looks: Looks): Mesh {
    const mesh: Dressed = new Mesh(geometry, looks.fine);
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    this.looks.set(mesh, looks);
    this.solid.add(mesh);
    return mesh;
  }
}

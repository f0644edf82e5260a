import {
  Color,
  DirectionalLight,
  Fog,
  Group,
  HemisphereLight,
  Matrix4,
  Mesh,
  type BufferGeometry,
  type Material,
  Object3D,
  PlaneGeometry,
  Scene as Stage,
} from 'three';
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import type { Piece } from '@gentle-arc/core/model';
import { type Scene, WALK_STEP_S, type WalkAt } from '@gentle-arc/core/scene';
import { geometryOf, groundMaterial, GROUND_PAINT, LIGHT, materialOf, paintOf } from './scene-look';
import { painted, simpleMaterial, simpleSky } from './simple-look';

const RAD = Math.PI / 180;
const SHADOW_REACH_M = 34;

/** The site as a paper model: ground, pieces, sky and sun. */
export class PaperScene {
  readonly scene = new Stage();
  private readonly standing = new Group();
  private readonly sun = new DirectionalLight(LIGHT.sun, LIGHT.sunStrength);
  private readonly walkers: { mesh: Mesh; piece: Piece; walk: WalkAt }[] = [];
  private readonly merged: BufferGeometry[] = [];
  private readonly spot = new Float64Array(3);
  private setup: Scene | null = null;

  /** `simple`: as cheap to draw as it can be, without shadows. */
  constructor(private readonly simple = false) {
    const { sun, scene, standing } = this;
    sun.castShadow = true;
    sun.shadow.mapSize.set(2048, 2048);
    sun.shadow.bias = -0.0006;
    sun.shadow.normalBias = 0.04;
    Object.assign(sun.shadow.camera, {
      left: -SHADOW_REACH_M,
      right: SHADOW_REACH_M,
      top: SHADOW_REACH_M,
      bottom: -SHADOW_REACH_M,
      near: 1,
      far: 160,
    });
    sun.target = new Object3D();
    const site = new Group();
    // The site has z up; three.js has y up.
    site.rotation.x = -Math.PI / 2;
    const plane = new PlaneGeometry(3000, 3000);
    const ground = simple
      ? new Mesh(painted(plane, GROUND_PAINT), simpleMaterial('ground'))
      : new Mesh(plane, groundMaterial);
    ground.receiveShadow = true;
    // Last, so that what stands in front of it need not be drawn over it.
    ground.renderOrder = 1;
    site.add(ground, standing);
    scene.add(site, sun, sun.target, new HemisphereLight(LIGHT.sky, LIGHT.soil, LIGHT.skyStrength));
  }

  setLight(dim: boolean): void {
    const sky = new Color(dim ? '#56656c' : '#dde7ea');
    if (this.simple) this.scene.background = simpleSky(sky);
    else this.haze(sky);
  }

  private haze(sky: Color): void {
    this.scene.background = sky;
    this.scene.fog = new Fog(sky, LIGHT.hazeFromM, LIGHT.hazeToM);
  }

  /** Puts the pieces where they stand; whether anything is different from before. */
  setSite(setup: Scene): boolean {
    const before = this.setup;
    if (
      before &&
      before.pieces === setup.pieces &&
      before.subject === setup.subject &&
      before.shot.walks === setup.shot.walks
    )
      return false;
    this.setup = setup;
    this.standing.clear();
    this.walkers.length = 0;
    for (const geometry of this.merged.splice(0)) geometry.dispose();
    // What stands still and looks alike is drawn in one go.
    const alike = new Map<Material, BufferGeometry[]>();
    for (const { piece, at, walks } of setup.things) {
      const isSubject = piece.id === setup.subject?.id;
      const material = this.simple ? simpleMaterial('plain') : materialOf(piece.kind, isSubject);
      const solid = (geometry: BufferGeometry) =>
        this.simple ? painted(geometry, paintOf(piece.kind, isSubject)) : geometry;
      if (walks) {
        const mesh = this.stand(solid(geometryOf(piece)), material);
        this.walkers.push({ mesh, piece, walk: at });
      } else {
        const placed = new Matrix4().makeRotationZ(-piece.headingDeg * RAD).setPosition(piece.xM, piece.yM, piece.zM);
        alike.set(material, [...(alike.get(material) ?? []), solid(geometryOf(piece).clone().applyMatrix4(placed))]);
      }
    }
    for (const [material, geometries] of alike) {
      const geometry = mergeGeometries(geometries);
      this.merged.push(geometry);
      this.stand(geometry, material).castShadow = material !== materialOf('ridge', false);
    }
    const about = setup.subject ?? setup.pieces[0] ?? { xM: 0, yM: 0, zM: 0 };
    this.sun.target.position.set(about.xM, about.zM, -about.yM);
    this.sun.position.copy(this.sun.target.position).add(LIGHT.from);
    return true;
  }

  private stand(geometry: BufferGeometry, material: Material): Mesh {
    const mesh = new Mesh(geometry, material);
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    this.standing.add(mesh);
    return mesh;
  }

  /** Moves whoever walks to where they are at a moment of action; whether anybody does. */
  walkTo(tS: number): boolean {
    const { spot } = this;
    for (const { mesh, piece, walk } of this.walkers) {
      walk(tS + WALK_STEP_S / 2, spot);
      const [aheadX, aheadY] = spot;
      walk(tS - WALK_STEP_S / 2, spot);
      const [dx, dy] = [aheadX - spot[0], aheadY - spot[1]];
      walk(tS, spot);
      mesh.position.set(spot[0], spot[1], spot[2]);
      mesh.rotation.z = -(Math.hypot(dx, dy) > 0.05 ? Math.atan2(dx, dy) : piece.headingDeg * RAD);
    }
    return this.walkers.length > 0;
  }
}

import {
  type BufferGeometry,
  DirectionalLight,
  Fog,
  Group,
  HemisphereLight,
  type Material,
  Mesh,
  Object3D,
  type PerspectiveCamera,
  Scene as Stage,
  Vector3,
} from 'three';
import type { Scene } from '@gentle-arc/core/scene';
import type { Sun } from '@gentle-arc/core/light';
import { isRoof, toLocal, topAt } from '@gentle-arc/core/site';
import { mirrorSky } from './glass';
import { GroundNet } from './ground-net';
import { LampLights } from './lamp-lights';
import { GROUND_LOOKS, type Haste, type Pace } from './looks';
import { PlacedSolids } from './placed-solids';
import { Sky, skyLook } from './sky';
import { hazeQuickly, lightQuickly, NEAR_M, quickGround } from './quick-look';
import { GROUND_PAINT, LIGHT, sunLook } from './scene-look';
import { painted, simpleMaterial, simpleSky } from './simple-look';
import { Standing } from './standing';
import { Walkers } from './walkers';

const SHADOW_REACH_M = 34;
/** From where the sun shines, beyond all that casts shadows. */
const SUN_AWAY_M = 60;
/** A shot that lasts longer sees the sun move, s. */
const LONG_S = 300;

/** The site as a paper model: ground, pieces, sky and sun. */
export class PaperScene {
  readonly scene = new Stage();
  private readonly standing: Standing;
  private readonly walkers: Walkers;
  private readonly lamps: LampLights;
  private readonly net = new GroundNet(NEAR_M);
  private readonly ground: Mesh<BufferGeometry, Material | Material[]>;
  private readonly sun = new DirectionalLight(LIGHT.sun, LIGHT.sunStrength);
  private readonly skyLight = new HemisphereLight(LIGHT.sky, LIGHT.soil, LIGHT.skyStrength);
  private readonly above = new DirectionalLight(LIGHT.sky, 0);
  private readonly sky: Sky | null;
  private dim = false;
  private haste: Haste | null = null;
  private roofed = false;
  private isIndoors = false;
  private isLampLit = false;
  private setup: Scene | null = null;

  /** `simple`: as cheap to draw as it can be, without shadows. */
  constructor(private readonly simple = false) {
    const { sun, scene } = this;
    const solids = new PlacedSolids(simple);
    const standing = (this.standing = new Standing(solids, simple));
    const walkers = (this.walkers = new Walkers(solids, simple));
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
    this.above.target = new Object3D();
    this.above.shadow.mapSize.set(1024, 1024);
    this.above.shadow.bias = -0.002;
    this.above.shadow.radius = 6;
    Object.assign(this.above.shadow.camera, { left: -30, right: 30, top: 30, bottom: -30, near: 1, far: 90 });
    this.sky = simple ? null : new Sky();
    if (this.sky) scene.add(this.sky.mesh);
    const site = new Group();
    // The site has z up; three.js has y up.
    site.rotation.x = -Math.PI / 2;
    const { geometry } = this.net;
    const ground = (this.ground = simple
      ? new Mesh(painted(geometry, GROUND_PAINT), simpleMaterial('ground'))
      : new Mesh<BufferGeometry, Material | Material[]>(geometry, GROUND_LOOKS.fine));
    ground.frustumCulled = false;
    ground.receiveShadow = true;
    // Last, so that what stands in front of it need not be drawn over it.
    ground.renderOrder = 1;
    this.lamps = new LampLights(site);
    site.add(ground, standing.group, walkers.group);
    scene.add(site, sun, sun.target, this.skyLight, this.above, this.above.target);
  }

  setLight(dim: boolean): void {
    if (this.dim === dim && this.scene.background !== null) return;
    this.dim = dim;
    this.colourSky(this.setup?.sunAt?.(0) ?? null);
  }

  /** The sky, and the haze in its colour, as high as the sun stands. */
  private colourSky(sun: Sun | null): void {
    const look = skyLook(sun?.altitudeDeg ?? null, this.dim);
    mirrorSky(this.simple ? simpleSky(look.rim) : look.rim);
    if (this.simple) {
      this.scene.background = simpleSky(look.rim);
      return;
    }
    this.scene.background = look.rim;
    this.scene.fog = new Fog(look.rim, LIGHT.hazeFromM, LIGHT.hazeToM);
    hazeQuickly(look.rim);
    this.sky?.set(look, sun && sun.altitudeDeg > -1 ? sunLook(sun).from : null);
  }

  /** Puts the pieces where they stand; whether anything is different from before. */
  setSite(setup: Scene): boolean {
    const before = this.setup;
    if (
      before &&
      before.pieces === setup.pieces &&
      before.subject === setup.subject &&
      before.shot.walks === setup.shot.walks &&
      before.place === setup.place &&
      before.shot.light === setup.shot.light
    )
      return false;
    this.setup = setup;
    const subjectId = setup.subject?.id;
    const still = setup.things.filter(({ walks }) => !walks);
    this.standing.place(still.map(({ piece }) => ({ piece, isSubject: piece.id === subjectId })));
    this.walkers.place(setup);
    const about = setup.subject ?? setup.pieces[0] ?? { xM: 0, yM: 0, zM: 0 };
    this.sun.target.position.set(about.xM, about.zM, -about.yM);
    this.above.target.position.copy(this.sun.target.position);
    this.above.position.copy(this.sun.target.position).add(new Vector3(0.5, 45, 0.3));
    // Only a roof keeps the sky off: without one the light from above would cost and change nothing.
    const roofs = this.simple ? [] : setup.pieces.filter(isRoof);
    this.roofed = roofs.length > 0;
    this.isIndoors = roofs.some((roof) => topAt(roof, toLocal(roof, about.xM, about.yM)) !== null);
    this.shine(0);
    this.isLampLit = !this.simple && this.lamps.place(setup, about, this.isIndoors);
    this.hurry(this.haste);
    return true;
  }

  /** Puts the light where the sun is at a moment of action, as warm and as strong as it is then. */
  private shine(tS: number): void {
    const { sun, setup, skyLight } = this;
    const found = setup?.sunAt?.(tS) ?? null;
    const look = sunLook(found);
    sun.position.copy(sun.target.position).addScaledVector(look.from, SUN_AWAY_M);
    sun.color.set(look.colour);
    sun.intensity = look.strength;
    const fromAbove = this.roofed ? LIGHT.above : 0;
    skyLight.intensity = look.sky * (1 - fromAbove);
    // What comes from above falls on level ground with all its strength, and on walls with little.
    this.above.intensity = look.sky * fromAbove * 1.25;
    this.above.color.copy(skyLight.color);
    lightQuickly({ color: sun.color, intensity: sun.intensity, from: look.from }, skyLight, this.above);
    this.colourSky(found);
  }

  /** Shakes what carries the camera along with it, from where a plain camera stands to where it really does. */
  shakeCarrier(plain: Object3D, shaken: Object3D): void {
    const { subject } = this.setup ?? {};
    if (subject) this.walkers.shakeCarrier(subject.id, plain, shaken);
  }

  /**
   * In a hurry there are no shadows and hardly any surfaces, and light is worked out at corners where no lamp is near:
   * they cost most of a frame without a graphics processor. Who is under a roof gets no light from above then.
   */
  hurry(haste: Haste | null): void {
    this.haste = haste;
    const { pace, simple } = this;
    if (!simple) {
      const hurried = haste !== null;
      this.sun.castShadow = !hurried;
      this.above.castShadow = !hurried && this.roofed;
      this.above.visible = !hurried || !this.isIndoors;
      this.lamps.castShadows(!hurried);
      this.sky?.hurry(pace === 'quick');
      this.ground.material = pace === 'quick' ? [quickGround.near, quickGround.far] : GROUND_LOOKS[pace];
    }
    this.standing.dress(pace);
    this.walkers.dress(pace);
  }

  private get pace(): Pace {
    const { haste } = this;
    // Tones that were asked for are shown while it moves, too.
    if (this.simple || haste === null || haste.toned) return 'fine';
    return haste.blurred || this.isLampLit ? 'hurried' : 'quick';
  }

  /** Moves whoever walks to where they are at a moment of action; whether anybody does. */
  walkTo(tS: number): boolean {
    // Over hours the sun goes on.
    if (this.setup && this.setup.sunAt && this.setup.durationS > LONG_S) this.shine(tS);
    return this.walkers.walkTo(tS);
  }

  /** What is drawn as it is seen from a camera, in a picture of so many pixels' height: before each look. */
  lookFrom(camera: PerspectiveCamera, heightPx: number): void {
    // three.js has y up and south towards the viewer.
    camera.updateMatrixWorld();
    this.sky?.lookFrom(camera);
    const { x, y, z } = camera.position;
    this.net.under(x, -z, y);
    this.walkers.lookFrom(camera, heightPx);
    if (this.pace === 'quick') this.standing.quick.lookFrom(camera, heightPx);
  }
}

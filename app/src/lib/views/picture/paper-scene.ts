import {
  DirectionalLight,
  Fog,
  Group,
  HemisphereLight,
  Matrix4,
  Mesh,
  BufferGeometry,
  type Material,
  Object3D,
  Scene as Stage,
  SpotLight,
  Vector3,
} from 'three';
import { mergeGeometries } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { type Scene, type Stance, type Thing, turnedBy } from '@gentle-arc/core/scene';
import { luxOfEv, type Sun } from '@gentle-arc/core/light';
import { type Piece, PIECE_KINDS } from '@gentle-arc/core/model';
import { type Going, isRoof, partOf, toLocal, topAt } from '@gentle-arc/core/site';
import { contactOf, type Foot } from './contact';
import { glassOf, mirrorSky } from './glass';
import { groundPlane } from './ground-plane';
import { GROUND_LOOKS, type Haste, type Looks, looksOf } from './looks';
import { PlacedSolids } from './placed-solids';
import { patternSheet } from './pattern-sheet';
import { SkyDome, skyLook } from './sky';
import { hazeQuickly, lightQuickly } from './quick-look';
import { GROUND_PAINT, LIGHT, materialOf, sunLook } from './scene-look';
import { painted, simpleMaterial, simpleSky } from './simple-look';

const RAD = Math.PI / 180;
const SHADOW_REACH_M = 34;
/** From where the sun shines, beyond all that casts shadows. */
const SUN_AWAY_M = 60;
/** More lamps are not drawn with their light, and none brighter than this beside the rest. */
const MOST_LAMPS = 6;
const MOST_TIMES = 60;
/** A shot that lasts longer sees the sun move, s. */
const LONG_S = 300;

/** A lamp farther from what the shot is about, m, is not missed; nor one weaker at 1 m than these shares of the light. */
const LAMP_REACH_M = 40;
const SEEN_LAMP = { inside: 0.05, outside: 0.2 };

const NOTHING_YET = new BufferGeometry();

const simplePlain = simpleMaterial('plain');
const SIMPLE: Looks = { fine: simplePlain, hurried: simplePlain, quick: simplePlain };

/** Half of what who goes stands on, beside its size. */
const WALKER_FOOT = 0.2;

/** What darkens the ground at its foot. */
const stands = ({ kind, heightM }: Piece) => !PIECE_KINDS[kind].ground && heightM > 0.03;
const footOf = ({ kind, xM, yM, zM, headingDeg, lengthM, depthM }: Piece): Foot => {
  // A tree touches the ground with its trunk.
  const share = kind === 'tree' ? 0.09 : 0.5;
  const [halfAcrossM, halfAlongM] = [share * depthM, share * lengthM];
  return { xM, yM, zM, headingDeg, halfAcrossM, halfAlongM };
};

/** The site as a paper model: ground, pieces, sky and sun. */
export class PaperScene {
  readonly scene = new Stage();
  private readonly standing = new Group();
  private readonly ground: Mesh<BufferGeometry, Material>;
  private readonly sun = new DirectionalLight(LIGHT.sun, LIGHT.sunStrength);
  private readonly skyLight = new HemisphereLight(LIGHT.sky, LIGHT.soil, LIGHT.skyStrength);
  private readonly above = new DirectionalLight(LIGHT.sky, 0);
  private readonly dome: SkyDome | null;
  private dim = false;
  private haste: Haste | null = null;
  private readonly looks = new WeakMap<Mesh, Looks>();
  private roofed = false;
  private isIndoors = false;
  private isLampLit = false;
  private readonly lamps: SpotLight[] = [];
  private readonly walkers: { mesh: Mesh; thing: Thing; look: (going?: Going) => BufferGeometry }[] = [];
  private readonly merged: BufferGeometry[] = [];
  private readonly solids: PlacedSolids;
  /** Those of what stands by itself in the simple look. */
  private apart = new Set<BufferGeometry>();
  private readonly spot = new Float64Array(3);
  private readonly axes = new Float64Array(9);
  private readonly stance: Stance = { headingDeg: 0, leanDeg: 0, pitchDeg: 0 };
  private setup: Scene | null = null;

  /** `simple`: as cheap to draw as it can be, without shadows. */
  constructor(private readonly simple = false) {
    const { sun, scene, standing } = this;
    this.solids = new PlacedSolids(simple);
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
    this.dome = simple ? null : new SkyDome();
    if (this.dome) scene.add(this.dome.mesh);
    const site = new Group();
    // The site has z up; three.js has y up.
    site.rotation.x = -Math.PI / 2;
    const plane = groundPlane(simple);
    const ground = (this.ground = simple
      ? new Mesh(painted(plane, GROUND_PAINT), simpleMaterial('ground'))
      : new Mesh<BufferGeometry, Material>(plane, GROUND_LOOKS.fine));
    if (!simple) this.looks.set(ground, GROUND_LOOKS);
    ground.receiveShadow = true;
    // Last, so that what stands in front of it need not be drawn over it.
    ground.renderOrder = 1;
    site.add(ground, standing);
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
    this.dome?.set(look, sun && sun.altitudeDeg > -1 ? sunLook(sun).from : null);
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
    this.standing.clear();
    const stood = this.apart;
    this.apart = new Set();
    const feet: Foot[] = [];
    this.walkers.length = 0;
    for (const geometry of this.merged.splice(0)) geometry.dispose();
    // What stands still and looks alike is drawn in one go.
    const alike = new Map<Looks, BufferGeometry[]>();
    for (const thing of setup.things) {
      const { piece, walks } = thing;
      const isSubject = piece.id === setup.subject?.id;
      const looks = this.simple ? SIMPLE : looksOf(piece.kind, isSubject);
      if (walks) {
        const look = (going?: Going) => this.solids.caught(piece, isSubject, going);
        // How it is caught in a step is known with the moment.
        const mesh = this.stand(thing.goingAt ? NOTHING_YET : look(), looks);
        mesh.matrixAutoUpdate = false;
        if (!this.simple) {
          const half = WALKER_FOOT * Math.min(piece.lengthM, piece.depthM);
          const contact = contactOf([{ xM: 0, yM: 0, zM: 0, headingDeg: 0, halfAcrossM: half, halfAlongM: half }]);
          this.merged.push(contact.geometry);
          mesh.add(contact);
        }
        this.walkers.push({ mesh, thing, look });
      } else {
        if (stands(piece)) feet.push(footOf(piece));
        const glass = glassOf(piece);
        if (glass) {
          this.merged.push(glass.geometry);
          this.standing.add(glass);
        }
        const geometry = this.solids.of(piece, isSubject);
        if (this.simple) {
          // Each by itself: the next shot has most of them, too, and what is out of sight is not drawn.
          this.stand(geometry, looks);
          this.apart.add(geometry);
          continue;
        }
        alike.set(looks, [...(alike.get(looks) ?? []), geometry]);
      }
    }
    // The graphics keep what they were given until they are told: what stands no more.
    for (const geometry of stood) if (!this.apart.has(geometry)) geometry.dispose();
    for (const [looks, geometries] of alike) {
      const geometry = mergeGeometries(geometries);
      this.merged.push(geometry);
      this.stand(geometry, looks).castShadow = looks.fine !== materialOf('ridge', false);
    }
    if (feet.length > 0 && !this.simple) {
      const contact = contactOf(feet);
      this.merged.push(contact.geometry);
      this.standing.add(contact);
    }
    const about = setup.subject ?? setup.pieces[0] ?? { xM: 0, yM: 0, zM: 0 };
    this.sun.target.position.set(about.xM, about.zM, -about.yM);
    this.above.target.position.copy(this.sun.target.position);
    this.above.position.copy(this.sun.target.position).add(new Vector3(0.5, 45, 0.3));
    // Only a roof keeps the sky off: without one the light from above would cost and change nothing.
    const roofs = this.simple ? [] : setup.pieces.filter(isRoof);
    this.roofed = roofs.length > 0;
    this.isIndoors = roofs.some((roof) => topAt(roof, toLocal(roof, about.xM, about.yM)) !== null);
    this.shine(0);
    this.lightLamps(setup);
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

  /** Lamps as cones of light, as strong beside the rest as they are beside the light that the shot reckons with. */
  private lightLamps(setup: Scene): void {
    for (const lamp of this.lamps.splice(0)) this.standing.remove(lamp, lamp.target);
    const around = luxOfEv(setup.shot.light.ev100);
    const { x, y, z } = this.sun.target.position;
    this.isLampLit = false;
    for (const { piece, walks } of setup.things) {
      if (piece.kind !== 'lamp' || walks || this.simple || this.lamps.length === MOST_LAMPS) continue;
      const bulb = partOf(piece, 'light');
      const half = Math.min(89, piece.beamDeg / 2) * RAD;
      const light = new SpotLight(LIGHT.lamp, LIGHT.sunStrength * Math.min(MOST_TIMES, piece.luxAt1M / around));
      light.angle = half;
      light.penumbra = piece.softness === 'soft' ? 0.8 : 0.2;
      light.decay = 2;
      light.position.set(piece.xM, piece.yM, piece.zM + bulb.upM);
      const [heading, tilt] = [piece.headingDeg * RAD, piece.tiltDeg * RAD];
      light.target.position.set(
        piece.xM + Math.sin(heading) * Math.cos(tilt),
        piece.yM + Math.cos(heading) * Math.cos(tilt),
        piece.zM + bulb.upM + Math.sin(tilt),
      );
      if (piece.pattern !== 'none') {
        light.map = patternSheet(piece.pattern);
        // Only what casts shadows has a pattern.
        light.castShadow = this.haste === null;
        light.shadow.mapSize.set(512, 512);
        light.shadow.bias = -0.002;
      }
      const near = Math.hypot(piece.xM - x, piece.yM + z, piece.zM - y) < LAMP_REACH_M;
      this.isLampLit ||= near && piece.luxAt1M > around * SEEN_LAMP[this.isIndoors ? 'inside' : 'outside'];
      this.lamps.push(light);
      this.standing.add(light, light.target);
    }
  }

  private stand(geometry: BufferGeometry, looks: Looks): Mesh {
    const mesh = new Mesh<BufferGeometry, Material>(geometry, looks.fine);
    this.looks.set(mesh, looks);
    this.dress(mesh);
    mesh.castShadow = true;
    mesh.receiveShadow = true;
    this.standing.add(mesh);
    return mesh;
  }

  /**
   * Shakes what carries the camera along with it, from where a plain camera stands to where it really does: what the
   * camera is fixed to holds still in the picture, and the world moves.
   */
  shakeCarrier(plain: Object3D, shaken: Object3D): void {
    const { setup } = this;
    if (!setup?.subject) return;
    plain.updateMatrixWorld();
    shaken.updateMatrixWorld();
    const along = new Matrix4().copy(shaken.matrixWorld).multiply(plain.matrixWorld.clone().invert());
    const site = this.standing.matrixWorld;
    const inSite = site.clone().invert().multiply(along).multiply(site);
    for (const { mesh, thing } of this.walkers)
      if (thing.piece.id === setup.subject.id || thing.piece.on === setup.subject.id) {
        mesh.matrix.premultiply(inSite);
        mesh.matrixWorldNeedsUpdate = true;
      }
  }

  /**
   * In a hurry there are no shadows and hardly any surfaces, and light is worked out at corners where no lamp is near:
   * they cost most of a frame without a graphics processor. Who is under a roof gets no light from above then.
   */
  hurry(haste: Haste | null): void {
    if (this.simple) return;
    this.haste = haste;
    const hurried = haste !== null;
    this.sun.castShadow = !hurried;
    this.above.castShadow = !hurried && this.roofed;
    this.above.visible = !hurried || !this.isIndoors;
    for (const lamp of this.lamps) if (lamp.map) lamp.castShadow = !hurried;
    this.dome?.hurry(this.pace === 'quick');
    this.dress(this.ground);
    for (const child of this.standing.children) if (child instanceof Mesh) this.dress(child);
  }

  private get pace(): keyof Looks {
    const { haste } = this;
    // Tones that were asked for are shown while it moves, too.
    if (haste === null || haste.toned) return 'fine';
    return haste.blurred || this.isLampLit ? 'hurried' : 'quick';
  }

  private dress(mesh: Mesh): void {
    const looks = this.looks.get(mesh);
    if (looks) mesh.material = looks[this.pace];
  }

  /** Moves whoever walks to where they are at a moment of action; whether anybody does. */
  walkTo(tS: number): boolean {
    // Over hours the sun goes on.
    if (this.setup && this.setup.sunAt && this.setup.durationS > LONG_S) this.shine(tS);
    const { spot, stance, axes } = this;
    for (const { mesh, thing, look } of this.walkers) {
      thing.at(tS, spot);
      thing.stanceAt(tS, stance);
      turnedBy(stance, axes);
      const [ax, ay, az, bx, by, bz, cx, cy, cz] = axes;
      mesh.matrix.set(ax, bx, cx, spot[0], ay, by, cy, spot[1], az, bz, cz, spot[2], 0, 0, 0, 1);
      mesh.matrixWorldNeedsUpdate = true;
      if (thing.goingAt) mesh.geometry = look(thing.goingAt(tS));
    }
    return this.walkers.length > 0;
  }
}

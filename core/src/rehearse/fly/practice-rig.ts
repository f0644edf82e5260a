import type { HeldRig, Practice, StickSpeed } from '../../model';
import type { Film } from '../../motion';
import { aimAt, seeded } from '../../motion';
import { ringAtDeg, ringDegPerDioptre } from '../../optics';
import { planAt, type WayColumn } from '../controls/plan-at';
import { planned } from '../controls/drone-sticks';
import { headStick } from '../controls/head-stick';
import type { FlownPath } from '../score/flown-path';
import { type CarriageState, pushed } from './carriage';
import { droneLimits, type DroneInput, type DroneLimits, type DroneState, flown, HANDS_OFF } from './drone';
import { type AxisState, headAt, type HeadSettings, turned } from './head';
import { armEnd, type JibArm, type JibState, swung } from './jib';
import { gusts } from './wind';

/** What hands do in the simulator at a moment, whatever they have hold of; each from −1 to 1 but for places. */
export interface HandsInput extends DroneInput {
  /** A carriage pushed, or led by a finger to a place along its rail, m. */
  push: number;
  leadToM: number | null;
  /** The focus ring turned, or led to an angle, degrees from infinity. */
  ring: number;
  ringToDeg: number | null;
}
export const HANDS_STILL: HandsInput = { ...HANDS_OFF, push: 0, leadToM: null, ring: 0, ringToDeg: null };

/** The camera at a moment. */
export interface CameraPose {
  xM: number;
  yM: number;
  zM: number;
  panDeg: number;
  tiltDeg: number;
  rollDeg: number;
  focalLengthMm: number;
  focusM: number;
}

export interface PracticeOptions {
  held: HeldRig;
  speed: StickSpeed;
  /** As a share of the planned speed. */
  pace: number;
  /** Of the wind that the rig stands at most. */
  windShare: number;
  seed: number;
}

/** A full push of a ring by keys or a wheel, degrees a second. */
const RING_DEGPS = 90;
/** A usual camera on a small carriage, kg, where nobody has put one together. Common practice, no published source. */
const CARRIAGE_KG = 3;
const VISCOUS_NSPM = 4;
const STEP_S = 1 / 120;
const KEPT_HZ = 60;
const WAY_ROWS = 400;

/** What can be practised of a shot, its own first. */
export function heldFor({ scene, filmed }: Film): HeldRig[] {
  const { kind, bankMaxDeg } = scene.rig;
  const own: HeldRig =
    kind === 'drone' && bankMaxDeg > 0
      ? 'drone'
      : kind === 'slider' || kind === 'wheels'
        ? 'carriage'
        : kind === 'jib' || kind === 'tableTopArm'
          ? 'jib'
          : 'head';
  const last = filmed.count - 1;
  const travels =
    Math.hypot(filmed.xM[last] - filmed.xM[0], filmed.yM[last] - filmed.yM[0], filmed.zM[last] - filmed.zM[0]) > 0.05;
  const rest = (['carriage', 'head', 'ring', 'drone', 'jib'] as const).filter(
    (held) => held !== own && (held !== 'carriage' || travels),
  );
  return own === 'carriage' && !travels ? rest : [own, ...rest];
}

/** A rig that answers to hands: it has mass, limits, lag, wind and a battery, and what hands do not have goes as planned. */
export class PracticeRig {
  /** Seconds since it was begun; the plan stands `pace` times as far. */
  tS = 0;
  pose: CameraPose;
  /** What is left of the battery, 0 to 1; 1 where nothing runs on one. */
  batteryShare = 1;
  readonly limits: DroneLimits;
  readonly headSettings: HeadSettings;
  readonly railM: number;

  private readonly plan: (tS: number) => CameraPose;
  private readonly endS: number;
  private readonly wayM: Float64Array;
  private readonly push: ReturnType<typeof gusts>;
  private drone: DroneState;
  private pan: AxisState;
  private tilt: AxisState;
  private carriage: CarriageState = { alongM: 0, mps: 0 };
  private jib: JibState = { swingDeg: 0, swingDegps: 0, boomDeg: 0, boomDegps: 0 };
  private arm: JibArm = { base: { xM: 0, yM: 0, zM: 0 }, lengthM: 1 };
  private ringDeg: number;
  private left = 0;
  private readonly rows: CameraPose[] = [];

  constructor(
    private readonly film: Film,
    private readonly practice: Practice,
    private readonly options: PracticeOptions,
  ) {
    const { filmed, scene } = film;
    const column = (key: WayColumn) => planAt(filmed, key);
    const columns = {
      xM: column('xM'),
      yM: column('yM'),
      zM: column('zM'),
      panDeg: column('panDeg'),
      tiltDeg: column('tiltDeg'),
      rollDeg: column('rollDeg'),
      focalLengthMm: column('focalLengthMm'),
      focusM: column('focusDistanceM'),
    };
    this.plan = (tS) =>
      Object.fromEntries(Object.entries(columns).map(([key, at]) => [key, at(tS)])) as unknown as CameraPose;
    this.endS = filmed.tS[filmed.count - 1];
    this.limits = droneLimits(scene.rig, options.speed);
    const told = headStick(film, practice);
    this.headSettings = told?.settings ?? headAt(practice, practice.speedSetting, practice.smoothSetting);
    this.push = gusts(options.windShare * windMaxMps(film), 230, seeded(options.seed));
    this.wayM = new Float64Array(WAY_ROWS + 1);
    let before = this.plan(0);
    for (let i = 1; i <= WAY_ROWS; i += 1) {
      const next = this.plan((i / WAY_ROWS) * this.endS);
      this.wayM[i] = this.wayM[i - 1] + Math.hypot(next.xM - before.xM, next.yM - before.yM, next.zM - before.zM);
      before = next;
    }
    this.railM = this.wayM[WAY_ROWS];
    this.pose = this.plan(0);
    this.drone = { ...planned(film, 0), ...(options.held === 'drone' ? { vxMps: 0, vyMps: 0, vzMps: 0 } : {}) };
    this.pan = { deg: this.pose.panDeg, degps: 0 };
    this.tilt = { deg: this.pose.tiltDeg, degps: 0 };
    this.ringDeg = ringAtDeg(scene.lens, this.pose.focusM);
    if (options.held === 'jib') this.takeArm();
    this.rows.push(this.pose);
  }

  /** Where the plan has the carriage and the ring now, m and degrees from infinity. */
  get plannedAlongM(): number {
    return this.wayM[Math.min(WAY_ROWS, Math.round((this.planS / Math.max(1e-6, this.endS)) * WAY_ROWS))];
  }
  get plannedRingDeg(): number {
    return ringAtDeg(this.film.scene.lens, this.planned.focusM);
  }
  /** Where the plan is now. */
  get planned(): CameraPose {
    return this.plan(this.planS);
  }
  get planS(): number {
    return Math.min(this.endS, this.tS * this.options.pace);
  }
  get ended(): boolean {
    return this.tS * this.options.pace >= this.endS;
  }

  /** Goes on for `forS` seconds with what hands do. */
  advance(input: HandsInput, forS: number): void {
    this.left += Math.min(0.25, forS);
    while (this.left >= STEP_S && !this.ended) {
      this.left -= STEP_S;
      this.tS += STEP_S;
      this.pose = this.stepped(input, STEP_S);
      const due = Math.floor(this.tS * KEPT_HZ + 1e-6);
      while (this.rows.length <= due) this.rows.push(this.pose);
    }
    const { runMin } = this.film.scene.rig;
    this.batteryShare = runMin > 0 ? Math.max(0, 1 - this.tS / (runMin * 60)) : 1;
  }

  /** What was done so far, as rows in time. */
  flown(): FlownPath {
    const of = (key: keyof CameraPose) => Float64Array.from(this.rows, (row) => row[key]);
    return {
      tS: Float64Array.from(this.rows, (_, i) => i / KEPT_HZ),
      xM: of('xM'),
      yM: of('yM'),
      zM: of('zM'),
      panDeg: of('panDeg'),
      tiltDeg: of('tiltDeg'),
      rollDeg: of('rollDeg'),
      focalLengthMm: of('focalLengthMm'),
      focusM: of('focusM'),
    };
  }

  /** Where a carriage is on its rail, m. */
  get alongM(): number {
    return this.carriage.alongM;
  }
  get ringAtDeg(): number {
    return this.ringDeg;
  }

  private stepped(input: HandsInput, h: number): CameraPose {
    const plan = this.planned;
    switch (this.options.held) {
      case 'drone': {
        this.drone = flown(this.drone, input, this.limits, h, null, this.push(h));
        const { xM, yM, zM, panDeg, tiltDeg } = this.drone;
        return { ...plan, xM, yM, zM, panDeg, tiltDeg, rollDeg: 0 };
      }
      case 'head':
        this.pan = turned(this.pan, input.turn, this.headSettings, h);
        this.tilt = turned(this.tilt, input.tilt, this.headSettings, h);
        return { ...plan, panDeg: this.pan.deg, tiltDeg: this.tilt.deg };
      case 'carriage': {
        const rail = {
          lengthM: this.railM,
          massKg: CARRIAGE_KG,
          dragShare: this.practice.dragShare,
          viscousNspm: VISCOUS_NSPM,
        };
        this.carriage = pushed(this.carriage, { share: input.push, toM: input.leadToM }, rail, h);
        const there = this.plan(this.timeAt(this.carriage.alongM));
        return { ...there, focusM: plan.focusM, focalLengthMm: plan.focalLengthMm };
      }
      case 'jib':
        this.jib = swung(this.jib, { swing: input.right, boom: input.up }, h);
        return this.fromArm(plan);
      case 'ring': {
        const { lens } = this.film.scene;
        const to = input.ringToDeg ?? this.ringDeg + input.ring * RING_DEGPS * h;
        this.ringDeg = Math.min(lens.ringDeg, Math.max(0, to));
        return { ...plan, focusM: Math.min(1e4, ringDegPerDioptre(lens) / Math.max(0.01, this.ringDeg)) };
      }
    }
  }

  /** When the plan is so far along its way, s. */
  private timeAt(alongM: number): number {
    let i = 0;
    while (i + 1 < WAY_ROWS && this.wayM[i + 1] < alongM) i += 1;
    const span = this.wayM[i + 1] - this.wayM[i];
    return ((i + (span > 0 ? Math.min(1, Math.max(0, (alongM - this.wayM[i]) / span)) : 0)) / WAY_ROWS) * this.endS;
  }

  private takeArm(): void {
    const { intent, scene } = this.film;
    const base = intent.strokes[0]?.armBase;
    const start = this.pose;
    const reachM = scene.rig.armM > 0 ? scene.rig.armM : 2;
    const rad = (start.panDeg * Math.PI) / 180;
    const at = base
      ? { xM: base.xM, yM: base.yM, zM: base.zM }
      : { xM: start.xM - reachM * Math.sin(rad), yM: start.yM - reachM * Math.cos(rad), zM: start.zM };
    const [dx, dy, dz] = [start.xM - at.xM, start.yM - at.yM, start.zM - at.zM];
    const lengthM = Math.max(0.2, Math.hypot(dx, dy, dz));
    this.arm = { base: at, lengthM };
    this.jib = {
      swingDeg: (Math.atan2(dx, dy) * 180) / Math.PI,
      swingDegps: 0,
      boomDeg: (Math.asin(Math.min(1, Math.max(-1, dz / lengthM))) * 180) / Math.PI,
      boomDegps: 0,
    };
  }

  /** The end of the arm, the head keeping the subject where it is planned in the frame. */
  private fromArm(plan: CameraPose): CameraPose {
    const [xM, yM, zM] = armEnd(this.arm, this.jib);
    const { filmed, scene, intent } = this.film;
    const spot = (['subjectXM', 'subjectYM', 'subjectZM'] as const).map((key) => planAt(filmed, key)(this.planS));
    if (!scene.part || spot.some(Number.isNaN)) return { ...plan, xM, yM, zM };
    const place = { u: 0, v: 0 };
    intent.placeAt(this.planS, place);
    const aim = { panDeg: plan.panDeg, tiltDeg: plan.tiltDeg };
    aimAt(
      spot[0] - xM,
      spot[1] - yM,
      spot[2] + scene.part.heightM / 2 - zM,
      (place.u * filmed.frameWidthMm) / plan.focalLengthMm,
      (place.v * filmed.frameHeightMm) / plan.focalLengthMm,
      aim,
    );
    const panDeg = aim.panDeg + 360 * Math.round((plan.panDeg - aim.panDeg) / 360);
    return { ...plan, xM, yM, zM, panDeg, tiltDeg: aim.tiltDeg };
  }
}

/** A drone is not flown in more wind than this share of its speed; other rigs feel none here. Common practice. */
const WIND_OF_SPEED = 0.6;
const windMaxMps = ({ scene }: Film): number =>
  scene.rig.kind === 'drone' ? scene.rig.speedMaxMps * WIND_OF_SPEED : 8;

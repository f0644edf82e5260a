import type { Flown, HeldRig, Practice, StickSpeed } from '@gentle-arc/core/model';
import type { Film } from '@gentle-arc/core/motion';
import { type Controls, type FlownPath, layoutOf, PracticeRig, toKeep } from '@gentle-arc/core/rehearse';
import type { LivePose } from '$lib/views/picture/film';
import type { HandsOn } from './hands-input.svelte';

export interface RunSettings {
  held: HeldRig;
  speed: StickSpeed;
  pace: number;
  windShare: number;
}

const COUNT_IN_S = 2;
const KEPT_HZ = 20;

/** One try in the simulator: shown how, counted in, made, and done. */
export class PracticeRun {
  state: 'ready' | 'shown' | 'counting' | 'going' | 'done' = $state('ready');
  pose: LivePose | null = $state.raw(null);
  /** Where the plan is meanwhile. */
  plan: LivePose | null = $state.raw(null);
  /** Seconds until it begins. */
  beginsInS = $state(0);
  batteryShare = $state(1);
  alongM = $state(0);
  railM = $state(0);
  ringDeg = $state(0);
  /** What was flown, once it is done. */
  flown: Flown | null = $state.raw(null);

  private rig: PracticeRig | null = null;
  private frame = 0;
  private letGo: () => void = () => undefined;
  private seed = 1;

  constructor(private readonly hands: HandsOn) {}

  get running(): boolean {
    return this.state === 'shown' || this.state === 'counting' || this.state === 'going';
  }

  /** Puts the rig at its first mark, hands off. */
  ready(film: Film, practice: Practice, settings: RunSettings): void {
    this.stop();
    this.rig = new PracticeRig(film, practice, { ...settings, seed: this.seed });
    this.tell();
  }

  /** Counts in and lets hands lead. */
  start(film: Film, practice: Practice, settings: RunSettings): void {
    this.seed += 1;
    this.ready(film, practice, settings);
    this.flown = null;
    this.state = 'counting';
    this.beginsInS = COUNT_IN_S;
    this.letGo = this.hands.listen();
    let lastMs = performance.now();
    const step = (nowMs: number) => {
      const h = Math.min(0.25, Math.max(0, (nowMs - lastMs) / 1000));
      lastMs = nowMs;
      const { rig } = this;
      if (!rig || !this.running) return;
      const input = this.hands.read(h, settings.held, practice.layout);
      if (this.state === 'counting') {
        this.beginsInS -= h;
        if (this.beginsInS <= 0) this.state = 'going';
      } else rig.advance(input, h);
      this.tell();
      if (rig.ended) this.finish(rig.flown());
      else this.frame = requestAnimationFrame(step);
    };
    this.frame = requestAnimationFrame(step);
  }

  /** Shows how: the plan's own way, with the sticks as they would be held. */
  show(film: Film, practice: Practice, settings: RunSettings, controls: Controls): void {
    this.ready(film, practice, { ...settings, windShare: 0 });
    this.state = 'shown';
    let lastMs = performance.now();
    const step = (nowMs: number) => {
      const { rig } = this;
      if (!rig || this.state !== 'shown') return;
      rig.tS += Math.max(0, (nowMs - lastMs) / 1000);
      lastMs = nowMs;
      const plan = rig.planned;
      this.pose = this.plan = { ...plan, tS: rig.planS };
      this.alongM = rig.plannedAlongM;
      this.ringDeg = rig.plannedRingDeg;
      this.hands.now = sticksTold(controls, rig.planS, practice.layout);
      if (!rig.ended) this.frame = requestAnimationFrame(step);
      else this.ready(film, practice, settings);
    };
    this.frame = requestAnimationFrame(step);
  }

  stop(): void {
    cancelAnimationFrame(this.frame);
    this.letGo();
    this.letGo = () => undefined;
    this.state = 'ready';
  }

  private finish(path: FlownPath): void {
    this.stop();
    this.flown = toKeep(path, KEPT_HZ);
    this.state = 'done';
  }

  private tell(): void {
    const { rig } = this;
    if (!rig) return;
    this.pose = { ...rig.pose, tS: rig.planS };
    this.plan = { ...rig.planned, tS: rig.planS };
    this.batteryShare = rig.batteryShare;
    this.alongM = rig.alongM;
    this.railM = rig.railM;
    this.ringDeg = rig.ringAtDeg;
  }
}

/** Both sticks and the wheel as a plan has them at a moment. */
function sticksTold({ drone, head }: Controls, tS: number, layout: Practice['layout']): HandsOn['now'] {
  const told = { left: { x: 0, y: 0 }, right: { x: 0, y: 0 }, wheel: { x: 0, y: 0 } };
  if (drone) {
    const row = drone.rows[Math.min(drone.rows.length - 1, Math.max(0, Math.round(tS * drone.rateHz)))];
    const of = layoutOf(layout);
    told[of.forward].y = row.forward;
    told[of.up].y = row.up;
    told[of.turn].x = row.turn;
    told[of.right].x = row.right;
    told.wheel.y = row.tilt;
  } else if (head) {
    const i = Math.min(head.pan.length - 1, Math.max(0, Math.round(tS * head.rateHz)));
    told.right = { x: head.pan[i], y: head.tilt[i] };
  }
  return told;
}

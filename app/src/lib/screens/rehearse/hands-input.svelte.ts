import type { HeldRig, StickLayout } from '@gentle-arc/core/model';
import { HANDS_STILL, type HandsInput, layoutOf } from '@gentle-arc/core/rehearse';

interface Stick {
  x: number;
  y: number;
}
/** A stick of a gamepad that is let go is never quite in the middle. */
const PAD_DEAD = 0.1;
/** Keys are pressed all at once; the hand they stand for is not: a full stick after so many seconds. */
const KEY_FULL_S = 0.35;
const KEYS: Record<string, { stick: 'left' | 'right' | 'wheel' | 'ring'; axis: 'x' | 'y'; by: number }> = {
  w: { stick: 'left', axis: 'y', by: 1 },
  s: { stick: 'left', axis: 'y', by: -1 },
  a: { stick: 'left', axis: 'x', by: -1 },
  d: { stick: 'left', axis: 'x', by: 1 },
  arrowup: { stick: 'right', axis: 'y', by: 1 },
  arrowdown: { stick: 'right', axis: 'y', by: -1 },
  arrowleft: { stick: 'right', axis: 'x', by: -1 },
  arrowright: { stick: 'right', axis: 'x', by: 1 },
  r: { stick: 'wheel', axis: 'y', by: 1 },
  f: { stick: 'wheel', axis: 'y', by: -1 },
};

const still = (): Record<'left' | 'right' | 'wheel', Stick> => ({
  left: { x: 0, y: 0 },
  right: { x: 0, y: 0 },
  wheel: { x: 0, y: 0 },
});
const clamp = (value: number) => Math.max(-1, Math.min(1, value));

/** What hands do, whatever they have: fingers on the glass, keys, a mouse, a gamepad. The farthest of them counts. */
export class HandsOn {
  /** As fingers and mouse hold the sticks on the page. */
  touched = $state(still());
  /** A finger leads a carriage to a place, m, or a ring to an angle, degrees; null: nobody does. */
  leadToM: number | null = $state(null);
  ringToDeg: number | null = $state(null);
  /** The sticks as they stand now, from all there is: what is drawn. */
  now = $state(still());
  /** A gamepad that was heard of. */
  pad: string | null = $state(null);

  private readonly pressed = new Set<string>();
  private readonly keyed = still();
  private turnedBy = 0;

  /** Keys that lead are taken while hands are on; gives back how to let go of them. */
  listen(): () => void {
    const down = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (!(key in KEYS) || event.ctrlKey || event.metaKey || isTyping(event)) return;
      event.preventDefault();
      this.pressed.add(key);
    };
    const up = (event: KeyboardEvent) => this.pressed.delete(event.key.toLowerCase());
    const blur = () => this.pressed.clear();
    window.addEventListener('keydown', down, { capture: true });
    window.addEventListener('keyup', up, { capture: true });
    window.addEventListener('blur', blur);
    return () => {
      window.removeEventListener('keydown', down, { capture: true });
      window.removeEventListener('keyup', up, { capture: true });
      window.removeEventListener('blur', blur);
      this.pressed.clear();
      this.touched = still();
      this.now = still();
      this.leadToM = null;
      this.ringToDeg = null;
    };
  }

  /** A wheel of a mouse turns the ring. */
  wheel(by: number): void {
    this.turnedBy += by;
  }

  /** What hands ask for now; `h`: seconds since it was asked before. */
  read(h: number, held: HeldRig, layout: StickLayout): HandsInput {
    for (const stick of ['left', 'right', 'wheel'] as const)
      for (const axis of ['x', 'y'] as const) {
        let wish = 0;
        for (const key of this.pressed) if (KEYS[key].stick === stick && KEYS[key].axis === axis) wish += KEYS[key].by;
        const most = h / KEY_FULL_S;
        const off = clamp(wish) - this.keyed[stick][axis];
        this.keyed[stick][axis] += Math.max(-most, Math.min(most, off));
      }
    const pad = this.readPad();
    const farthest = (...values: number[]) => values.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
    const sum = still();
    for (const stick of ['left', 'right', 'wheel'] as const)
      for (const axis of ['x', 'y'] as const)
        sum[stick][axis] = clamp(farthest(this.touched[stick][axis], this.keyed[stick][axis], pad[stick][axis]));
    this.now = sum;
    const ring = clamp(farthest(sum.right.x, sum.left.x, this.turnedBy));
    this.turnedBy *= 0.5;
    if (Math.abs(this.turnedBy) < 0.02) this.turnedBy = 0;
    const { left, right, wheel } = sum;
    switch (held) {
      case 'drone': {
        const of = layoutOf(layout);
        return {
          ...HANDS_STILL,
          forward: sum[of.forward].y,
          up: sum[of.up].y,
          turn: sum[of.turn].x,
          right: sum[of.right].x,
          tilt: wheel.y,
        };
      }
      case 'head':
        return { ...HANDS_STILL, turn: farthest(right.x, left.x), tilt: farthest(right.y, left.y) };
      case 'jib':
        return { ...HANDS_STILL, right: farthest(right.x, left.x), up: farthest(right.y, left.y) };
      case 'carriage':
        return { ...HANDS_STILL, push: farthest(right.x, left.x, left.y, right.y), leadToM: this.leadToM };
      case 'ring':
        return { ...HANDS_STILL, ring, ringToDeg: this.ringToDeg };
    }
  }

  private readPad(): ReturnType<typeof still> {
    const pads = 'getGamepads' in navigator ? navigator.getGamepads() : [];
    const pad = [...pads].find((row) => row?.connected);
    this.pad = pad?.id ?? null;
    if (!pad) return still();
    const axis = (i: number) => {
      const value = pad.axes[i] ?? 0;
      return Math.abs(value) < PAD_DEAD ? 0 : (value - Math.sign(value) * PAD_DEAD) / (1 - PAD_DEAD);
    };
    const trigger = (i: number) => pad.buttons[i]?.value ?? 0;
    return {
      left: { x: axis(0), y: -axis(1) },
      right: { x: axis(2), y: -axis(3) },
      wheel: { x: 0, y: trigger(7) - trigger(6) },
    };
  }
}

const isTyping = ({ target }: KeyboardEvent) =>
  target instanceof HTMLInputElement || target instanceof HTMLSelectElement || target instanceof HTMLTextAreaElement;

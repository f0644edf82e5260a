import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { StickLayout } from '@gentle-arc/core/model';
import { HandsOn } from './hands-input.svelte';

/** A page of the tests' own: it only hands events on. */
class FakeElement {
  readonly tagName = 'INPUT';
}
const listeners = new Map<string, (event: unknown) => void>();
let pads: { connected: boolean; id: string; axes: number[]; buttons: { value: number }[] }[] = [];

beforeEach(() => {
  pads = [];
  vi.stubGlobal('HTMLInputElement', FakeElement);
  vi.stubGlobal('HTMLSelectElement', FakeElement);
  vi.stubGlobal('HTMLTextAreaElement', FakeElement);
  vi.stubGlobal('window', {
    addEventListener: (name: string, listen: (event: unknown) => void) => listeners.set(name, listen),
    removeEventListener: (name: string) => listeners.delete(name),
  });
  vi.stubGlobal('navigator', { getGamepads: () => pads });
});
afterEach(() => vi.unstubAllGlobals());

const key = (type: 'keydown' | 'keyup', name: string, target: object = {}) =>
  listeners.get(type)?.({ key: name, target, preventDefault: () => undefined });

describe('hands on the simulator', () => {
  it.each<[StickLayout, 'forward' | 'up', 'turn' | 'right']>([
    ['1', 'forward', 'turn'],
    ['2', 'up', 'turn'],
    ['3', 'forward', 'right'],
    ['4', 'up', 'right'],
  ])('layout %s: the left stick up is %s, to the right %s; the right stick the other two', (layout, up, across) => {
    const hands = new HandsOn();
    hands.touched.left = { x: 0.4, y: 0.7 };
    const left = hands.read(0.02, 'drone', layout);
    expect(left[up]).toBeCloseTo(0.7, 9);
    expect(left[across]).toBeCloseTo(0.4, 9);
    hands.touched.left = { x: 0, y: 0 };
    hands.touched.right = { x: -0.3, y: -0.6 };
    const right = hands.read(0.02, 'drone', layout);
    expect(right[up === 'up' ? 'forward' : 'up']).toBeCloseTo(-0.6, 9);
    expect(right[across === 'turn' ? 'right' : 'turn']).toBeCloseTo(-0.3, 9);
    expect([right[up], right[across]].map((value) => value + 0)).toEqual([0, 0]);
  });

  it('keys lead softly: a full stick takes a third of a second, and lets go as softly', () => {
    const hands = new HandsOn();
    const letGo = hands.listen();
    key('keydown', 'ArrowUp');
    expect(hands.read(0.1, 'head', '2').tilt).toBeCloseTo(0.1 / 0.35, 6);
    for (let i = 0; i < 10; i += 1) hands.read(0.1, 'head', '2');
    expect(hands.read(0.1, 'head', '2').tilt).toBe(1);
    key('keyup', 'ArrowUp');
    expect(hands.read(0.1, 'head', '2').tilt).toBeLessThan(1);
    for (let i = 0; i < 10; i += 1) hands.read(0.1, 'head', '2');
    expect(hands.read(0.1, 'head', '2').tilt).toBeCloseTo(0, 9);
    letGo();
    expect(listeners.size).toBe(0);
  });

  it('leaves keys to whoever types, and two opposite keys stand still', () => {
    const hands = new HandsOn();
    const letGo = hands.listen();
    key('keydown', 'w', new FakeElement());
    expect(hands.read(0.5, 'jib', '2').up).toBe(0);
    key('keydown', 'ArrowLeft');
    key('keydown', 'ArrowRight');
    expect(hands.read(0.5, 'carriage', '2').push).toBeCloseTo(0, 9);
    letGo();
  });

  it('hears a gamepad: its sticks, its triggers as the wheel, and not the play about its middle', () => {
    const hands = new HandsOn();
    const buttons = Array.from({ length: 12 }, (_, i) => ({ value: i === 7 ? 0.8 : 0 }));
    pads = [{ connected: true, id: 'Test pad', axes: [0.05, 0.04, 1, -1], buttons }];
    const input = hands.read(0.02, 'drone', '2');
    expect(hands.pad).toBe('Test pad');
    // Layout 2: the right stick goes forward and sideways; a gamepad counts downwards.
    expect(input).toMatchObject({ forward: 1, right: 1, tilt: 0.8 });
    expect([input.up, input.turn].map((value) => value + 0)).toEqual([0, 0]);
    pads = [];
    hands.read(0.02, 'drone', '2');
    expect(hands.pad).toBeNull();
  });

  it('a finger leads a carriage and a ring to a place; a mouse’s wheel nudges the ring and comes to rest', () => {
    const hands = new HandsOn();
    hands.leadToM = 0.4;
    hands.ringToDeg = 33;
    expect(hands.read(0.02, 'carriage', '2').leadToM).toBe(0.4);
    expect(hands.read(0.02, 'ring', '2').ringToDeg).toBe(33);
    hands.wheel(0.6);
    expect(hands.read(0.02, 'ring', '2').ring).toBeCloseTo(0.6, 9);
    for (let i = 0; i < 12; i += 1) hands.read(0.02, 'ring', '2');
    expect(hands.read(0.02, 'ring', '2').ring + 0).toBe(0);
  });
});

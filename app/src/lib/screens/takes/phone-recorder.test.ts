import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { PhoneRecorder } from './phone-recorder.svelte';

/** A phone of the tests’ own at the browser’s border. */
const listeners = new Map<string, (event: unknown) => void>();
const asked = { answer: 'granted', times: 0 };

beforeEach(() => {
  vi.useFakeTimers();
  listeners.clear();
  asked.answer = 'granted';
  vi.stubGlobal('window', {
    DeviceMotionEvent: true,
    addEventListener: (name: string, hear: (event: unknown) => void) => listeners.set(name, hear),
    removeEventListener: (name: string) => listeners.delete(name),
  });
  vi.stubGlobal('DeviceMotionEvent', {
    requestPermission: () => {
      asked.times += 1;
      return Promise.resolve(asked.answer);
    },
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const felt = (timeStamp: number, [alpha, beta, gamma]: (number | null)[], [x, y, z]: (number | null)[]) =>
  listeners.get('devicemotion')?.({
    timeStamp,
    rotationRate: { alpha, beta, gamma },
    accelerationIncludingGravity: { x, y, z },
  });

async function started(recorder: PhoneRecorder): Promise<string | null> {
  const start = recorder.start();
  await vi.advanceTimersByTimeAsync(10);
  felt(1000, [0, 0, 0], [0, 9.8, 0]);
  await vi.advanceTimersByTimeAsync(2000);
  return start;
}

describe('this phone as a recorder', () => {
  it('asks first, and records turning and what is felt in the camera’s axes', async () => {
    const recorder = new PhoneRecorder();
    expect(await started(recorder)).toBeNull();
    expect(asked.times).toBeGreaterThan(0);
    felt(1010, [180, 0, 0], [0, 9.8, 0.2]);
    // The same moment again is no row; a reading with holes is none either.
    felt(1010, [1, 1, 1], [1, 1, 1]);
    felt(1015, [null, null, null], [null, null, null]);
    felt(1020, [0, 90, 0], [0, 9.7, 0]);
    expect(recorder.seconds).toBeCloseTo(0.02, 9);
    const record = recorder.finish('upright');
    expect([...(record?.tS ?? [])]).toEqual([0, 0.01, 0.02]);
    expect(record?.gyroRadps?.[0][1]).toBeCloseTo(Math.PI, 9);
    expect(record?.accelMps2?.[1][2]).toBe(9.7);
    expect(recorder.recording).toBe(false);
    expect(listeners.size).toBe(0);
  });
  it('turned on its side has its right edge up', async () => {
    const recorder = new PhoneRecorder();
    await started(recorder);
    felt(1010, [0, 0, 0], [9.8, 0, 0]);
    expect(recorder.finish('sideways')?.accelMps2?.[1][1]).toBe(9.8);
  });
  it('that is not allowed, has no sensors, or felt too little says so', async () => {
    asked.answer = 'denied';
    expect(await new PhoneRecorder().start()).toMatch(/Motion was not allowed/);
    asked.answer = 'granted';
    const silent = new PhoneRecorder();
    const start = silent.start();
    await vi.advanceTimersByTimeAsync(3000);
    expect(await start).toMatch(/no sensors that tell how it moves/);
    expect(silent.recording).toBe(false);
    const short = new PhoneRecorder();
    await started(short);
    expect(short.finish('flat')).toBeNull();
  });
  it('stops by itself after ten minutes, and keeps what it has', async () => {
    const recorder = new PhoneRecorder();
    await started(recorder);
    felt(602_000, [0, 0, 0], [0, 9.8, 0]);
    expect(recorder.recording).toBe(false);
    expect(recorder.finish('upright')?.tS).toHaveLength(2);
  });
});

import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { DEVICES } from '@gentle-arc/core/take';
import { demoShoot } from '@gentle-arc/core/testing/demo';
import { DeviceRunner } from './device-runner.svelte';

const shoot = demoShoot();
const shotOf = (name: string) => {
  const shot = shoot.shots.find((row) => row.name === name);
  if (!shot) throw new Error(name);
  return shot;
};
const deviceOf = (kind: string) => {
  const device = DEVICES.find((row) => row.kind === kind);
  if (!device) throw new Error(kind);
  return device;
};

beforeEach(() => {
  vi.useFakeTimers();
  // As it is on most days: no connection is lost.
  vi.spyOn(Math, 'random').mockReturnValue(0.5);
});
afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

describe('a device that pretends', () => {
  it('streams what it does, three times as fast as life, and ends by itself', async () => {
    const runner = new DeviceRunner();
    const run = runner.run(deviceOf('slider'), shoot, shotOf('First light along the rows'));
    await vi.advanceTimersByTimeAsync(1000);
    expect(runner.running).toBe('slider');
    expect(runner.seconds).toBeGreaterThan(2);
    expect(runner.seconds).toBeLessThan(3.5);
    expect(runner.batteryShare).toBeGreaterThan(0.3);
    await vi.advanceTimersByTimeAsync(20_000);
    const { record, why } = await run;
    expect(why).toBeNull();
    expect(record?.alongM?.length).toBeGreaterThan(300);
    expect(runner.running).toBeNull();
  });
  it('that is stopped keeps what it recorded so far', async () => {
    const runner = new DeviceRunner();
    const run = runner.run(deviceOf('gimbal'), shoot, shotOf('Round Ansa at the sorting table'));
    await vi.advanceTimersByTimeAsync(1500);
    runner.stop();
    await vi.advanceTimersByTimeAsync(200);
    const { record } = await run;
    expect(record?.tS.at(-1)).toBeLessThan(6);
  });
  it('refuses with a sentence, and records nothing', async () => {
    const runner = new DeviceRunner();
    const run = runner.run(deviceOf('slider'), shoot, shotOf('Round Ansa at the sorting table'));
    await vi.advanceTimersByTimeAsync(500);
    expect(await run).toEqual({ record: null, why: expect.stringMatching(/^Motor slider: its rail/) as string });
  });
});

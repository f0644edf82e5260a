import type { RecordedBy, Shoot, Shot } from '@gentle-arc/core/model';
import { plannedFilm } from '@gentle-arc/core/motion';
import { sceneOf } from '@gentle-arc/core/scene';
import {
  carryOut,
  type Device,
  type DeviceRow,
  type Faults,
  type MotionRecord,
  NO_FAULTS,
  recordOf,
} from '@gentle-arc/core/take';

/** Rows are taken this often, ms. */
const EVERY_MS = 100;
/** It runs so many times faster than life: nobody waits a whole move for a device that pretends. */
const FASTER = 3;

/** What a device does wrong today: different each time, each within what is usual for hands and motors. */
function faultsOfToday(device: Device): Faults {
  const between = (least: number, most: number) => least + (most - least) * Math.random();
  const byHand = device.kind === 'recorder';
  return {
    ...NO_FAULTS,
    seed: 1 + Math.floor(Math.random() * 1e6),
    startLateS: 2.2,
    pace: between(0.85, 1.2),
    lagS: between(0, 0.2),
    overshootShare: between(0, 0.05),
    levelOffDeg: between(-1.8, 1.8),
    tremorDeg: byHand ? between(0.1, 0.5) : 0.02,
    tremorHz: between(6, 9),
    bobMm: byHand ? between(4, 30) : 0,
    stepRateHz: between(1.6, 2.1),
    noise: 1,
    batteryShare: between(0.3, 1),
    losesAtS: Math.random() < 0.08 ? between(3, 8) : null,
  };
}

/** A device that pretends carries out the plan of a shot, and streams what it did. */
export class DeviceRunner {
  running: RecordedBy | null = $state(null);
  seconds = $state(0);
  batteryShare = $state(1);

  /** What it recorded, and why it ended early. */
  async run(device: Device, shoot: Shoot, shot: Shot): Promise<{ record: MotionRecord | null; why: string | null }> {
    const reports = carryOut(device, plannedFilm(sceneOf(shoot, shot)), faultsOfToday(device));
    const rows: DeviceRow[] = [];
    this.running = device.kind;
    this.seconds = 0;
    const fromMs = performance.now();
    let why: string | null = null;
    let over = false;
    while (!over && this.running === device.kind) {
      const untilS = ((performance.now() - fromMs) / 1000) * FASTER;
      while (!over && (rows.at(-1)?.tS ?? 0) <= untilS) {
        const next = reports.next();
        if (next.done) over = true;
        else if (next.value.is === 'row') {
          rows.push(next.value.row);
          ({ batteryShare: this.batteryShare } = next.value);
          this.seconds = next.value.row.tS;
        } else {
          over = true;
          if (next.value.is !== 'done') ({ why } = next.value);
        }
      }
      await new Promise((done) => setTimeout(done, EVERY_MS));
    }
    this.running = null;
    return { record: rows.length < 2 ? null : recordOf(device, rows), why };
  }

  stop(): void {
    this.running = null;
  }
}

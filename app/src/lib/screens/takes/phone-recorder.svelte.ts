import { emptyRecord, inCameraAxes, type MotionRecord, type Mount } from '@gentle-arc/core/take';

interface Row {
  tS: number;
  gyroRadps: [number, number, number] | null;
  accelMps2: [number, number, number] | null;
}

/** Safari asks first, by a method of its own; others do not have it. */
type Asks = { requestPermission?: () => Promise<string> };

const RAD = Math.PI / 180;
/** Longer is no take, s. */
const MOST_S = 600;
/** No reading after this: the device has no such sensor, ms. */
const SILENT_MS = 1500;

/** Turning and acceleration as this phone feels them, in its own axes. Permission is asked for when it is used. */
export class PhoneRecorder {
  recording = $state(false);
  seconds = $state(0);
  private rows: Row[] = [];
  private fromMs = 0;

  /** Starts; a sentence where this device cannot. */
  async start(): Promise<string | null> {
    if (!('DeviceMotionEvent' in window)) return 'This browser does not tell how the device moves.';
    const asks = DeviceMotionEvent as unknown as Asks;
    if (asks.requestPermission) {
      const answer = await asks.requestPermission().catch(() => 'denied');
      if (answer !== 'granted')
        return 'Motion was not allowed. Allow it for this page in the browser’s settings, and record again.';
    }
    this.rows = [];
    this.seconds = 0;
    this.fromMs = 0;
    window.addEventListener('devicemotion', this.hear);
    this.recording = true;
    await new Promise((done) => setTimeout(done, SILENT_MS));
    if (!this.recording || this.rows.length > 0) return null;
    this.stop();
    return 'This device has no sensors that tell how it moves. Take a phone, or a recording from a file.';
  }

  stop(): void {
    window.removeEventListener('devicemotion', this.hear);
    this.recording = false;
  }

  /** Ends, and gives what was recorded; null: too little. */
  finish(mount: Mount): MotionRecord | null {
    this.stop();
    const { rows } = this;
    if (rows.length < 2) return null;
    const record = emptyRecord(
      'phone',
      'this phone',
      Float64Array.from(rows, ({ tS }) => tS),
    );
    const three = (key: 'gyroRadps' | 'accelMps2') =>
      rows.every((row) => row[key] === null)
        ? null
        : inCameraAxes(
            [0, 1, 2].map((k) => Float64Array.from(rows, (row) => row[key]?.[k] ?? 0)) as [
              Float64Array,
              Float64Array,
              Float64Array,
            ],
            mount,
          );
    return { ...record, gyroRadps: three('gyroRadps'), accelMps2: three('accelMps2') };
  }

  private hear = ({ rotationRate, accelerationIncludingGravity: felt, timeStamp }: DeviceMotionEvent): void => {
    if (this.fromMs === 0) this.fromMs = timeStamp;
    const tS = (timeStamp - this.fromMs) / 1000;
    const last = this.rows.at(-1);
    if (last && tS <= last.tS) return;
    // About its x, y and z axes: alpha, beta and gamma of a rate (W3C Device Orientation Events; angles name others so).
    const turning = rotationRate && [rotationRate.alpha, rotationRate.beta, rotationRate.gamma];
    const told = (values: (number | null)[] | null, scale: number): [number, number, number] | null =>
      values && values.every((value) => value !== null)
        ? [values[0] * scale, values[1] * scale, values[2] * scale]
        : null;
    const gyroRadps = told(turning, RAD);
    const accelMps2 = told(felt && [felt.x, felt.y, felt.z], 1);
    if (!gyroRadps && !accelMps2) return;
    this.rows.push({ tS, gyroRadps, accelMps2 });
    this.seconds = tS;
    if (tS > MOST_S) this.stop();
  };
}

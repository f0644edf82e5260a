/** Frames as timecode after SMPTE ST 12-1 (from memory): hours, minutes, seconds, frames. */

/** Rates that are counted as whole ones and would run behind the clock: they drop numbers to keep up. */
const DROPS = new Map([
  [29.97, 30],
  [59.94, 60],
]);
const nominal = (rateHz: number): number => Math.max(1, Math.round(rateHz));
const dropOf = (rateHz: number): number | null => {
  for (const [rate, whole] of DROPS) if (Math.abs(rate - rateHz) < 0.005) return whole;
  return null;
};

/**
 * The timecode of a frame, counted from 0: `00:00:10:12`. At 29.97 and 59.94 with dropped numbers, told by a semicolon:
 * of each minute but the tenth the first two (four) numbers are left out, so that it keeps to the clock.
 */
export function timecode(frame: number, rateHz: number): string {
  const dropping = dropOf(rateHz);
  const whole = dropping ?? nominal(rateHz);
  let count = Math.round(frame);
  if (dropping !== null) {
    const skipped = dropping / 15;
    const perMinute = dropping * 60 - skipped;
    const perTen = dropping * 600 - skipped * 9;
    const [tens, rest] = [Math.floor(count / perTen), count % perTen];
    count +=
      tens * skipped * 9 + (rest < dropping * 60 ? 0 : skipped * (1 + Math.floor((rest - dropping * 60) / perMinute)));
  }
  const two = (value: number) => String(value).padStart(2, '0');
  const seconds = Math.floor(count / whole);
  const [h, m, s, f] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60, count % whole];
  return `${two(h)}:${two(m)}:${two(s)}${dropping === null ? ':' : ';'}${two(f)}`;
}

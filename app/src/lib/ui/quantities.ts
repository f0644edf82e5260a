import {
  clipped,
  parseLength,
  parseMass,
  parseMm,
  parseSpeed,
  type Quantity,
  sayExactLength,
  sayExactMass,
  sayExactMm,
  sayClock,
  saySpeed,
  trim,
  type Units,
} from '@gentle-arc/core/model';

const SUFFIX: Partial<Record<Quantity, string>> = {
  deg: '°',
  tenth: '°',
  degps: '°/s',
  s: ' s',
  mm: ' mm',
  percent: '%',
  newton: ' N',
  shutter: '°',
};
const DIGITS: Partial<Record<Quantity, number>> = {
  deg: 1,
  tenth: 2,
  degps: 1,
  s: 3,
  mm: 2,
  percent: 2,
  newton: 2,
  count: 0,
  plain: 3,
  hz: 3,
  shutter: 1,
};

/** A number as its field shows it: what is kept, not rounded to be read. */
export function sayQuantity(value: number, unit: Quantity, units: Units): string {
  if (unit === 'm') return sayExactLength(value, units);
  if (unit === 'mps') return saySpeed(value, units);
  if (unit === 'clock') return sayClock(value);
  if (unit === 'g') return sayExactMass(value / 1000, units);
  if (unit === 'size') return sayExactMm(value, units);
  if (unit === 'fine') return `${Number(value.toPrecision(6))}`;
  if (unit === 'share') return `${trim(value * 100, 2)}%`;
  return `${trim(value, DIGITS[unit] ?? 2)}${SUFFIX[unit] ?? ''}`;
}

/**
 * What was typed, as a number in the field's unit; null when it is none. `rateHz`: frames a second, for a shutter that
 * is typed as a time.
 */
export function readQuantity(text: string, unit: Quantity, units: Units, rateHz = 24): number | null {
  if (unit === 'm') return parseLength(text, units);
  if (unit === 'mps') return parseSpeed(text, units);
  if (unit === 'size') return parseMm(text, units);
  if (unit === 'g') {
    const massKg = parseMass(text, units);
    return massKg === null ? null : massKg * 1000;
  }
  if (unit === 'clock') return readClock(text);
  const time = unit === 'shutter' ? /^\s*1\s*\/\s*(\d+(?:[.,]\d+)?)\s*s?\s*$/.exec(text) : null;
  if (time) return (360 * rateHz) / Number(time[1].replace(',', '.'));
  const match = /^\s*([-−]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*(°\/s|°|s|mm|deg|%|N|Hz|fps)?\s*$/.exec(text);
  if (!match) return null;
  const number = Number(match[1].replace('−', '-').replace(',', '.'));
  return unit === 'share' ? Math.round(number * 1e6) / 1e8 : number;
}

/** A time of day in minutes after midnight: 7, 7:05, 7.05, 0705, 1:30 pm, 1:30 +1 of the next day; null when it is none. */
function readClock(text: string): number | null {
  const match = /^\s*(\d{1,2})(?:[:.h]?([0-5]\d))?\s*(am|pm)?\s*([+−-]\d+)?\s*$/i.exec(text);
  if (!match) return null;
  const [, hours, minutes, half, next] = match;
  const hour = Number(hours);
  if (half && (hour < 1 || hour > 12)) return null;
  const turned = half ? (hour % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : hour;
  return turned * 60 + Number(minutes ?? 0) + Number((next ?? '0').replace('−', '-')) * 1440;
}

const HINTS: Partial<Record<Quantity, string>> = {
  m: ' or a length such as 1.2 or 4′ 6″',
  shutter: ' of degrees or a time such as 1/50',
};

/**
 * What a typed text becomes within a range: a number, or why it is refused. A range's ends are inside it, as they are
 * shown.
 */
export function within(
  text: string,
  label: string,
  unit: Quantity,
  units: Units,
  min: number,
  max: number,
  rateHz?: number,
): number | string {
  const say = (value: number) => sayQuantity(value, unit, units);
  const value = readQuantity(text, unit, units, rateHz);
  if (value === null || !Number.isFinite(value))
    return `${label}: “${clipped(text, 40)}” is not ${unit === 'clock' ? 'a time such as 7:30' : `a number${HINTS[unit] ?? ''}`}; type one from ${say(min)} to ${say(max)}.`;
  if (unit === 'count' && !Number.isInteger(value))
    return `${label}: “${clipped(text, 40)}” is not a whole number; type one from ${say(min)} to ${say(max)}.`;
  for (const end of [min, max])
    if (say(value) === say(end) || Math.abs(value - end) <= 1e-9 * Math.max(1, Math.abs(end))) return end;
  if (value < min || value > max)
    return `${label} must be from ${say(min)} to ${say(max)}; “${clipped(text, 40)}” is outside.`;
  return value;
}

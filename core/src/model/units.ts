/** The person's choice of how lengths are written. Core computes in metres throughout. */
export type Units = 'metric' | 'imperial';

export const M_PER_FOOT = 0.3048;
const KG_PER_OUNCE = 0.028349523125;
const MM_PER_INCH = 25.4;

/** A length in words: `1.25 m`, or `4′ 1″` in feet and inches. */
export function sayLength(lengthM: number, units: Units): string {
  if (units === 'metric') return `${trim(lengthM, Math.abs(lengthM) < 10 ? 2 : 1)} m`;
  const inches = Math.round((Math.abs(lengthM) / M_PER_FOOT) * 12);
  const sign = lengthM < 0 && inches > 0 ? '−' : '';
  const feet = Math.floor(inches / 12);
  return feet === 0 ? `${sign}${inches}″` : `${sign}${feet}′ ${inches % 12}″`;
}

/** A length as it is kept, for a field that is typed over: millimetres, or tenths of an inch. */
export function sayExactLength(lengthM: number, units: Units): string {
  if (units === 'metric') return `${trim(lengthM, 3)} m`;
  const inches = Math.round((Math.abs(lengthM) / M_PER_FOOT) * 120) / 10;
  const sign = lengthM < 0 && inches > 0 ? '−' : '';
  const feet = Math.floor(inches / 12 + 1e-9);
  return feet === 0 ? `${sign}${trim(inches, 1)}″` : `${sign}${feet}′ ${trim(inches - feet * 12, 1)}″`;
}

/** A mass as it is kept, kg: grams to the tenth, or ounces to the hundredth. */
export function sayExactMass(massKg: number, units: Units): string {
  if (units === 'metric') return Math.abs(massKg) < 0.99995 ? `${trim(massKg * 1000, 1)} g` : `${trim(massKg, 4)} kg`;
  const ounces = massKg / KG_PER_OUNCE;
  return Math.abs(ounces) < 16 ? `${trim(ounces, 2)} oz` : `${trim(ounces / 16, 3)} lb`;
}

/** The size of something on a rig as it is kept, mm: millimetres to the hundredth, or inches to the thousandth. */
export const sayExactMm = (mm: number, units: Units): string =>
  units === 'metric' ? `${trim(mm, 2)} mm` : `${trim(mm / MM_PER_INCH, 3)}″`;

/** What somebody sets who reads a size as `sayExactMm` prints it, mm. */
export const asPrintedMm = (mm: number, units: Units): number =>
  units === 'metric' ? Math.round(mm * 100) / 100 : (Math.round((mm / MM_PER_INCH) * 1000) / 1000) * MM_PER_INCH;

/**
 * A size that is set by hand on a motor gimbal: tenths of a millimetre, or hundredths of an inch; and what somebody
 * sets who reads it.
 */
export function handMm(mm: number, units: Units): { said: string; mm: number } {
  if (units === 'metric') return { said: `${trim(mm, 1)} mm`, mm: Math.round(mm * 10) / 10 };
  return { said: `${trim(mm / MM_PER_INCH, 2)}″`, mm: (Math.round((mm / MM_PER_INCH) * 100) / 100) * MM_PER_INCH };
}

/**
 * Reads a typed size in millimetres: a bare number is millimetres, or inches when the person works in them; `mm`, `cm`,
 * `m`, `in` and `"` always work. Null when it is not one.
 */
export function parseMm(text: string, units: Units): number | null {
  const match = /^\s*([-−]?(?:\d+(?:[.,]\d*)?|[.,]\d+))\s*(mm|cm|m|in|"|″|”)?\s*$/.exec(text);
  if (!match) return null;
  const perUnit =
    { mm: 1, cm: 10, m: 1000, in: MM_PER_INCH, '"': MM_PER_INCH, '″': MM_PER_INCH, '”': MM_PER_INCH }[match[2] ?? ''] ??
    (units === 'metric' ? 1 : MM_PER_INCH);
  return Number(match[1].replace('−', '-').replace(',', '.')) * perUnit;
}

/** A speed in words: metres or feet a second. */
export function saySpeed(speedMps: number, units: Units): string {
  return units === 'metric' ? `${trim(speedMps, 2)} m/s` : `${trim(speedMps / M_PER_FOOT, 1)} ft/s`;
}

/** A mass in words: grams below a kilogram, else kilograms; or pounds and ounces. */
export function sayMass(massKg: number, units: Units): string {
  if (units === 'metric') return Math.abs(massKg) < 0.9995 ? `${trim(massKg * 1000, 0)} g` : `${trim(massKg, 2)} kg`;
  const ounces = massKg / KG_PER_OUNCE;
  return Math.abs(ounces) < 16 ? `${trim(ounces, 1)} oz` : `${trim(ounces / 16, 1)} lb`;
}

/** A small length in words: millimetres, or inches to the hundredth. */
export const sayMm = (mm: number, units: Units): string =>
  units === 'metric' ? `${trim(mm, Math.abs(mm) < 10 ? 1 : 0)} mm` : `${trim(mm / MM_PER_INCH, 2)}″`;

/**
 * Reads a typed mass in kilograms: a bare number is grams, or ounces when the person works in them; `g`, `kg`, `oz` and
 * `lb` always work. Null when it is not a mass.
 */
export function parseMass(text: string, units: Units): number | null {
  const match = /^\s*(\d+(?:[.,]\d*)?|[.,]\d+)\s*(g|kg|oz|lb)?\s*$/.exec(text);
  if (!match) return null;
  const perUnit =
    { g: 0.001, kg: 1, oz: KG_PER_OUNCE, lb: 16 * KG_PER_OUNCE }[match[2] ?? ''] ??
    (units === 'metric' ? 0.001 : KG_PER_OUNCE);
  return Number(match[1].replace(',', '.')) * perUnit;
}

/**
 * Reads a typed speed in metres a second: a bare number is metres, or feet, a second; `m/s`, `ft/s` and `km/h` always
 * work. Null when it is not a speed.
 */
export function parseSpeed(text: string, units: Units): number | null {
  const match = /^\s*(\d+(?:[.,]\d*)?|[.,]\d+)\s*(m\/s|ft\/s|km\/h)?\s*$/.exec(text);
  if (!match) return null;
  const perUnit =
    { 'm/s': 1, 'ft/s': M_PER_FOOT, 'km/h': 1 / 3.6 }[match[2] ?? ''] ?? (units === 'metric' ? 1 : M_PER_FOOT);
  return Number(match[1].replace(',', '.')) * perUnit;
}

/**
 * Reads a typed length in metres. A bare number is metres, or feet when the person works in feet; `5' 6"`, `18 in`, `40
 * cm` and `2 m` always work. Null when it is not a length.
 */
export function parseLength(text: string, units: Units): number | null {
  const clean = text.trim().replace(',', '.').replace('−', '-').replace(/[′’]/g, "'").replace(/[″”]/g, '"');
  const feetAndInches = /^(-?)(\d+(?:\.\d+)?)\s*(?:'|ft)\s*(?:(\d+(?:\.\d+)?)\s*(?:"|in)?)?$/.exec(clean);
  if (feetAndInches) {
    const lengthM = (Number(feetAndInches[2]) + Number(feetAndInches[3] ?? 0) / 12) * M_PER_FOOT;
    return feetAndInches[1] ? -lengthM : lengthM;
  }
  const plain = /^(-?(?:\d+\.?\d*|\.\d+))\s*(m|cm|mm|in|")?$/.exec(clean);
  if (!plain) return null;
  const perUnit =
    { m: 1, cm: 0.01, mm: 0.001, in: M_PER_FOOT / 12, '"': M_PER_FOOT / 12 }[plain[2] ?? ''] ??
    (units === 'metric' ? 1 : M_PER_FOOT);
  return Number(plain[1]) * perUnit;
}

/** A number with at most so many decimals and no trailing zeros; a true minus sign. */
export function trim(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  const short = text.includes('.') ? text.replace(/0+$/, '').replace(/\.$/, '') : text;
  return short === '-0' ? '0' : short.replace('-', '−');
}

/** So many of something in words: 1 shot, 2 shots, 3 batteries. */
export const sayCount = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

/** A moment of inertia in words. */
export const sayInertia = (kgM2: number, units: Units): string =>
  units === 'metric' ? `${trim(kgM2, 3)} kg m²` : `${trim(kgM2 / (16 * KG_PER_OUNCE) / M_PER_FOOT ** 2, 2)} lb ft²`;

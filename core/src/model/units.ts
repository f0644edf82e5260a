/** The person's choice of how lengths are written. Core computes in metres throughout. */
export type Units = 'metric' | 'imperial';

export const M_PER_FOOT = 0.3048;
const KG_PER_OUNCE = 0.028349523125;

/** A length in words: `1.25 m`, or `4′ 1″` in feet and inches. */
export function sayLength(lengthM: number, units: Units): string {
  if (units === 'metric') return `${trim(lengthM, Math.abs(lengthM) < 10 ? 2 : 1)} m`;
  const inches = Math.round((Math.abs(lengthM) / M_PER_FOOT) * 12);
  const sign = lengthM < 0 && inches > 0 ? '−' : '';
  const feet = Math.floor(inches / 12);
  return feet === 0 ? `${sign}${inches}″` : `${sign}${feet}′ ${inches % 12}″`;
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
export const sayMm = (mm: number, units: Units): string => (units === 'metric' ? `${trim(mm, Math.abs(mm) < 10 ? 1 : 0)} mm` : `${trim(mm / 25.4, 2)}″`);

/** Reads a typed mass in kilograms: a bare number is grams, or ounces when the person works in them; `g`, `kg`, `oz` and `lb` always work. Null when it is not a mass. */
export function parseMass(text: string, units: Units): number | null {
  const match = /^\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*(g|kg|oz|lb)?\s*$/.exec(text);
  if (!match) return null;
  const perUnit = { g: 0.001, kg: 1, oz: KG_PER_OUNCE, lb: 16 * KG_PER_OUNCE }[match[2] ?? ''] ?? (units === 'metric' ? 0.001 : KG_PER_OUNCE);
  return Number(match[1].replace(',', '.')) * perUnit;
}

/** Reads a typed speed in metres a second: a bare number is metres, or feet, a second; `m/s`, `ft/s` and `km/h` always work. Null when it is not a speed. */
export function parseSpeed(text: string, units: Units): number | null {
  const match = /^\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*(m\/s|ft\/s|km\/h)?\s*$/.exec(text);
  if (!match) return null;
  const perUnit = { 'm/s': 1, 'ft/s': M_PER_FOOT, 'km/h': 1 / 3.6 }[match[2] ?? ''] ?? (units === 'metric' ? 1 : M_PER_FOOT);
  return Number(match[1].replace(',', '.')) * perUnit;
}

/** Reads a typed length in metres. A bare number is metres, or feet when the person works in feet; `5' 6"`, `18 in`, `40 cm` and `2 m` always work. Null when it is not a length. */
export function parseLength(text: string, units: Units): number | null {
  const clean = text.trim().replace(',', '.').replace('−', '-').replace(/[′’]/g, "'").replace(/[″”]/g, '"');
  const feetAndInches = /^(-?)(\d+(?:\.\d+)?)\s*(?:'|ft)\s*(?:(\d+(?:\.\d+)?)\s*(?:"|in)?)?$/.exec(clean);
  if (feetAndInches) {
    const lengthM = (Number(feetAndInches[2]) + Number(feetAndInches[3] ?? 0) / 12) * M_PER_FOOT;
    return feetAndInches[1] ? -lengthM : lengthM;
  }
  const plain = /^(-?(?:\d+\.?\d*|\.\d+))\s*(m|cm|mm|in|")?$/.exec(clean);
  if (!plain) return null;
  const perUnit = { m: 1, cm: 0.01, mm: 0.001, in: M_PER_FOOT / 12, '"': M_PER_FOOT / 12 }[plain[2] ?? ''] ?? (units === 'metric' ? 1 : M_PER_FOOT);
  return Number(plain[1]) * perUnit;
}

/** A number with at most so many decimals and no trailing zeros; a true minus sign. */
export function trim(value: number, decimals: number): string {
  const text = value.toFixed(decimals);
  const short = text.includes('.') ? text.replace(/0+$/, '').replace(/\.$/, '') : text;
  return short === '-0' ? '0' : short.replace('-', '−');
}

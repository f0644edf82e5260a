import type { Support } from '../model';
import { supportOf } from '../supports';

/** The field of a support with another value; choices of yes and no become truth. */
export function withField(support: Support, field: string, value: number | string): Support {
  const own = (support as Record<string, unknown>)[field];
  return { ...support, [field]: typeof own === 'boolean' ? value === 'true' : value } as Support;
}

/**
 * From where to where a number of a support goes as the rest of it is set: its field's own range, or less. What is kept
 * now is always inside.
 */
export function rangeIn(support: Support, field: string, min: number, max: number): { min: number; max: number } {
  const now = Number((support as Record<string, unknown>)[field]);
  const [least, most] = supportOf(support.kind).range?.(support, field) ?? [min, max];
  return { min: Math.min(now, Math.max(min, least)), max: Math.max(now, Math.min(max, most)) };
}

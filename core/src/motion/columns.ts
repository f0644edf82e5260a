/** A value of a column and the row it stands in. */
export interface At {
  value: number;
  row: number;
}

/**
 * Mean over the rows within half a window of each row; rows that are not numbers are left out, and NaN stands where
 * none is.
 */
export function smoothed(column: Float64Array, windowRows: number): Float64Array {
  const half = Math.max(0, Math.round((windowRows - 1) / 2));
  const out = new Float64Array(column.length).fill(NaN);
  let sum = 0;
  let numbers = 0;
  const add = (row: number, sign: number) => {
    const value = column[row];
    if (Number.isNaN(value)) return;
    sum += sign * value;
    numbers += sign;
  };
  for (let row = 0; row < Math.min(half, column.length); row += 1) add(row, 1);
  for (let row = 0; row < column.length; row += 1) {
    if (row + half < column.length) add(row + half, 1);
    if (row - half - 1 >= 0) add(row - half - 1, -1);
    if (numbers > 0) out[row] = sum / numbers;
  }
  return out;
}

/** The largest number of a column between two rows (both included); null when there is none. */
export function largest(column: Float64Array, from = 0, to = column.length - 1): At | null {
  let found: At | null = null;
  for (let row = from; row <= to; row += 1)
    if (!Number.isNaN(column[row]) && (found === null || column[row] > found.value))
      found = { value: column[row], row };
  return found;
}

/** A stretch of rows. */
export interface Run {
  row: number;
  rows: number;
}

/**
 * The longest stretch of rows in a row where `test` holds, and how many such stretches there are; null when it never
 * holds.
 */
export function longestRun(count: number, test: (row: number) => boolean): (Run & { stretches: number }) | null {
  let best: Run | null = null;
  let stretches = 0;
  let from = -1;
  for (let row = 0; row <= count; row += 1) {
    const holds = row < count && test(row);
    if (holds && from < 0) {
      from = row;
      stretches += 1;
    }
    if (holds || from < 0) continue;
    if (best === null || row - from > best.rows) best = { row: from, rows: row - from };
    from = -1;
  }
  return best && { ...best, stretches };
}

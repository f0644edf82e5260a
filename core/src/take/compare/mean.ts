/** The mean of a column; 0 of an empty one. */
export const mean = (column: Float64Array): number =>
  column.reduce((sum, v) => sum + v, 0) / Math.max(1, column.length);

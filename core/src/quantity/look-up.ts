/** Rows of a published table, its first column rising. */
export type Table = readonly (readonly [x: number, y: number])[];

/**
 * Reads a table at `x`: straight lines between its rows, held at its first and last row beyond
 * them. An empty table reads 0.
 * @example lookUp([[1.5, 0.15], [2, 0.13]], 1.75) // 0.14
 */
export function lookUp(table: Table, x: number): number {
  let below = table[0];
  for (const row of table) {
    if (below && row[0] >= x) {
      const run = row[0] - below[0];
      return run === 0 ? row[1] : below[1] + ((row[1] - below[1]) * (x - below[0])) / run;
    }
    below = row;
  }
  return below?.[1] ?? 0;
}

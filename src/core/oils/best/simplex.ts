/** Most of gain·x where rows·x ≤ bounds and x ≥ 0; every bound is at least 0, so that x = 0 is allowed. */
export interface LinearProgram {
  readonly gain: readonly number[];
  readonly rows: readonly { readonly by: readonly number[]; readonly bound: number }[];
}

export interface LinearAnswer {
  readonly value: number;
  /** Of each row, what one more of its bound would bring (≥ 0). */
  readonly prices: readonly number[];
}

const tiny = 1e-11;
/** After this many exchanges the first that helps is taken, which cannot go round in circles (Bland 1977). */
const patience = 200;

/**
 * The primal simplex on a condensed tableau (Dantzig 1951): the columns are those variables that are 0.
 * @throws RangeError when the gain has no end
 */
export function maximise({ gain, rows }: LinearProgram): LinearAnswer {
  const width = gain.length;
  const height = rows.length;
  // One row more for the gain, one column more for the bounds.
  const table = [...rows.map(({ by, bound }) => Float64Array.of(...by, bound)), Float64Array.of(...gain, 0)];
  const zero = Array.from({ length: width }, (_, j) => j);
  const basic = Array.from({ length: height }, (_, r) => width + r);
  const top = table[height] ?? new Float64Array(width + 1);
  for (let round = 0; ; round += 1) {
    const column = entering(top, width, zero, round > patience);
    if (column < 0) break;
    const row = leaving(table, height, width, column, basic);
    if (row < 0) throw new RangeError('the gain has no end');
    pivot(table, row, column);
    const left = basic[row] ?? 0;
    basic[row] = zero[column] ?? 0;
    zero[column] = left;
  }
  const prices = rows.map(() => 0);
  zero.forEach((variable, j) => {
    if (variable >= width) prices[variable - width] = Math.max(0, -(top[j] ?? 0));
  });
  return { value: -(top[width] ?? 0), prices };
}

function entering(top: Float64Array, width: number, zero: readonly number[], isCareful: boolean): number {
  let column = -1;
  for (let j = 0; j < width; j += 1) {
    if ((top[j] ?? 0) <= tiny) continue;
    const isNext = isCareful ? (zero[j] ?? 0) < (zero[column] ?? Infinity) : (top[j] ?? 0) > (top[column] ?? 0);
    if (column < 0 || isNext) column = j;
  }
  return column;
}

function leaving(
  table: readonly Float64Array[],
  height: number,
  width: number,
  column: number,
  basic: readonly number[],
): number {
  let row = -1;
  let least = Infinity;
  for (let r = 0; r < height; r += 1) {
    const by = table[r]?.[column] ?? 0;
    if (by <= tiny) continue;
    const ratio = (table[r]?.[width] ?? 0) / by;
    if (ratio < least - tiny || (ratio <= least + tiny && (basic[r] ?? 0) < (basic[row] ?? Infinity))) {
      least = Math.min(least, ratio);
      row = r;
    }
  }
  return row;
}

/** Exchanges the variable of a column for that of a row. */
function pivot(table: readonly Float64Array[], row: number, column: number): void {
  const own = table[row];
  if (!own) return;
  const by = own[column] ?? 1;
  for (let j = 0; j < own.length; j += 1) own[j] = j === column ? 1 / by : (own[j] ?? 0) / by;
  for (const other of table) {
    if (other === own) continue;
    const factor = other[column] ?? 0;
    if (factor === 0) continue;
    for (let j = 0; j < other.length; j += 1)
      other[j] = j === column ? -factor / by : (other[j] ?? 0) - factor * (own[j] ?? 0);
  }
}

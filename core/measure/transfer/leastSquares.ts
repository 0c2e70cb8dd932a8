/** A least-squares solution with what is needed to say how well it is known. */
export interface LeastSquares {
  parameters: number[];
  /** Of each row: measured less fitted. */
  residuals: number[];
  /** Standard deviation of the residuals with n − p degrees of freedom; zero where none are left. */
  scatter: number;
  /** How far each row pulls the fit towards itself, 0..1. */
  leverages: number[];
  /** One standard uncertainty of the fitted value for a row of the same basis. */
  standardUncertaintyOf(row: readonly number[]): number;
}

/**
 * Ordinary least squares by the normal equations, with every column first brought to length one, which keeps them well
 * conditioned for the few columns used here.
 *
 * @param rows n rows of p basis values, n ≥ p
 * @returns undefined where the columns do not tell the parameters apart
 */
export function leastSquares(
  rows: readonly (readonly number[])[],
  measured: readonly number[],
): LeastSquares | undefined {
  const p = rows[0]?.length ?? 0;
  const scale = Array.from({ length: p }, (_, j) => columnLength(rows, j));
  // A column of next to nothing has no length to be brought to one, and its squares run out of digits.
  if (scale.some((length) => !(length > LEAST_LENGTH))) return undefined;
  const scaledRow = (row: readonly number[]): number[] => row.map((value, j) => value / scale[j]!);
  const scaledRows = rows.map(scaledRow);
  const normal = Array.from({ length: p }, () => new Array<number>(p).fill(0));
  const right = new Array<number>(p).fill(0);
  scaledRows.forEach((row, i) => {
    for (let j = 0; j < p; j++) {
      right[j]! += row[j]! * measured[i]!;
      for (let k = 0; k <= j; k++) normal[j]![k]! += row[j]! * row[k]!;
    }
  });
  const factor = cholesky(normal);
  if (!factor) return undefined;
  const solution = solveUpper(factor, solveLower(factor, right));
  const residuals = scaledRows.map((row, i) => measured[i]! - dot(row, solution));
  const left = rows.length - p;
  const squares = residuals.reduce((sum, residual) => sum + residual ** 2, 0);
  const scatter = left > 0 ? Math.sqrt(squares / left) : 0;
  // φᵀ (JᵀJ)⁻¹ φ is the squared length of L⁻¹ φ.
  const spread = (scaled: readonly number[]): number => {
    const lower = solveLower(factor, scaled);
    return dot(lower, lower);
  };
  return {
    parameters: solution.map((value, j) => value / scale[j]!),
    residuals,
    scatter,
    leverages: scaledRows.map(spread),
    standardUncertaintyOf: (row) => scatter * Math.sqrt(spread(scaledRow(row))),
  };
}

const LEAST_LENGTH = 1e-100;

const columnLength = (rows: readonly (readonly number[])[], j: number): number =>
  Math.sqrt(rows.reduce((sum, row) => sum + row[j]! ** 2, 0));

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, i) => sum + value * b[i]!, 0);

/** Of a matrix of unit diagonal; what is smaller than this is rounding. */
const LEAST_PIVOT = 1e-12;

function cholesky(matrix: readonly (readonly number[])[]): number[][] | undefined {
  const lower = matrix.map((row) => row.map(() => 0));
  for (let j = 0; j < matrix.length; j++) {
    for (let i = j; i < matrix.length; i++) {
      let sum = matrix[i]![j]!;
      for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!;
      if (i > j) lower[i]![j] = sum / lower[j]![j]!;
      else if (sum > LEAST_PIVOT) lower[j]![j] = Math.sqrt(sum);
      else return undefined;
    }
  }
  return lower;
}

function solveLower(lower: readonly (readonly number[])[], right: readonly number[]): number[] {
  const solution: number[] = [];
  lower.forEach((row, i) => {
    let sum = right[i]!;
    for (let k = 0; k < i; k++) sum -= row[k]! * solution[k]!;
    solution.push(sum / row[i]!);
  });
  return solution;
}

function solveUpper(lower: readonly (readonly number[])[], right: readonly number[]): number[] {
  const solution = [...right];
  for (let i = lower.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < lower.length; k++) solution[i]! -= lower[k]![i]! * solution[k]!;
    solution[i]! /= lower[i]![i]!;
  }
  return solution;
}

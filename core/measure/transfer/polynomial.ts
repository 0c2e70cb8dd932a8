import { solveMonotone } from './solveMonotone.ts';

/** Coefficients run from the constant upwards. */
export function polynomialAt(coefficients: readonly number[], x: number): number {
  let sum = 0;
  for (let i = coefficients.length - 1; i >= 0; i--) sum = sum * x + coefficients[i]!;
  return sum;
}

/** Of a polynomial, lowest power first. */
export const derivative = (coefficients: readonly number[]): number[] =>
  coefficients.slice(1).map((coefficient, i) => coefficient * (i + 1));

/**
 * Where a polynomial changes sign strictly between two places, rising. Between neighbouring roots of its derivative it
 * is monotone, so every piece has one crossing at most and halving finds it: no root is missed, none invented.
 */
export function signChanges(coefficients: readonly number[], from: number, to: number): number[] {
  if (coefficients.length < 2) return [];
  const turns = [from, ...signChanges(derivative(coefficients), from, to), to];
  return turns.slice(1).flatMap((end, i) => {
    const start = turns[i]!;
    const atStart = polynomialAt(coefficients, start);
    if (!(atStart * polynomialAt(coefficients, end) < 0)) return [];
    const at = (x: number) => polynomialAt(coefficients, x);
    return [solveMonotone(at, 0, { from: start, to: end, rising: atStart < 0 })];
  });
}

/** Whether it rises, or falls, all the way. */
export function isMonotonePolynomial(coefficients: readonly number[], from: number, to: number): boolean {
  const slope = derivative(coefficients);
  return (
    from < to &&
    polynomialAt(coefficients, from) !== polynomialAt(coefficients, to) &&
    signChanges(slope, from, to).length === 0
  );
}

import type { NetworkParts } from './network.ts';

/**
 * A second solver for tests, which shares nothing with the first: every choice of pieces in turn, each solved in whole
 * numbers without rounding. A double is a whole number times a power of two, so that nothing is lost on the way in.
 *
 * For small networks only, without shorts and opens: the choices are 2 to 8 to the power of the parts.
 */
export interface ExactPoint {
  /** By node, in volts. */
  volts: readonly number[];
  /** How far the worst part lies outside its piece, in volts; 0 where all fit. */
  missesByVolts: number;
}

/** A number as `mantissa · 2^-SCALE`: finer than the least bit of any product that is met here. */
const SCALE = 400n;

function exactOf(value: number): bigint {
  if (value === 0) return 0n;
  const exponent = Math.max(-1022, Math.floor(Math.log2(Math.abs(value)))) - 60;
  // Both factors are exact: a power of two, and a mantissa of at most 61 bits, a whole number.
  const mantissa = BigInt(value / 2 ** exponent);
  const shift = SCALE + BigInt(exponent);
  return shift >= 0n ? mantissa << shift : mantissa >> -shift;
}
const ONE = 1n << SCALE;
const times = (a: bigint, b: bigint): bigint => (a * b) >> SCALE;

/** One affine relation of node voltages: `of · volts + constant`. */
interface Affine {
  of: bigint[];
  constant: bigint;
}

interface Choice {
  /** Current into node `from`, out of node `to`. */
  from: number;
  to: number;
  amps: Affine;
  /** Each is at or above zero where the part lies on this piece, in volts. */
  conditions: readonly Affine[];
}

/** Every operating point within `slackVolts` of every edge. */
export function exactOperatingPoints(parts: NetworkParts, slackVolts: number): ExactPoint[] {
  const { nodeCount } = parts;
  const zero = (): bigint[] => Array.from({ length: nodeCount }, () => 0n);
  const unit = (node: number): Affine => ({
    of: zero().map((_, i) => (i === node ? ONE : 0n)),
    constant: 0n,
  });
  const add = (a: Affine, b: Affine, sign = 1n): Affine => ({
    of: a.of.map((one, i) => one + sign * b.of[i]!),
    constant: a.constant + sign * b.constant,
  });
  const scaled = (a: Affine, by: bigint): Affine => ({
    of: a.of.map((one) => times(one, by)),
    constant: times(a.constant, by),
  });
  const constant = (value: number): Affine => ({ of: zero(), constant: exactOf(value) });
  const between = (a: number, b: number): Affine => add(unit(a), unit(b), -1n);

  const fixed: Choice[] = parts.resistors.map(({ a, b, ohms }) => ({
    from: a,
    to: b,
    amps: scaled(between(a, b), exactOf(1 / ohms)),
    conditions: [],
  }));
  const byPart: Choice[][] = parts.conductors.map(({ a, b, breaksVolts, slopesSiemens, interceptsAmps }) =>
    slopesSiemens.map((slope, piece) => ({
      from: a,
      to: b,
      amps: add(scaled(between(a, b), exactOf(slope)), constant(interceptsAmps[piece]!)),
      conditions: [
        ...(piece > 0 ? [add(between(a, b), constant(breaksVolts[piece - 1]!), -1n)] : []),
        ...(piece < breaksVolts.length ? [add(constant(breaksVolts[piece]!), between(a, b), -1n)] : []),
      ],
    })),
  );
  for (const stage of parts.stages) {
    const { output, supply, common, share, offsetVolts, lowestShare, highestShare, outputOhms } = stage;
    const fed = between(supply, common);
    const wanted = add(scaled(fed, exactOf(share)), constant(offsetVolts));
    const lowest = scaled(fed, exactOf(lowestShare));
    const highest = scaled(fed, exactOf(highestShare));
    const rails: { open: Affine; conditions: Affine[] }[] = [
      { open: constant(0), conditions: [scaled(fed, -ONE)] },
      { open: lowest, conditions: [fed, add(lowest, wanted, -1n)] },
      { open: wanted, conditions: [fed, add(wanted, lowest, -1n), add(highest, wanted, -1n)] },
      { open: highest, conditions: [fed, add(wanted, highest, -1n)] },
    ];
    byPart.push(
      rails.flatMap(({ open, conditions }) => {
        const excess = add(open, between(output, common), -1n);
        const amps = scaled(excess, -exactOf(1 / outputOhms));
        return [
          { from: output, to: supply, amps, conditions: [...conditions, excess] },
          { from: output, to: common, amps, conditions: [...conditions, scaled(excess, -ONE)] },
        ];
      }),
    );
  }

  const points: ExactPoint[] = [];
  const chosen: Choice[] = [];
  const visit = (part: number): void => {
    if (part < byPart.length) {
      for (const choice of byPart[part]!) {
        chosen[part] = choice;
        visit(part + 1);
      }
      return;
    }
    const rows = Array.from({ length: nodeCount }, () => ({ of: zero(), constant: 0n }));
    for (const { from, to, amps } of [...fixed, ...chosen]) {
      rows[from] = add(rows[from]!, amps);
      rows[to] = add(rows[to]!, amps, -1n);
    }
    const solved = solve(rows.slice(1).map(({ of, constant: c }) => [...of.slice(1), -c]));
    if (!solved) return;
    const at = [0n, ...solved];
    let least = 0;
    for (const { conditions } of chosen)
      for (const { of, constant: c } of conditions) {
        const margin = of.reduce((sum, one, i) => sum + times(one, at[i]!), c);
        least = Math.min(least, Number(margin) / 2 ** Number(SCALE));
      }
    if (least >= -slackVolts)
      points.push({ volts: at.map((one) => Number(one) / 2 ** Number(SCALE)), missesByVolts: -least });
  };
  visit(0);
  return points;
}

/** Fraction-free elimination (Bareiss, 1968) over whole numbers; undefined where the rows do not determine a point. */
function solve(rows: bigint[][]): bigint[] | undefined {
  const size = rows.length;
  let before = 1n;
  for (let k = 0; k < size; k++) {
    const pivot = rows.findIndex((row, r) => r >= k && row[k] !== 0n);
    if (pivot < 0) return undefined;
    [rows[k], rows[pivot]] = [rows[pivot]!, rows[k]!];
    for (let r = 0; r < size; r++) {
      if (r === k) continue;
      const factor = rows[r]![k]!;
      for (let c = 0; c <= size; c++)
        if (c !== k) rows[r]![c] = (rows[k]![k]! * rows[r]![c]! - factor * rows[k]![c]!) / before;
      rows[r]![k] = 0n;
    }
    before = rows[k]![k]!;
  }
  return rows.map((row, k) => (row[size]! << SCALE) / row[k]!);
}

/** Answers stand at so many signal voltages of a sound sensor; between them they are linear, so that rails need it fine. */
export const QUANTITY_NODES = 17;
/** Where nothing bends, two ends and this one show it: not the middle, since both ends may bend alike. */
const PROVING_NODE = 5;
const QUARTERS = [0, 4, 8, 12, 16] as const;
/** Where the quantity stands at about a quarter: for whatever does not depend on it. */
export const REST_NODE = QUARTERS[1];

/** Nearer than this to a straight line it is one: far below what any meter tells. */
const STRAIGHT_VOLTS = 5e-4;
/** Nearer than this to the curve of a loaded track, or to a rail, a line is as good: half of what circuits differ by. */
export const BENT_VOLTS = 4e-3;

/** @param solved what the circuit gives at a node */
export function fillRow(row: Float64Array, solved: (node: number) => number, tolerance: number): void {
  const solve = (node: number): void => {
    row[node] = solved(node);
  };
  const last = QUANTITY_NODES - 1;
  for (const node of [0, last, PROVING_NODE]) solve(node);
  if (isOnLine(row, 0, PROVING_NODE, last, STRAIGHT_VOLTS)) {
    line(row, 0, last);
    return;
  }
  for (const node of QUARTERS.slice(1, -1)) solve(node);
  bendAtQuarters(row, solve, tolerance);
}

/** Solves on in those quarters at whose ends the row bends: lines between the others are near enough. */
function bendAtQuarters(row: Float64Array, solve: (node: number) => void, tolerance: number): void {
  const bends = QUARTERS.map((node, q) =>
    q === 0 || q === QUARTERS.length - 1
      ? 0
      : Math.abs(row[QUARTERS[q - 1]!]! - 2 * row[node]! + row[QUARTERS[q + 1]!]!),
  );
  for (let q = 1; q < QUARTERS.length; q++) {
    const [from, to] = [QUARTERS[q - 1]!, QUARTERS[q]!];
    // What a line leaves out of a curve is an eighth of this.
    if (Math.max(bends[q - 1]!, bends[q]!) < 8 * tolerance) line(row, from, to);
    else bend(row, from, to, solve, tolerance);
  }
}

/** Solves between two nodes as long as what is found there is not on the line between them. */
function bend(
  row: Float64Array,
  from: number,
  to: number,
  solve: (node: number) => void,
  tolerance: number,
): void {
  if (to - from <= 1) return;
  const middle = (from + to) >> 1;
  solve(middle);
  if (isOnLine(row, from, middle, to, tolerance)) line(row, from, to);
  else {
    bend(row, from, middle, solve, tolerance);
    bend(row, middle, to, solve, tolerance);
  }
}

const onLine = (row: Float64Array, from: number, node: number, to: number): number =>
  row[from]! + ((row[to]! - row[from]!) * (node - from)) / (to - from);

const isOnLine = (row: Float64Array, from: number, node: number, to: number, tolerance: number): boolean =>
  row[from] === row[to]
    ? row[node] === row[from]
    : Math.abs(row[node]! - onLine(row, from, node, to)) < tolerance;

function line(row: Float64Array, from: number, to: number): void {
  if (row[from] === row[to]) row.fill(row[from]!, from, to + 1);
  else for (let node = from + 1; node < to; node++) row[node] = onLine(row, from, node, to);
}

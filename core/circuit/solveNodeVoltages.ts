/**
 * Node voltages of a linear DC network by nodal analysis. Node 0 is battery negative.
 * Every source has a series resistance, so each is stamped as its Norton equivalent and no branch unknowns are needed.
 */
export type Component =
  | { kind: 'resistor'; a: number; b: number; ohms: number }
  /** `volts` above `minus`, behind `seriesOhms`, feeding `plus`. */
  | { kind: 'source'; plus: number; minus: number; volts: number; seriesOhms: number }
  /** A stage that gives `offsetVolts + share · (supply − common)` above `common`, behind `outputOhms`, at `output`. */
  | {
      kind: 'ratiometric-stage';
      output: number;
      supply: number;
      common: number;
      share: number;
      offsetVolts: number;
      outputOhms: number;
    };

/** Volts of each node against node 0; `undefined` where nothing connects a node to it: it floats. */
export function solveNodeVoltages(
  nodeCount: number,
  components: readonly Component[],
): (number | undefined)[] {
  const grounded = nodesWithPathToGround(nodeCount, components);
  const unknowns = [...grounded].filter((node) => node !== 0);
  const rowOf = new Map(unknowns.map((node, row) => [node, row]));
  const size = unknowns.length;
  const conductance = Array.from({ length: size }, () => new Float64Array(size + 1)); // last column: currents in

  const addTo = (node: number, column: number, siemens: number) => {
    const row = rowOf.get(node);
    const at = rowOf.get(column);
    if (row !== undefined && at !== undefined) (conductance[row] as Float64Array)[at]! += siemens;
  };
  const inject = (node: number, amps: number) => {
    const row = rowOf.get(node);
    if (row !== undefined) (conductance[row] as Float64Array)[size]! += amps;
  };
  const stampConductance = (a: number, b: number, siemens: number) => {
    addTo(a, a, siemens);
    addTo(b, b, siemens);
    addTo(a, b, -siemens);
    addTo(b, a, -siemens);
  };

  for (const part of components) {
    switch (part.kind) {
      case 'resistor':
        stampConductance(part.a, part.b, 1 / part.ohms);
        break;
      case 'source': {
        const siemens = 1 / part.seriesOhms;
        stampConductance(part.plus, part.minus, siemens);
        inject(part.plus, part.volts * siemens);
        inject(part.minus, -part.volts * siemens);
        break;
      }
      case 'ratiometric-stage': {
        const siemens = 1 / part.outputOhms;
        stampConductance(part.output, part.common, siemens);
        inject(part.output, part.offsetVolts * siemens);
        inject(part.common, -part.offsetVolts * siemens);
        // The current share · (supply − common) / outputOhms flows from common to output.
        for (const [node, sign] of [
          [part.output, -1],
          [part.common, 1],
        ] as const) {
          addTo(node, part.supply, sign * part.share * siemens);
          addTo(node, part.common, -sign * part.share * siemens);
        }
        break;
      }
    }
  }

  const solution = eliminate(conductance, size);
  return Array.from({ length: nodeCount }, (_, node) => {
    if (node === 0) return 0;
    const row = rowOf.get(node);
    return row === undefined ? undefined : solution[row];
  });
}

/** A node that no component ties to ground has no voltage of its own; leaving it in would make the matrix singular. */
function nodesWithPathToGround(nodeCount: number, components: readonly Component[]): Set<number> {
  const neighbours: number[][] = Array.from({ length: nodeCount }, () => []);
  const tie = (a: number, b: number) => {
    neighbours[a]?.push(b);
    neighbours[b]?.push(a);
  };
  for (const part of components) {
    if (part.kind === 'resistor') tie(part.a, part.b);
    else if (part.kind === 'source') tie(part.plus, part.minus);
    else tie(part.output, part.common);
  }
  const reached = new Set([0]);
  for (const node of reached) for (const next of neighbours[node] ?? []) reached.add(next);
  return reached;
}

/** Gaussian elimination with partial pivoting on rows of [matrix | right-hand side]. */
function eliminate(rows: Float64Array[], size: number): Float64Array {
  for (let column = 0; column < size; column++) {
    let pivot = column;
    for (let r = column + 1; r < size; r++) {
      if (Math.abs(rows[r]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = r;
    }
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const top = rows[column]!;
    for (let r = column + 1; r < size; r++) {
      const row = rows[r]!;
      const factor = row[column]! / top[column]!;
      if (factor !== 0) for (let c = column; c <= size; c++) row[c]! -= factor * top[c]!;
    }
  }
  const solution = new Float64Array(size);
  for (let r = size - 1; r >= 0; r--) {
    const row = rows[r]!;
    let sum = row[size]!;
    for (let c = r + 1; c < size; c++) sum -= row[c]! * solution[c]!;
    solution[r] = sum / row[r]!;
  }
  return solution;
}

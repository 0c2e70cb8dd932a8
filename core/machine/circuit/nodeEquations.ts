import { eliminate, eliminateByPivots } from './eliminate.ts';
import type { Islands } from './islands.ts';
import { GIVES, offsetOn, supplyShareOn, type Stage } from './stage.ts';

/**
 * The currents into every point of a network sum to zero: one equation a point, in the shape that `eliminate` takes. Its
 * memory is laid out once and written over at every solution.
 */
export class NodeEquations {
  readonly #nodeCount: number;
  /** By node: the number of its unknown, −1 for the datum of an island. */
  readonly #unknownOf: Int32Array;
  readonly #rows: Float64Array;
  readonly #solution: Float64Array;
  #size = 0;

  constructor(nodeCount: number) {
    this.#nodeCount = nodeCount;
    this.#unknownOf = new Int32Array(nodeCount);
    this.#rows = new Float64Array(nodeCount * (nodeCount + 2));
    this.#solution = new Float64Array(nodeCount);
  }

  /** Gives every point but the datum of its island an unknown. */
  layOut(islands: Islands): void {
    this.#size = 0;
    for (let node = 0; node < this.#nodeCount; node++) {
      const isPoint = islands.pointOf(node) === node;
      const isDatum = islands.islandOf(node) === node;
      this.#unknownOf[node] = isPoint && !isDatum ? this.#size++ : -1;
    }
    for (let node = 0; node < this.#nodeCount; node++)
      this.#unknownOf[node] = this.#unknownOf[islands.pointOf(node)]!;
  }

  clear(): void {
    this.#rows.fill(0, 0, this.#size * (this.#size + 2));
  }

  /** Writes the volts of every node against its island's datum; false where a point has none of its own. */
  solve(volts: Float64Array, how: 'by-sums' | 'by-pivots' = 'by-sums'): boolean {
    const solved =
      how === 'by-sums'
        ? eliminate(this.#rows, this.#size, this.#solution)
        : eliminateByPivots(this.#rows, this.#size, this.#solution);
    if (!solved) return false;
    for (let node = 0; node < this.#nodeCount; node++) {
      const unknown = this.#unknownOf[node]!;
      volts[node] = unknown < 0 ? 0 : this.#solution[unknown]!;
    }
    return true;
  }

  /** `siemens · (volts of a less b) + amps` flows from a to b. Diagonals are left out: see `eliminate`. */
  conduct(a: number, b: number, siemens: number, amps: number): void {
    const rows = this.#rows;
    const size = this.#size;
    const width = size + 2;
    const i = this.#unknownOf[a]!;
    const j = this.#unknownOf[b]!;
    if (i === j) return; // both ends on one point, or both on the datum
    if (i >= 0) {
      const at = i * width + (j >= 0 ? j : size);
      rows[at] = rows[at]! - siemens;
      rows[i * width + size + 1] = rows[i * width + size + 1]! - amps;
    }
    if (j >= 0) {
      const at = j * width + (i >= 0 ? i : size);
      rows[at] = rows[at]! - siemens;
      rows[j * width + size + 1] = rows[j * width + size + 1]! + amps;
    }
  }

  drive(stage: Stage, piece: number): void {
    const { output, supply, common, share, offsetVolts, lowestShare, highestShare, outputOhms } = stage;
    const siemens = 1 / outputOhms;
    const onSupply = supplyShareOn(piece, share, lowestShare, highestShare);
    const offset = offsetOn(piece, offsetVolts);
    // The output takes siemens · (output − common − onSupply · (supply − common) − offset), from the supply or the common.
    const otherEnd = piece & GIVES ? supply : common;
    this.#flow(output, otherEnd, siemens, output, supply, common, onSupply, offset);
  }

  #flow(
    from: number,
    to: number,
    siemens: number,
    output: number,
    supply: number,
    common: number,
    onSupply: number,
    offset: number,
  ): void {
    const width = this.#size + 2;
    for (let end = 0; end < 2; end++) {
      const unknown = this.#unknownOf[end === 0 ? from : to]!;
      if (unknown < 0) continue;
      const signed = end === 0 ? siemens : -siemens;
      this.#add(unknown, output, signed);
      this.#add(unknown, common, -signed * (1 - onSupply));
      this.#add(unknown, supply, -signed * onSupply);
      const current = unknown * width + width - 1;
      this.#rows[current] = this.#rows[current]! + signed * offset;
    }
  }

  #add(unknown: number, node: number, siemens: number): void {
    const column = this.#unknownOf[node]!;
    if (column === unknown) return; // a diagonal: see `eliminate`
    const at = unknown * (this.#size + 2) + (column >= 0 ? column : this.#size);
    this.#rows[at] = this.#rows[at]! + siemens;
  }
}

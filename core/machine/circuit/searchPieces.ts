/**
 * `no-operating-point`: no choice of pieces fits. `undetermined`: a point has no voltage of its own, as where a stage
 * feeds itself. `not-a-number`: a part was outside what a double holds; this is never how a floating point is told.
 */
export type SolveOutcome = 'solved' | 'no-operating-point' | 'undetermined' | 'not-a-number';

/** What the search sees of a network: parts that lie on one of several straight pieces, and the linear solution on them. */
export interface PieceSearch {
  partCount(): number;
  pieceCount(part: number): number;
  piece(part: number): number;
  setPiece(part: number, piece: number): void;
  /** False where the pieces leave a point without a voltage. */
  solveLinear(): boolean;
  /**
   * The piece on which a part lies by the last linear solution, or the next one on the way there: a leap over the piece
   * between leads to and fro. This near to an edge, the one it is on.
   */
  pieceTowardsSolution(part: number, edgeVolts: number): number;
}

/** Rounds of moving every part at once: from the last solution one or two are enough. */
const ROUNDS_TOGETHER = 24;
/** Moves of one part at a time, lowest number first, for each part. */
const MOVES_EACH = 16;
/**
 * Both pieces give the same current at the edge between them, so a part that lies on it to rounding could go to and fro for
 * ever. Hardly more than rounding is forgiven at first: a nanovolt over a regulator's half ohm is as much current as all
 * that leaks.
 */
const ROUNDING_VOLTS = 2e-15;
const EDGE_VOLTS = 1e-9;

/**
 * Finds the pieces on which every part lies by the solution on just these pieces. That solution is exact: nothing is
 * iterated towards it, and it is taken only when every part fits.
 *
 * It always ends. All parts move at once for a bounded number of rounds, from where the last solution stood. Should they
 * go round in a circle, one moves at a time, the lowest number first (the order of Murty's rule of 1974, which cannot
 * circle among two-piece rising conductors), again for a bounded number of moves. Should that fail too, every choice of
 * pieces is tried once.
 */
export function searchPieces(network: PieceSearch): SolveOutcome {
  for (let round = 0; round < ROUNDS_TOGETHER; round++) {
    if (!network.solveLinear()) break;
    if (moveAll(network) === 0) return 'solved';
  }
  for (const edgeVolts of [ROUNDING_VOLTS, EDGE_VOLTS])
    for (let move = 0; move < MOVES_EACH * network.partCount(); move++) {
      if (!network.solveLinear()) break;
      if (!moveFirst(network, edgeVolts)) return 'solved';
    }
  return tryEvery(network);
}

/** @returns how many moved */
function moveAll(network: PieceSearch): number {
  let moved = 0;
  for (let part = 0; part < network.partCount(); part++) {
    const piece = network.pieceTowardsSolution(part, ROUNDING_VOLTS);
    if (piece === network.piece(part)) continue;
    network.setPiece(part, piece);
    moved++;
  }
  return moved;
}

function moveFirst(network: PieceSearch, edgeVolts: number): boolean {
  for (let part = 0; part < network.partCount(); part++) {
    const piece = network.pieceTowardsSolution(part, edgeVolts);
    if (piece === network.piece(part)) continue;
    network.setPiece(part, piece);
    return true;
  }
  return false;
}

function tryEvery(network: PieceSearch): SolveOutcome {
  for (let part = 0; part < network.partCount(); part++) network.setPiece(part, 0);
  let determined = false;
  do {
    if (!network.solveLinear()) continue;
    determined = true;
    if (fits(network)) return 'solved';
  } while (nextChoice(network));
  return determined ? 'no-operating-point' : 'undetermined';
}

function fits(network: PieceSearch): boolean {
  for (let part = 0; part < network.partCount(); part++)
    if (network.pieceTowardsSolution(part, EDGE_VOLTS) !== network.piece(part)) return false;
  return true;
}

/** Counts through all choices like an odometer; false after the last. */
function nextChoice(network: PieceSearch): boolean {
  for (let part = 0; part < network.partCount(); part++) {
    const next = network.piece(part) + 1;
    if (next < network.pieceCount(part)) {
      network.setPiece(part, next);
      return true;
    }
    network.setPiece(part, 0);
  }
  return false;
}

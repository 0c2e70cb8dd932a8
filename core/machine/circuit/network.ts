import { clamp, MOST_PIECES, type Conductor } from './conductor.ts';
import { Islands } from './islands.ts';
import { NodeEquations } from './nodeEquations.ts';
import { searchPieces, type PieceSearch, type SolveOutcome } from './searchPieces.ts';
import { FIRST_STAGE_PIECE, STAGE_PIECES, stagePieceAt, SUBSTRATE, type Stage } from './stage.ts';

/** Numbers of parts, told apart so that a resistor cannot be changed as a conductor. */
export type ResistorId = number & { readonly part: 'resistor' };
export type ConductorId = number & { readonly part: 'conductor' };
export type StageId = number & { readonly part: 'stage' };

/** Below this a resistance is a short: its ends are one point. At an ampere it would drop a microvolt. */
export const SHORT_OHMS = 1e-6;
/** Past this a resistance is open. */
export const OPEN_OHMS = 1e12;

const BATTERY_NEGATIVE = 0;

/**
 * A direct-current network of resistors, piecewise linear conductors and sensor stages, solved exactly for its node
 * voltages by nodal analysis. Node 0 is battery negative.
 *
 * Parts are added once; values and terminals then change without new memory, and `solve` allocates nothing: a weighing
 * asks for some hundred thousand solutions of one network.
 */
export class Network {
  readonly #nodeCount: number;
  readonly #islands: Islands;
  readonly #volts: Float64Array;
  readonly #equations: NodeEquations;
  #topologyStands = false;

  readonly #resistors = { a: [] as number[], b: [] as number[], ohms: [] as number[] };
  readonly #conductors = {
    a: [] as number[],
    b: [] as number[],
    pieces: [] as number[],
    breaks: [] as number[],
    slopes: [] as number[],
    intercepts: [] as number[],
  };
  /** Of each conductor as it was set last: the same one again changes nothing. */
  readonly #shapes: Conductor[] = [];
  readonly #stages: Stage[] = [];
  /** On which piece each conductor, then each stage, was found last: the next solution is usually on the same. */
  readonly #conductorPiece: number[] = [];
  readonly #stagePiece: number[] = [];
  readonly #search: PieceSearch;

  constructor(nodeCount: number) {
    this.#nodeCount = nodeCount;
    this.#islands = new Islands(nodeCount);
    this.#volts = new Float64Array(nodeCount);
    this.#equations = new NodeEquations(nodeCount);
    this.#search = {
      partCount: () => this.#conductorPiece.length + this.#stagePiece.length,
      pieceCount: (part) =>
        part < this.#conductorPiece.length ? this.#conductors.pieces[part]! : STAGE_PIECES,
      piece: (part) => this.#pieceOf(part),
      setPiece: (part, piece) => {
        if (part < this.#conductorPiece.length) this.#conductorPiece[part] = piece;
        else this.#stagePiece[part - this.#conductorPiece.length] = piece;
      },
      solveLinear: () => this.#solveLinear(),
      pieceTowardsSolution: (part, edgeVolts) => this.#pieceTowardsSolution(part, edgeVolts),
    };
  }

  addResistor(a: number, b: number, ohms: number): ResistorId {
    const { length } = this.#resistors.ohms;
    this.#resistors.a.push(a);
    this.#resistors.b.push(b);
    this.#resistors.ohms.push(checkedOhms(ohms));
    this.#topologyStands = false;
    return length as ResistorId;
  }

  setOhms(id: ResistorId, ohms: number): void {
    const { ohms: all } = this.#resistors;
    if (kindOf(all[id]!) !== kindOf(checkedOhms(ohms))) this.#topologyStands = false;
    all[id] = ohms;
  }

  ohmsOf(id: ResistorId): number {
    return this.#resistors.ohms[id]!;
  }

  /** Lifts both ends of a resistor and sets them down elsewhere: a probe, a jumper. */
  moveResistor(id: ResistorId, a: number, b: number): void {
    this.#resistors.a[id] = a;
    this.#resistors.b[id] = b;
    this.#topologyStands = false;
  }

  addConductor(a: number, b: number, shape: Conductor): ConductorId {
    const { length } = this.#conductors.pieces;
    this.#conductors.a.push(a);
    this.#conductors.b.push(b);
    this.#conductors.pieces.push(0);
    for (let i = 0; i < MOST_PIECES; i++) {
      this.#conductors.breaks.push(0);
      this.#conductors.slopes.push(0);
      this.#conductors.intercepts.push(0);
    }
    // The middle piece of a regulator, the blocking one of a clamp: where a sound machine has them.
    this.#conductorPiece.push(shape.slopesSiemens.length > 2 ? 1 : 0);
    this.#topologyStands = false;
    this.setConductor(length as ConductorId, shape);
    return length as ConductorId;
  }

  setConductor(id: ConductorId, shape: Conductor): void {
    if (this.#shapes[id] === shape) return;
    const { breaksVolts, slopesSiemens, interceptsAmps } = shape;
    const { pieces, breaks, slopes, intercepts } = this.#conductors;
    if (slopesSiemens.length > MOST_PIECES || slopesSiemens.length !== breaksVolts.length + 1)
      throw new Error('A conductor has up to three pieces, and a break between each two.');
    pieces[id] = slopesSiemens.length;
    if (breaksVolts.some((at, i) => !Number.isFinite(at) || (i > 0 && !(at > breaksVolts[i - 1]!))))
      throw new Error('The breaks of a conductor are numbers that rise.');
    slopesSiemens.forEach((slope, piece) => {
      if (!(slope > 0 && Number.isFinite(slope)) || !Number.isFinite(interceptsAmps[piece]))
        throw new Error(`Every piece of a conductor rises, by a number: not ${slope} S.`);
      const at = id * MOST_PIECES + piece;
      breaks[at] = breaksVolts[piece] ?? Infinity;
      slopes[at] = slope;
      intercepts[at] = interceptsAmps[piece]!;
    });
    this.#conductorPiece[id] = Math.min(this.#conductorPiece[id]!, slopesSiemens.length - 1);
    this.#shapes[id] = shape;
  }

  addStage(stage: Stage): StageId {
    const { lowestShare, highestShare, outputOhms } = stage;
    if (!(lowestShare >= 0 && lowestShare < highestShare && highestShare <= 1))
      throw new Error(`A stage cannot have its rails at ${lowestShare} and ${highestShare} of its supply.`);
    if (!(outputOhms > 0 && Number.isFinite(outputOhms)))
      throw new Error(`A stage cannot have an output of ${outputOhms} Ω.`);
    checkDrive(stage.share, stage.offsetVolts);
    const { length } = this.#stages;
    this.addConductor(stage.common, stage.supply, clamp(SUBSTRATE.volts, SUBSTRATE.ohms));
    this.#stages.push({ ...stage });
    this.#stagePiece.push(FIRST_STAGE_PIECE);
    this.#topologyStands = false;
    return length as StageId;
  }

  setStage(id: StageId, share: number, offsetVolts: number): void {
    checkDrive(share, offsetVolts);
    const stage = this.#stages[id]!;
    stage.share = share;
    stage.offsetVolts = offsetVolts;
  }

  /** Node voltages stand afterwards only if this gives `solved`. */
  solve(): SolveOutcome {
    if (!this.#topologyStands) this.#layOut();
    const outcome = searchPieces(this.#search);
    return outcome === 'solved' && this.#volts.some(Number.isNaN) ? 'not-a-number' : outcome;
  }

  /** `plus` less `minus`, in volts; NaN where nothing connects the two: between such points there is no voltage. */
  voltsBetween(plus: number, minus: number): number {
    if (this.#islands.islandOf(plus) !== this.#islands.islandOf(minus)) return NaN;
    return this.#volts[plus]! - this.#volts[minus]!;
  }

  /** Against battery negative; NaN where the node floats. */
  volts(node: number): number {
    return this.voltsBetween(node, BATTERY_NEGATIVE);
  }

  /** From `a` to `b` through a resistor, in amperes; NaN through a short, whose current only its neighbours know. */
  ampsThrough(id: ResistorId): number {
    const { a, b, ohms } = this.#resistors;
    const kind = kindOf(ohms[id]!);
    if (kind === 'open') return 0;
    return kind === 'short' ? NaN : (this.#volts[a[id]!]! - this.#volts[b[id]!]!) / ohms[id]!;
  }

  /** Into the first terminal of a conductor, in amperes. */
  ampsInto(id: ConductorId): number {
    const { a, b, slopes, intercepts } = this.#conductors;
    const at = id * MOST_PIECES + this.#conductorPiece[id]!;
    return slopes[at]! * (this.#volts[a[id]!]! - this.#volts[b[id]!]!) + intercepts[at]!;
  }

  /** On which piece each conductor and each stage was found, for a check that all pieces are met. */
  piecesFound(): { conductors: readonly number[]; stages: readonly number[] } {
    return { conductors: [...this.#conductorPiece], stages: [...this.#stagePiece] };
  }

  /** The parts as they stand, for a check against another solver. */
  parts(): NetworkParts {
    const { a, b, ohms } = this.#resistors;
    const { a: from, b: to, pieces, breaks, slopes, intercepts } = this.#conductors;
    const of = (list: readonly number[], id: number, count: number) =>
      list.slice(id * MOST_PIECES, id * MOST_PIECES + count);
    return {
      nodeCount: this.#nodeCount,
      resistors: ohms.map((value, id) => ({ a: a[id]!, b: b[id]!, ohms: value })),
      conductors: pieces.map((count, id) => ({
        a: from[id]!,
        b: to[id]!,
        breaksVolts: of(breaks, id, count - 1),
        slopesSiemens: of(slopes, id, count),
        interceptsAmps: of(intercepts, id, count),
      })),
      stages: this.#stages.map((stage) => ({ ...stage })),
    };
  }

  #layOut(): void {
    const islands = this.#islands;
    islands.reset();
    const { a, b, ohms } = this.#resistors;
    for (let i = 0; i < ohms.length; i++) {
      const kind = kindOf(ohms[i]!);
      if (kind === 'short') islands.merge(a[i]!, b[i]!);
      else if (kind === 'resistance') islands.tie(a[i]!, b[i]!);
    }
    const { a: from, b: to, pieces } = this.#conductors;
    for (let i = 0; i < pieces.length; i++) islands.tie(from[i]!, to[i]!);
    // Its substrate diode ties the supply already.
    for (const { output, common } of this.#stages) islands.tie(output, common);
    this.#equations.layOut(islands);
    this.#topologyStands = true;
  }

  #solveLinear(): boolean {
    this.#writeEquations();
    if (this.#equations.solve(this.#volts)) return true;
    // Only a stage can make a determined network look undetermined.
    if (this.#stages.length === 0) return false;
    this.#writeEquations();
    return this.#equations.solve(this.#volts, 'by-pivots');
  }

  #writeEquations(): void {
    const equations = this.#equations;
    equations.clear();
    const { a, b, ohms } = this.#resistors;
    for (let i = 0; i < ohms.length; i++) {
      const value = ohms[i]!;
      if (value >= SHORT_OHMS && value <= OPEN_OHMS) equations.conduct(a[i]!, b[i]!, 1 / value, 0);
    }
    const { a: from, b: to, pieces, slopes, intercepts } = this.#conductors;
    for (let i = 0; i < pieces.length; i++) {
      const at = i * MOST_PIECES + this.#conductorPiece[i]!;
      equations.conduct(from[i]!, to[i]!, slopes[at]!, intercepts[at]!);
    }
    for (let i = 0; i < this.#stages.length; i++) equations.drive(this.#stages[i]!, this.#stagePiece[i]!);
  }

  #pieceOf(part: number): number {
    const conductors = this.#conductorPiece.length;
    return part < conductors ? this.#conductorPiece[part]! : this.#stagePiece[part - conductors]!;
  }

  #pieceTowardsSolution(part: number, edgeVolts: number): number {
    const conductors = this.#conductorPiece.length;
    const volts = this.#volts;
    if (part >= conductors) {
      const { output, supply, common, share, offsetVolts, lowestShare, highestShare } =
        this.#stages[part - conductors]!;
      return stagePieceAt(
        this.#stagePiece[part - conductors]!,
        volts[supply]! - volts[common]!,
        volts[output]! - volts[common]!,
        share,
        offsetVolts,
        lowestShare,
        highestShare,
        edgeVolts,
      );
    }
    const { a, b, pieces, breaks } = this.#conductors;
    const across = volts[a[part]!]! - volts[b[part]!]!;
    const piece = this.#conductorPiece[part]!;
    const first = part * MOST_PIECES;
    if (piece > 0 && across < breaks[first + piece - 1]! - edgeVolts) return piece - 1;
    if (piece < pieces[part]! - 1 && across > breaks[first + piece]! + edgeVolts) return piece + 1;
    return piece;
  }
}

/** A network as plain data. */
export interface NetworkParts {
  nodeCount: number;
  resistors: readonly { a: number; b: number; ohms: number }[];
  conductors: readonly (Conductor & { a: number; b: number })[];
  stages: readonly Stage[];
}

const kindOf = (ohms: number): 'short' | 'resistance' | 'open' =>
  ohms < SHORT_OHMS ? 'short' : ohms > OPEN_OHMS ? 'open' : 'resistance';

function checkDrive(share: number, offsetVolts: number): void {
  if (!Number.isFinite(share) || !Number.isFinite(offsetVolts))
    throw new Error(`A stage cannot be driven to ${share} of its supply and ${offsetVolts} V.`);
}

function checkedOhms(ohms: number): number {
  if (!(ohms >= 0)) throw new Error(`No resistor has ${ohms} Ω.`);
  return ohms;
}

/** Something between nodes whose currents follow from their voltages, however bent. */
export type Device = Bent | Curve | Straight;
/** Between two nodes, by the volts between them. */
interface Curve {
  plus: number;
  minus: number;
  through(volts: number): number;
}
interface Bent {
  nodes: readonly number[];
  /** Amperes that leave each node into the device, at these volts of its nodes. */
  amps(volts: readonly number[]): readonly number[];
}
/** A voltage behind a resistance: a plain resistor has none. */
interface Straight {
  plus: number;
  minus: number;
  volts: number;
  ohms: number;
}

const NEAR_VOLTS = 1e-6;
const MOST_ROUNDS = 400;
const TANGENT_VOLTS = 1e-5;
/** From every node to ground, so that none floats: far above what a meter or an input draws. */
const LEAK_SIEMENS = 1e-9;
/** Each node holds on to where it is, first hard, then less and less: it comes to rest as a circuit does that is switched on. */
const FIRST_HOLD_SIEMENS = 10;
const LEAST_HOLD_SIEMENS = 1e-12;
const CALM_HOLD_SIEMENS = 1e-9;
const MOST_STEP_VOLTS = 0.5;
const CALM_STEP_VOLTS = 0.2;

/**
 * Volts of every node against node 0; undefined where it never comes to rest, as a chip that its supply drops and takes up again. Time steps along tangents, as long as the circuit is quiet longer ones.
 */
export function solveNodes(nodes: number, devices: readonly Device[]): number[] | undefined {
  const volts = new Array<number>(nodes).fill(0);
  let hold = FIRST_HOLD_SIEMENS;
  let ease = 4;
  let before: Float64Array = new Float64Array(nodes);
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const slope = Array.from({ length: nodes }, () => new Float64Array(nodes));
    const excess = new Float64Array(nodes);
    for (let node = 1; node < nodes; node++) {
      slope[node]![node] = LEAK_SIEMENS + hold;
      excess[node] = LEAK_SIEMENS * volts[node]!;
    }
    for (const device of devices) {
      if ('ohms' in device) addStraight(device, volts, slope, excess);
      else if ('through' in device) addCurve(device, volts, slope, excess);
      else addBent(device, volts, slope, excess);
    }
    const step = solveLinear(slope, excess);
    let farthest = 0;
    for (let node = 1; node < nodes; node++) farthest = Math.max(farthest, Math.abs(step[node]!));
    if (farthest > MOST_STEP_VOLTS) {
      hold *= 4;
      continue;
    }
    for (let node = 1; node < nodes; node++) volts[node]! -= step[node]!;
    if (farthest < NEAR_VOLTS && hold <= CALM_HOLD_SIEMENS) return volts;
    // To and fro is too long a step.
    let turned = 0;
    for (let node = 1; node < nodes; node++) turned += step[node]! * before[node]!;
    before = step;
    if (turned < 0 && farthest > NEAR_VOLTS) {
      hold = Math.max(hold * 6, 1e-6);
      ease = 1 + 0.7 * (ease - 1);
    } else if (farthest < CALM_STEP_VOLTS) {
      hold = Math.max(hold / (farthest < NEAR_VOLTS ? 4 : ease), LEAST_HOLD_SIEMENS);
    }
  }
  return undefined;
}

function addStraight(
  { plus, minus, volts, ohms }: Straight,
  at: readonly number[],
  slope: readonly Float64Array[],
  excess: Float64Array,
): void {
  const flow = (at[plus]! - at[minus]! - volts) / ohms;
  excess[plus]! += flow;
  excess[minus]! -= flow;
  slope[plus]![plus]! += 1 / ohms;
  slope[minus]![minus]! += 1 / ohms;
  slope[plus]![minus]! -= 1 / ohms;
  slope[minus]![plus]! -= 1 / ohms;
}

function addCurve(
  { plus, minus, through }: Curve,
  at: readonly number[],
  slope: readonly Float64Array[],
  excess: Float64Array,
): void {
  const across = at[plus]! - at[minus]!;
  const flow = through(across);
  excess[plus]! += flow;
  excess[minus]! -= flow;
  // A supply that folds back has a tangent that leads away from where it comes to rest.
  const tangent = Math.max(0, (through(across + TANGENT_VOLTS) - flow) / TANGENT_VOLTS);
  slope[plus]![plus]! += tangent;
  slope[minus]![minus]! += tangent;
  slope[plus]![minus]! -= tangent;
  slope[minus]![plus]! -= tangent;
}

function addBent(
  { nodes, amps }: Bent,
  at: readonly number[],
  slope: readonly Float64Array[],
  excess: Float64Array,
): void {
  const here = nodes.map((node) => at[node]!);
  const flows = amps(here);
  nodes.forEach((node, i) => (excess[node]! += flows[i]!));
  nodes.forEach((other, j) => {
    const beside = here.slice();
    beside[j]! += TANGENT_VOLTS;
    amps(beside).forEach((flow, i) => {
      slope[nodes[i]!]![other]! += (flow - flows[i]!) / TANGENT_VOLTS;
    });
  });
}

/** Gauss with the largest pivot; row and column 0 are ground. */
function solveLinear(rows: Float64Array[], right: Float64Array): Float64Array {
  const n = right.length;
  const x = Float64Array.from(right);
  for (let k = 1; k < n; k++) {
    let best = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(rows[i]![k]!) > Math.abs(rows[best]![k]!)) best = i;
    [rows[k], rows[best]] = [rows[best]!, rows[k]!];
    [x[k], x[best]] = [x[best]!, x[k]!];
    const pivot = rows[k]!;
    for (let i = k + 1; i < n; i++) {
      const row = rows[i]!;
      const factor = row[k]! / pivot[k]!;
      if (factor === 0) continue;
      for (let j = k; j < n; j++) row[j]! -= factor * pivot[j]!;
      x[i]! -= factor * x[k]!;
    }
  }
  for (let k = n - 1; k >= 1; k--) {
    let sum = x[k]!;
    for (let j = k + 1; j < n; j++) sum -= rows[k]![j]! * x[j]!;
    x[k] = sum / rows[k]![k]!;
  }
  return x;
}

/** Of what no longer touches: beside it a meter is a short. */
export const OPEN_OHMS = 1e13;
const LEAST_OHMS = 0.005;
export const resistor = (a: number, b: number, ohms: number): Device => ({
  plus: a,
  minus: b,
  volts: 0,
  ohms: Math.max(ohms, LEAST_OHMS),
});

/** A voltage behind a resistance, from its minus to its plus. */
export const battery = (plus: number, minus: number, volts: number, ohms: number): Device => ({
  plus,
  minus,
  volts,
  ohms,
});

/** A rounded corner where two straight lines meet: the smaller of both. */
const softMin = (a: number, b: number, round: number): number => Math.min(a, b) - corner(a - b, round);
/** What a rounded corner lies off a sharp one; written so that nothing is lost far from it. */
const corner = (apart: number, round: number): number =>
  (0.5 * round ** 2) / (Math.sqrt(apart ** 2 + round ** 2) + Math.abs(apart));

const MOST_SUNK_AMPS = 0.003;
/** A regulator: stiff up to its limit, then a current; folding back, a smaller one the lower it is pulled. It cannot sink. */
export const regulator = (
  plus: number,
  minus: number,
  { volts, ohms, limitAmps, foldsTo }: { volts: number; ohms: number; limitAmps: number; foldsTo: number },
): Device => ({
  plus,
  minus,
  through: (held) => {
    const upTo = limitAmps * (foldsTo + (1 - foldsTo) * Math.min(1, Math.max(0, held / volts)));
    const given = softMin((volts - held) / ohms, upTo, 0.004);
    // From above, its output diode lets hardly anything back.
    return given < 0 ? MOST_SUNK_AMPS * Math.tanh(-given / MOST_SUNK_AMPS) - given * 0.01 : -given;
  },
});

const DIODE_CORNER_VOLTS = 0.026;
/** A junction that conducts past its knee, and lets next to nothing through before it. */
export const diode = (from: number, to: number, kneeVolts = 0.6, ohms = 25): Device => ({
  plus: from,
  minus: to,
  through: (across) => {
    const past = (across - kneeVolts) / DIODE_CORNER_VOLTS;
    return ((past > 30 ? past : Math.log1p(Math.exp(past))) * DIODE_CORNER_VOLTS) / ohms;
  },
});

/** A chip draws nearly the same current from a knee on, and next to none below it. */
export const chip = (plus: number, minus: number, amps: number, kneeVolts: number): Device => ({
  plus,
  minus,
  through: (held) => amps * Math.tanh(held / kneeVolts) + held / 200_000,
});

/** What an output stage of a chip can do. */
export interface OutputStage {
  /** What it wants to put out, in volts over its own minus, while it is fed with so much. */
  wanted(fedVolts: number): number;
  /** How near it comes to its two supplies. */
  fromBottomVolts: number;
  fromTopVolts: number;
  ohms: number;
  mostAmps: number;
  /** Below this it is no amplifier any more: its output lies about at its minus, behind so many ohms. */
  startsAtVolts: number;
  /** It does not start at all. */
  isAsleep: boolean;
}

/** Output, plus and minus of a chip. */
export const outputStage = (out: number, plus: number, minus: number, stage: OutputStage): Device => ({
  nodes: [out, plus, minus],
  amps: ([vo, vp, vm]) => {
    const fed = vp! - vm!;
    const awake = stage.isAsleep ? 0 : 1 / (1 + Math.exp(-(fed - stage.startsAtVolts) * 12));
    const top = Math.max(stage.fromBottomVolts, fed - stage.fromTopVolts);
    const aim = Math.min(top, Math.max(stage.fromBottomVolts, stage.wanted(Math.max(0, fed))));
    const pulls = (vo! - vm! - aim) / stage.ohms;
    const limited = stage.mostAmps * Math.tanh(pulls / stage.mostAmps);
    const flow = awake * limited + (1 - awake) * ((vo! - vm!) / 60_000);
    // What it gives comes from its plus, what it takes goes to its minus.
    return flow < 0 ? [flow, -flow, 0] : [flow, 0, -flow];
  },
});

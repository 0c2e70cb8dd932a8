import { expectedValue, type ValueBand, type ValueContext } from '../../../machine/family/index.ts';
import { signalFromValue, valueAtNominal, type SensorProfile } from '../../../measure/transfer/index.ts';
import { running, type MachineState } from '../../../machine/places/index.ts';

/** What the quantity may be in one state of the machine: values, and how likely each. */
export interface QuantityGrid {
  values: Float64Array;
  weights: Float64Array;
  /** Half of what lies between a value and its neighbours, in the measurand's unit. */
  halfSteps: Float64Array;
  /** So many of the values, the first ones, are usual in that state; none where nothing is known. */
  usual?: number;
}

const BAND_NODES = 25;
/** From 1,500 m to a high over the sea. */
const ANYWHERE_KPA_ABS = [84, 103.5] as const;
const RANGE_NODES = 41;
/** As often as this a machine does what its family does in a state; else it may do anything that the sensor can show. */
const USUAL_RUNNING = 0.9;
const USUAL_STOPPED = 0.97;
/** A pump has a gauge of its own, and nothing else is asked of it. */
const USUAL_PUMPED = 0.99;
const USUAL_AT_REST = 0.6;
/** Of what the signal goes through: what a band leaves out of a usual machine. */
const BAND_SLACK_SHARE = 0.005;
/** A rule of thumb holds for about every second engine. */
const AS_RULE_SAYS = 0.5;
/** How well a hand holds a position, in shares of the travel. */
const HELD_SLACK_SHARE = 0.03;

/** The quantity before anything is read: what is usual in the state, and a little of everything else. */
export function quantityGrid(state: MachineState, context: ValueContext): QuantityGrid {
  const { lowest, highest } = context.profile;
  const { band: known, atMost } = usualBand(state, context);
  const band = known ?? restingBand(state, context);
  const isUsual = !known && band ? USUAL_AT_REST : usualShare(state);
  const everything = evenly(lowest, highest, RANGE_NODES, band ? 1 - isUsual : 1);
  if (!band) return everything;
  const inBand = bandGrid(band, context.profile, isUsual * (atMost ? AS_RULE_SAYS : 1));
  const usual = atMost ? together(inBand, byShares(...atMost, isUsual * (1 - AS_RULE_SAYS))) : inBand;
  return { ...together(usual, everything), usual: usual.values.length };
}

/**
 * A band with a little more at both ends, in steps of which the signal tells each as well as the next: where a curve is steep, little
 * of the quantity is much of the signal, and nobody looks closer than at the signal.
 */
function bandGrid([from, to]: [number, number], profile: SensorProfile, weight: number): QuantityGrid {
  const { lowest, highest, nominalReferenceVolts } = profile;
  const range = highest - lowest;
  const volts = (value: number) => signalFromValue(value, nominalReferenceVolts, profile).signalVolts;
  const span = volts(highest) - volts(lowest);
  const [first, last] = [volts(from) - BAND_SLACK_SHARE * span, volts(to) + BAND_SLACK_SHARE * span];
  const at = (share: number) => valueAtNominal(first + share * (last - first), profile);
  const edges = Array.from({ length: BAND_NODES + 1 }, (_, i) => at(i / BAND_NODES));
  // Past its ends a curve tells nothing more of what it measures.
  const isTold = [from - edges[0]!, edges.at(-1)! - to].every(
    (slack) => slack > -1e-9 * range && slack < 2 * BAND_SLACK_SHARE * range,
  );
  if (!isTold || !edges.every((edge, i) => i === 0 || edge > edges[i - 1]!))
    return evenly(from - BAND_SLACK_SHARE * range, to + BAND_SLACK_SHARE * range, BAND_NODES, weight);
  return {
    values: Float64Array.from({ length: BAND_NODES }, (_, i) => at((i + 0.5) / BAND_NODES)),
    weights: new Float64Array(BAND_NODES).fill(weight / BAND_NODES),
    halfSteps: Float64Array.from({ length: BAND_NODES }, (_, i) => (edges[i + 1]! - edges[i]!) / 2),
  };
}

const usualShare = (state: MachineState): number =>
  running(state) ? USUAL_RUNNING : state.stimulus?.kind === 'pump' ? USUAL_PUMPED : USUAL_STOPPED;

function usualBand(
  state: MachineState,
  context: ValueContext,
): { band?: [number, number]; atMost?: ValueBand['atMost'] } {
  const { lowest, highest } = context.profile;
  if (state.stimulus?.kind === 'held') {
    const at = lowest + (state.stimulus.percent / 100) * (highest - lowest);
    const slack = HELD_SLACK_SHARE * (highest - lowest);
    return { band: [at - slack, at + slack] };
  }
  const at = (within: ValueContext) => expectedValue({ ...state, plug: 'connected' }, within);
  const expected = at(context);
  if (expected.ok) {
    const { lowest: from, highest: to, atMost } = expected.value;
    return { band: [from, to], ...(atMost && { atMost }) };
  }
  if (expected.problem.code !== 'needs-ambient') return {};
  // Nobody works far from these: as long as nobody has said, it is somewhere between the sea and the hills.
  const bands = ANYWHERE_KPA_ABS.map((pressureKpaAbs) =>
    at({ ...context, ambient: { pressureKpaAbs, expandedUncertaintyKpa: 0, source: 'altitude' } }),
  );
  const [hills, sea] = bands;
  return hills?.ok && sea?.ok ? { band: [hills.value.lowest, sea.value.highest] } : {};
}

/** Where nobody can say more, what rests is most often at the lowest that the sensor shows. */
function restingBand(state: MachineState, { profile }: ValueContext): [number, number] | undefined {
  if (running(state) || state.stimulus || profile.measures === 'absolute-pressure') return undefined;
  const rest = Math.max(profile.lowest, Math.min(0, profile.highest));
  return [rest, rest + RESTING_SHARE * (profile.highest - profile.lowest)];
}
const RESTING_SHARE = 0.02;

/** The middles of so many equal steps. */
function evenly(from: number, to: number, nodes: number, weight: number): QuantityGrid {
  const step = (to - from) / nodes;
  return {
    values: Float64Array.from({ length: nodes }, (_, i) => from + (i + 0.5) * step),
    weights: new Float64Array(nodes).fill(weight / nodes),
    halfSteps: new Float64Array(nodes).fill(step / 2),
  };
}

/** The middles of steps that are equal in shares: as likely between one and two as between two and four. */
function byShares(from: number, to: number, weight: number): QuantityGrid {
  const ratio = (to / from) ** (1 / BAND_NODES);
  const start = (i: number) => from * ratio ** i;
  const each = (of: (i: number) => number) => Float64Array.from({ length: BAND_NODES }, (_, i) => of(i));
  return {
    values: each((i) => (start(i) + start(i + 1)) / 2),
    weights: new Float64Array(BAND_NODES).fill(weight / BAND_NODES),
    halfSteps: each((i) => (start(i + 1) - start(i)) / 2),
  };
}

const together = (a: QuantityGrid, b: QuantityGrid): QuantityGrid => ({
  values: joined(a.values, b.values),
  weights: joined(a.weights, b.weights),
  halfSteps: joined(a.halfSteps, b.halfSteps),
});

const joined = (a: Float64Array, b: Float64Array): Float64Array => {
  const both = new Float64Array(a.length + b.length);
  both.set(a);
  both.set(b, a.length);
  return both;
};

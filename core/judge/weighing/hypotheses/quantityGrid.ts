import { expectedValue, type ValueContext } from '../../../machine/family/index.ts';
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
/** Of the range: what a band leaves out of a usual machine. */
const BAND_SLACK_SHARE = 0.005;
/** How well a hand holds a position, in shares of the travel. */
const HELD_SLACK_SHARE = 0.03;

/** The quantity before anything is read: what is usual in the state, and a little of everything else. */
export function quantityGrid(state: MachineState, context: ValueContext): QuantityGrid {
  const { lowest, highest } = context.profile;
  const range = highest - lowest;
  const known = usualBand(state, context);
  const band = known ?? restingBand(state, context);
  const isUsual = !known && band ? USUAL_AT_REST : usualShare(state);
  const everything = evenly(lowest, highest, RANGE_NODES, band ? 1 - isUsual : 1);
  if (!band) return everything;
  const slack = BAND_SLACK_SHARE * range;
  const usual = evenly(band[0] - slack, band[1] + slack, BAND_NODES, isUsual);
  return {
    values: joined(usual.values, everything.values),
    weights: joined(usual.weights, everything.weights),
    halfSteps: joined(usual.halfSteps, everything.halfSteps),
    usual: BAND_NODES,
  };
}

const usualShare = (state: MachineState): number =>
  running(state) ? USUAL_RUNNING : state.stimulus?.kind === 'pump' ? USUAL_PUMPED : USUAL_STOPPED;

function usualBand(state: MachineState, context: ValueContext): [number, number] | undefined {
  const { lowest, highest } = context.profile;
  if (state.stimulus?.kind === 'held') {
    const at = lowest + (state.stimulus.percent / 100) * (highest - lowest);
    const slack = HELD_SLACK_SHARE * (highest - lowest);
    return [at - slack, at + slack];
  }
  const at = (within: ValueContext) => expectedValue({ ...state, plug: 'connected' }, within);
  const expected = at(context);
  if (expected.ok) return [expected.value.lowest, expected.value.highest];
  if (expected.problem.code !== 'needs-ambient') return undefined;
  // Nobody works far from these: as long as nobody has said, it is somewhere between the sea and the hills.
  const bands = ANYWHERE_KPA_ABS.map((pressureKpaAbs) =>
    at({ ...context, ambient: { pressureKpaAbs, expandedUncertaintyKpa: 0, source: 'altitude' } }),
  );
  const [hills, sea] = bands;
  return hills?.ok && sea?.ok ? [hills.value.lowest, sea.value.highest] : undefined;
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

const joined = (a: Float64Array, b: Float64Array): Float64Array => {
  const both = new Float64Array(a.length + b.length);
  both.set(a);
  both.set(b, a.length);
  return both;
};

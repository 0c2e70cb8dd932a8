import { losesSupplyAtPlug } from '../hypotheses/starved.ts';
import { LOOKED_SUPPLY_VOLTS } from '../hypotheses/weighedCase.ts';
import { isLiveData, isPulses, isSignal, type Lane } from '../../../machine/places/index.ts';
import type { Effect } from '../../../machine/fault/index.ts';
import type { IsolatedSensor } from '../../isolation/index.ts';
import type { Rig } from '../../../machine/rig/index.ts';
import { readOn, type CircuitSpot } from './circuitSpot.ts';

/*
 * What makers do differently and nobody has written down, as far as it moves what is read: the pull of an input, what an output
 * does that has lost its supply, how much a supply gives, what a hot element takes. Where it moves nothing, nothing is in doubt.
 */

/** How another maker's machine would show it. */
export interface MakersDifference {
  /** One standard deviation in volts. */
  doubt: number;
  /** Volts by each volt of the unit's sensor supplies; of a hot element, by what it takes, from the usual on. */
  follows: number;
  /** Volts, where the maker pulls his inputs strongly. */
  pulls: number;
}
const NO_DIFFERENCE: MakersDifference = { doubt: 0, follows: 0, pulls: 0 };

/** From 5 kΩ to 1 MΩ an input may be pulled: the usual one is tried against one so many times as strong. */
const PULL_FACTOR = 12;
/** Of what that moves, beside the stands that are looked at by themselves. */
const PULL_SHARE = 0.35;
/** A thermistor's pull is printed with it. */
const WEAK_OHMS = 50_000;
/** Above this share of its supply a sensor does as its data sheet says, so far below it nobody knows. */
const FED_SHARE = 0.86;
const STARVED_SHARE = 0.5;
/** An output that has lost its supply lies anywhere: on its protection diodes, on its pull, half awake. */
const STARVED_VOLTS = 1.3;
const NUDGE_OHMS = 4000;
/** A supply that cannot give what is drawn: makers let it give very different currents. */
const LOW_LIMIT_AMPS = 0.03;
const LIMIT_SHARE = 0.7;
const OVERLOADED_SHARE = 0.97;
const NUDGED_SUPPLY_VOLTS = 0.1;
/**
 * What a hot element takes, its feed and its return lose something of: makers are looked at who let it take so many times what lies in
 * the middle, and as much less; in between it is as much in doubt as a third of that.
 */
const FARTHEST = 1.7;
const BETWEEN_LOOKS = 0.33;

/**
 * How far a reading may lie from what the usual circuit would show, and how it follows the sensor supplies.
 *
 * @param bring brings the rig into the situation of the reading
 * @param reads what the usual circuit shows
 */
export function differenceAt(
  rig: Rig,
  bring: () => void,
  reads: number,
  spot: CircuitSpot,
  effects: readonly Effect[],
  sensor: IsolatedSensor,
): MakersDifference {
  if (spot.kind === 'ohms' || (spot.kind === 'unit-sees' && spot.what === 'pair')) return NO_DIFFERENCE;
  const { wiring } = rig;
  const moved = (change: () => void): number => {
    bring();
    change();
    const now = readOn(rig, spot, effects, sensor) - reads;
    return Number.isFinite(now) ? now : 0;
  };
  const byRails = moved(() => wiring.raiseRails(NUDGED_SUPPLY_VOLTS)) / NUDGED_SUPPLY_VOLTS;
  // A tenth of a volt more changes neither what is overloaded nor what is starved.
  const { rails } = wiring.spec;
  const isOverloaded = rails.some((rail, at) => wiring.railAmps(at) > OVERLOADED_SHARE * rail.limitAmps);
  const starved = ofSignal(spot) && !losesSupplyAtPlug(effects) ? starvedShare(rig) : 0;
  const pulls = ofSignal(spot) ? moved(() => strengthenPulls(rig, sensor.wires)) : 0;
  const doubts = [
    starved > 0 ? STARVED_VOLTS * starved * hangsOnOutput(rig, moved) : 0,
    PULL_SHARE * pulls,
    isOverloaded
      ? LIMIT_SHARE * moved(() => rails.forEach((_, at) => wiring.setRail(at, { limitAmps: LOW_LIMIT_AMPS })))
      : 0,
  ];
  if (!isHeated(rig)) return { doubt: Math.hypot(...doubts), follows: byRails, pulls };
  // What feeds a hot element is looked at by what it takes, and its unit's supplies are in doubt by themselves.
  const byHeater = moved(() => wiring.setOhms('supply', wiring.ohmsOf('supply')! / FARTHEST));
  doubts.push(BETWEEN_LOOKS * byHeater, LOOKED_SUPPLY_VOLTS * byRails);
  return { doubt: Math.hypot(...doubts), follows: byHeater / LOOKED_SUPPLY_VOLTS, pulls };
}

function strengthenPulls({ wiring }: Rig, wires: readonly Lane[]): void {
  for (const wire of wires.filter(isSignal))
    for (const part of [`pull-up:${wire}`, `pull-down:${wire}`] as const) {
      const ohms = wiring.ohmsOf(part);
      if (ohms !== undefined && ohms >= WEAK_OHMS && ohms < Infinity)
        wiring.setOhms(part, ohms / PULL_FACTOR);
    }
}

const isHeated = ({ wiring: { spec, isPlugged } }: Rig): boolean =>
  isPlugged && spec.sensor.kind === 'stage' && spec.sensor.feed === 'battery-feed';

/** From 0, the output of a stage has its supply, to 1, it has none, as last solved. */
function starvedShare({ wiring }: Rig): number {
  const { sensor, unitVolts, batteryVolts } = wiring.spec;
  if (sensor.kind !== 'stage' || !wiring.isPlugged) return 0;
  const fed = wiring.suppliedVolts() / (sensor.feed === 'reference' ? unitVolts : batteryVolts);
  return Math.min(1, Math.max(0, (FED_SHARE - fed) / (FED_SHARE - STARVED_SHARE)));
}

/** From 0, what is read has nothing to do with the output, to 1, it is the output. */
function hangsOnOutput({ wiring }: Rig, moved: (change: () => void) => number): number {
  const before = wiring.elementVolts('signal');
  const read = moved(() => wiring.nudge('signal', NUDGE_OHMS));
  const by = Math.abs(wiring.elementVolts('signal') - before);
  return by < 1e-4 ? 0 : Math.min(1, Math.abs(read) / by);
}

const ofSignal = (spot: CircuitSpot): boolean => {
  if (isLiveData(spot) || spot.kind === 'telegrams' || isPulses(spot)) return true;
  if (spot.kind === 'wire') return isSignal(spot.lane);
  if (spot.kind === 'unit-sees') return spot.what === 'second-signal';
  return [spot.from, spot.to].some((point) => typeof point === 'object' && isSignal(point.lane));
};

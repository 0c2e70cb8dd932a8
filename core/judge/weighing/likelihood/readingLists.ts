import {
  airflowInputs,
  isPlain,
  lanesIn,
  type AnyEvidence,
  type BetweenReading,
  type PulsesReading,
  type ScanReading,
  type WireReading,
} from '../../../record/evidence/index.ts';
import { batteryState, keyOn, type Lane } from '../../../machine/places/index.ts';
import { liveDataStep } from '../../../machine/family/index.ts';
import { gaugeAgainstSensor, speedDensityFlow, type CaseFile } from '../../checks/index.ts';
import { fromLimits, meterLimitVolts } from '../../../measure/uncertainty/index.ts';
import {
  belongsThere,
  toldBy,
  isAgainstBattery,
  isRepeat,
  mayBeOnPinOfAnother,
  throughABody,
} from './aboutReadings.ts';
import type { CircuitSpot } from '../prediction/circuitSpot.ts';
import { forEveryTolerance } from './lists.ts';
import { likelyBeside, shownAlready, type Act } from './readAgain.ts';
import type { Likely } from './seenBefore.ts';
import type { Places } from '../prediction/places.ts';
import type { QuantityGrid } from '../hypotheses/quantityGrid.ts';
import {
  engineFlowLikelihood,
  gaugeLikelihood,
  liveVoltsLikelihood,
  mistakenEngineFlow,
  mistakenGauge,
  mistakenScan,
  mistakenVolts,
  onAnotherPin,
  scanLikelihood,
  voltsLikelihood,
} from './readingLikelihood.ts';
import { MISTAKEN_OHMS, ohmsLikelihood } from './ohmsLikelihood.ts';
import { pulsesLikelihood } from './pulsesLikelihood.ts';
import type { WeighedReading } from '../hypotheses/weighedCase.ts';

const SIGNALS: readonly Lane[] = ['signal', 'second-signal'];

type Lists = Pick<WeighedReading, 'lists' | 'listOf' | 'floor'>;

interface Weighing {
  caseFile: CaseFile;
  grid: QuantityGrid;
  places: Places;
  /** Lists over what the circuit answers at a spot in the state of the reading. */
  answered: (spot: CircuitSpot, likely: Likely, known?: Known) => Omit<Lists, 'floor'>;
}
interface Known {
  isAgainstBattery?: boolean;
  /** What the same wire showed before in the same state, and where. */
  seen?: { at: WireReading; likely: Likely; floor: number } | undefined;
}

/** How likely a reading is under everything that may be wrong; undefined where it says nothing. */
export function readingLists(reading: AnyEvidence, weighing: Weighing): Lists | undefined {
  // What the starter leaves of a supply says how the battery is, and nothing of this circuit.
  if (batteryState(reading.state) === 'cranking' && lanesIn(reading).some((lane) => !SIGNALS.includes(lane)))
    return undefined;
  const weigh = WEIGHED[reading.kind] as (
    reading: AnyEvidence,
    weighing: Weighing,
  ) => ReturnType<typeof readingLists>;
  return weigh(reading, weighing);
}

/** What each kind of reading is worth. */
const WEIGHED: {
  readonly [K in AnyEvidence['kind']]: (
    reading: Extract<AnyEvidence, { kind: K }>,
    weighing: Weighing,
  ) => Lists | undefined;
} = {
  gauge(reading, { caseFile, grid, places: { ways, wayOf } }) {
    const { profile } = caseFile;
    const measured = gaugeAgainstSensor(reading, profile.measures, caseFile.ambient, caseFile.gauge);
    if (!measured.ok) return undefined;
    const { value, expandedUncertainty } = measured.value;
    const span = 2 * (profile.highest - profile.lowest);
    const lists = ways.map(({ met, atSource }) => {
      const at = reading.tap === 'manifold' ? atSource : met;
      const list = at.map((predicted, node) => {
        const sigma = Math.hypot(expandedUncertainty / 2, grid.halfSteps[node]! / SQRT_THREE);
        return gaugeLikelihood({ pressureKpa: value }, predicted, sigma, span);
      });
      return forEveryTolerance(list);
    });
    return { lists, listOf: wayOf, floor: mistakenGauge(span) };
  },

  'engine-flow'(reading, { caseFile, grid, places: { ways, wayOf } }) {
    const { measures, lowest, highest } = caseFile.profile;
    if (measures !== 'air-flow') return undefined;
    const { value, expandedUncertainty } = speedDensityFlow(airflowInputs(reading));
    const span = highest - lowest;
    // What goes past the meter goes into the engine all the same.
    const lists = ways.map(({ atSource }) =>
      forEveryTolerance(
        atSource.map((drawn, node) =>
          engineFlowLikelihood(
            value,
            drawn,
            Math.hypot(expandedUncertainty / 2, grid.halfSteps[node]! / SQRT_THREE),
            span,
          ),
        ),
      ),
    );
    return { lists, listOf: wayOf, floor: mistakenEngineFlow(span) };
  },

  ohms(reading, { answered }) {
    // An ohmmeter on a live circuit says nothing.
    if (keyOn(reading.state)) return undefined;
    const inside = throughABody(reading);
    const likely = (ohms: number) => ohmsLikelihood(reading, ohms, inside);
    return { floor: MISTAKEN_OHMS, ...answered(reading, likely) };
  },

  scan(reading, { caseFile, answered }) {
    const { profile, family } = caseFile;
    if (!keyOn(reading.state) || reading.measures !== profile.measures) return undefined;
    const step = reading.step ?? liveDataStep(family, profile.measures);
    const shownBefore = isRepeat(reading, caseFile, step);
    const likely = scanLikelihood(reading, step, profile, shownBefore);
    const seen = seenFirst(reading, caseFile);
    return { floor: mistakenScan(profile), ...answered({ kind: 'scan' }, likely, { seen }) };
  },

  'live-volts'(reading, { caseFile, answered }) {
    if (!keyOn(reading.state)) return undefined;
    const { floor, likely } = liveVoltsLikelihood(reading, caseFile.profile, caseFile.companion);
    return { floor, ...answered(reading, likely) };
  },

  frequency: pulses,

  duty: pulses,

  between(reading, { caseFile, answered }) {
    const sigma = fromLimits(meterLimitVolts(reading.volts, caseFile.meter.accuracy));
    const nominal = caseFile.profile.nominalReferenceVolts;
    if (!isAlongOneWire(reading)) {
      const floor = mistakenVolts(reading.volts, nominal);
      const likely = voltsLikelihood(reading.volts, sigma, floor);
      return { floor, ...answered(reading, likely, { isAgainstBattery: isAgainstBattery(reading) }) };
    }
    // A drop counts by its size: its sign only says which way round the leads were.
    const drop = Math.abs(reading.volts);
    const floor = mistakenVolts(drop, nominal);
    const bySize = voltsLikelihood(drop, sigma, floor);
    const likely = (predicted: number, spread: number) => bySize(Math.abs(predicted), spread);
    return { floor, ...answered(reading, likely) };
  },

  wire(reading, { caseFile, answered }) {
    const { floor, likely } = onTheWire(reading, caseFile);
    const seen = seenFirst(reading, caseFile);
    return {
      floor,
      ...answered(reading, likely, { isAgainstBattery: isAgainstBattery(reading), seen }),
    };
  },
};

/** With nothing fed, a line that stands says nothing. */
function pulses(reading: PulsesReading, { caseFile, answered }: Weighing): Lists | undefined {
  const found = keyOn(reading.state) ? pulsesLikelihood(reading, caseFile.profile) : undefined;
  return found && { floor: found.floor, ...answered(reading, found.likely) };
}

function onTheWire(reading: WireReading, caseFile: CaseFile): { floor: number; likely: Likely } {
  const act = byItself(reading, caseFile);
  const others = shownAlready(reading, caseFile).map((one) => byItself(one, caseFile));
  return { floor: act.floor, likely: likelyBeside(act, others) };
}

function byItself(reading: WireReading, caseFile: CaseFile): Act {
  const meter = (isPlain(reading) && reading.meter) || caseFile.meter;
  const sigma = fromLimits(meterLimitVolts(reading.volts, meter.accuracy));
  const { volts } = reading;
  const nominal = caseFile.profile.nominalReferenceVolts;
  const asAnother = mayBeOnPinOfAnother(reading, caseFile);
  const floor = mistakenVolts(volts, nominal, asAnother);
  return {
    volts,
    floor,
    likely: voltsLikelihood(volts, sigma, floor),
    // What belongs on this very pin was read on no other.
    onAnotherPin: belongsThere(reading, caseFile) ? 0 : onAnotherPin(volts, nominal, asAnother),
  };
}

function seenFirst(reading: WireReading | ScanReading, caseFile: CaseFile): Known['seen'] {
  const at = toldBy(reading, caseFile);
  return at && { at, ...byItself(at, caseFile) };
}

/** A drop, rather than a voltage between two wires. */
export const isAlongOneWire = ({ from, to }: BetweenReading): boolean =>
  typeof from !== 'string' && typeof to !== 'string' && from.lane === to.lane;

const SQRT_THREE = Math.sqrt(3);

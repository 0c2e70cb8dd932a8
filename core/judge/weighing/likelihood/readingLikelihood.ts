import type { Companion } from '../../../measure/companion/index.ts';
import { limitsOf } from '../../../record/code/index.ts';
import { liveVoltsTerms } from '../../../measure/uncertainty/index.ts';
import type { GaugeReading, LiveVoltsReading, ScanReading } from '../../../record/evidence/index.ts';
import { curveOf, valueLimitVolts, type SensorProfile } from '../../../measure/transfer/index.ts';

/** As often as this a reading is not what it is noted as: a slipped probe, a wrong pin, a number misread. */
export const MISTAKEN_SHARE = 0.03;
/** What a mistaken voltage may be: anything that a workshop's meter shows, or just what another wire of the plug carries. */
const MISTAKEN_SPAN_VOLTS = 14;
const OTHER_WIRE_SHARE = 0.3;
const GROUND_SIGMA_VOLTS = 0.03;
const SUPPLY_SIGMA_VOLTS = 0.06;
/** The circuit of this machine is not quite that of our model: contacts, the spread of references and unit grounds. */
const MODEL_VOLTS = 0.008;
const MODEL_SHARE = 0.006;

/** One machine in so many differs from our model by several times as much as most do. */
const UNUSUAL_SHARE = 0.15;
const UNUSUAL_FACTOR = 3.5;
/** A battery stands anywhere from half charged to being charged, and so does whatever it feeds. */
const BATTERY_FROM_VOLTS = 6;
const BATTERY_SHARE = 0.06;

const SQRT_TWO_PI = Math.sqrt(2 * Math.PI);

/** Density of a normal distribution at a distance from its middle. */
export const normal = (distance: number, sigma: number): number =>
  Math.exp(-0.5 * (distance / sigma) ** 2) / (sigma * SQRT_TWO_PI);
/** So many standard deviations away, nothing is left of a normal distribution that a slip would not be likelier by far. */
const NOTHING_LEFT = 9;
/**
 * Density of what lies at a distance from what is predicted, where now and then a machine differs by more. Most of what may be wrong
 * predicts something far away, and an exponential is what this costs.
 */
export function usual(distance: number, sigma: number): number {
  const away = Math.abs(distance) / sigma;
  if (away > NOTHING_LEFT * UNUSUAL_FACTOR) return 0;
  const unusual = UNUSUAL_SHARE * normal(distance, UNUSUAL_FACTOR * sigma);
  return away > NOTHING_LEFT ? unusual : (1 - UNUSUAL_SHARE) * normal(distance, sigma) + unusual;
}

/** A reading as it was noted, or mistaken. */
export const mixed = (asNoted: number, mistaken: number): number =>
  (1 - MISTAKEN_SHARE) * asNoted + MISTAKEN_SHARE * mistaken;

/** Where a slip lands on another pin that was read, it shows what that one does to some hundredths of a volt. */
const ON_READ_PIN_PER_VOLT = 8;

/**
 * How likely another pin of the plug shows just this, per volt.
 *
 * @param asAnother whether another wire was read to show the same
 */
export const onAnotherPin = (volts: number, nominalVolts: number, asAnother: boolean): number =>
  OTHER_WIRE_SHARE *
  (normal(volts, GROUND_SIGMA_VOLTS) +
    normal(volts - nominalVolts, SUPPLY_SIGMA_VOLTS) +
    (asAnother ? ON_READ_PIN_PER_VOLT : 0));

/**
 * What is left of each likelihood where the reading is mistaken: how likely a slipped probe shows just this, per volt.
 *
 * @param asAnother whether another wire was read to show the same
 */
export const mistakenVolts = (volts: number, nominalVolts: number, asAnother = false): number =>
  MISTAKEN_SHARE *
  ((1 - 2 * OTHER_WIRE_SHARE) / MISTAKEN_SPAN_VOLTS + onAnotherPin(volts, nominalVolts, asAnother));

/**
 * How well a voltage fits a prediction, per volt; `gridVolts` is what lies between two sizes and two quantities that were looked
 * at, one standard deviation.
 *
 * @param instrumentSigma of the meter, one standard deviation in volts
 * @param mistaken        per volt, where it is not what it is noted as
 */
export function voltsLikelihood(
  volts: number,
  instrumentSigma: number,
  mistaken: number,
): (predicted: number, gridVolts: number) => number {
  return (predicted, gridVolts) => {
    const size = Math.abs(predicted);
    const model = MODEL_VOLTS + MODEL_SHARE * size + Math.max(0, size - BATTERY_FROM_VOLTS) * BATTERY_SHARE;
    // A root, since Math.hypot takes ten times as long and this is asked for most of all.
    const sigma = Math.sqrt(instrumentSigma ** 2 + model ** 2 + gridVolts ** 2);
    return (1 - MISTAKEN_SHARE) * usual(volts - predicted, sigma) + mistaken;
  };
}

/** What a substituted value may be: anything, also outside of what the sensor can show. */
const SUBSTITUTED_SPAN = 1.6;

/** A unit that lost the signal keeps to one value: seen once, it comes again. */
const SAME_AGAIN = 0.9;

/**
 * How well live data fits what the unit would make of a voltage at its input, per unit of the measurand; `gridVolts` as with
 * voltages.
 *
 * @param shownBefore whether an earlier reading of live data was the same
 */
export function scanLikelihood(
  { value }: Pick<ScanReading, 'value'>,
  step: number,
  profile: SensorProfile,
  shownBefore: boolean,
): (inputVolts: number, gridVolts: number) => number {
  const anything = 1 / (SUBSTITUTED_SPAN * (profile.highest - profile.lowest));
  const substituted = shownBefore ? SAME_AGAIN / step : anything;
  const [low, high] = valueLimitVolts(profile);
  const { valueAt } = curveOf(profile, profile.nominalReferenceVolts);
  // The same voltage is asked for several times in a row, with another doubt.
  let [asked, believed, perVolt, certain] = [NaN, NaN, NaN, NaN];
  return (inputVolts, gridVolts) => {
    if (inputVolts < low || inputVolts > high) return substituted;
    if (inputVolts !== asked) {
      asked = inputVolts;
      believed = valueAt(inputVolts);
      perVolt = Math.abs(valueAt(inputVolts + SLOPE_VOLTS) - believed) / SLOPE_VOLTS;
      const model = perVolt * (MODEL_VOLTS + MODEL_SHARE * Math.abs(inputVolts));
      certain = step ** 2 / 12 + model ** 2;
    }
    return mixed(usual(value - believed, Math.sqrt(certain + (perVolt * gridVolts) ** 2)), anything);
  };
}
const SLOPE_VOLTS = 0.01;

/** A unit that has given a signal up mostly goes on showing its volts, and now and then a value in their place (our own judgement). */
const VOLTS_REPLACED = 0.3;

/** How well volts of live data fit what the unit's converter would make of an input, per volt. */
export function liveVoltsLikelihood(
  { volts, lane }: Pick<LiveVoltsReading, 'volts' | 'lane'>,
  profile: SensorProfile,
  companion: Companion | undefined,
): { floor: number; likely: (inputVolts: number, gridVolts: number) => number } {
  // An air temperature in the same body is given up at other volts than a track.
  const [low, high] = limitsOf(lane, profile, companion);
  const anything = 1 / profile.nominalReferenceVolts;
  const certain = liveVoltsTerms().reduce(
    (sum, { standardUncertainty }) => sum + standardUncertainty ** 2,
    0,
  );
  return {
    floor: MISTAKEN_SHARE * anything,
    likely: (inputVolts, gridVolts) => {
      const model = MODEL_VOLTS + MODEL_SHARE * Math.abs(inputVolts);
      const fits = usual(volts - inputVolts, Math.sqrt(certain + model ** 2 + gridVolts ** 2));
      const isGivenUp = inputVolts < low || inputVolts > high;
      return mixed(isGivenUp ? (1 - VOLTS_REPLACED) * fits + VOLTS_REPLACED * anything : fits, anything);
    },
  };
}

/** Likelihood per unit of the measurand of live data that was misread: anywhere in the range of the sensor. */
export const mistakenScan = ({ lowest, highest }: SensorProfile): number =>
  MISTAKEN_SHARE / (SUBSTITUTED_SPAN * (highest - lowest));
/** Likelihood per kPa of a gauge that was misread: anywhere on its scale. */
export const mistakenGauge = (spanKpa: number): number => MISTAKEN_SHARE / spanKpa;

/** How well a gauge fits what is at its tap, per kPa. */
export function gaugeLikelihood(
  { pressureKpa }: Pick<GaugeReading, 'pressureKpa'>,
  predictedKpa: number,
  sigmaKpa: number,
  spanKpa: number,
): number {
  return mixed(normal(pressureKpa - predictedKpa, sigmaKpa), 1 / spanKpa);
}

/** Of what is drawn: no two engines fill alike, and one that fills better does so at every speed. */
const ENGINE_MODEL_SHARE = 0.12;
/** Likelihood per unit of a flow whose figures were misread: anywhere in the range of the meter. */
export const mistakenEngineFlow = (span: number): number => MISTAKEN_SHARE / span;

/** How well what speed and density call for fits what the engine draws, per unit of flow. */
export const engineFlowLikelihood = (flow: number, drawn: number, sigma: number, span: number): number =>
  mixed(usual(flow - drawn, Math.hypot(sigma, ENGINE_MODEL_SHARE * flow)), 1 / span);

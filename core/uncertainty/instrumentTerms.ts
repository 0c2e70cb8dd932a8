import { curveOf, toleranceAt, type SensorProfile, type WireVolts } from '../transfer/index.ts';
import { fromLimits, fromResolution, type UncertaintyTerm } from './budget.ts';

/** A hand-held meter's statement: ±(% of reading + counts of the last digit). */
export interface MeterAccuracy {
  kind: 'meter';
  percentOfReading: number;
  counts: number;
  displayCounts: number;
}

/** A mechanical gauge or hand pump: accuracy class in % of span (EN 837-1), read to half a division. */
export interface GaugeAccuracy {
  kind: 'gauge';
  classPercent: number;
  spanKpa: number;
  divisionKpa: number;
}

/** Live data: nothing is known but the step that the value moves in, in the measurand's unit. */
export interface LiveDataAccuracy {
  kind: 'live-data';
  step: number;
}

export type Accuracy = MeterAccuracy | GaugeAccuracy | LiveDataAccuracy;

/** What took a reading, by name; the accuracy is that of its paper. */
export interface Instrument<A extends Accuracy = Accuracy> {
  name: string;
  accuracy: A;
}

/** Limits of error of a voltage on the range the meter picks by itself. */
export function meterLimitVolts(volts: number, meter: MeterAccuracy): number {
  let rangeVolts = meter.displayCounts / 10_000; // the lowest range of a 6000-count meter is 600.0 mV
  while (rangeVolts < Math.abs(volts)) rangeVolts *= 10;
  const countVolts = rangeVolts / meter.displayCounts;
  return (Math.abs(volts) * meter.percentOfReading) / 100 + meter.counts * countVolts;
}

export const SENSOR_TOLERANCE = 'sensor tolerance';

/** Doubt of a value made from wire readings: meter on signal and reference, and the sensor's own limits. */
export function signalTerms(
  wires: WireVolts,
  profile: SensorProfile,
  meters: { signal: Instrument<MeterAccuracy>; reference: Instrument<MeterAccuracy> },
): UncertaintyTerm[] {
  const supplyVolts = wires.referenceVolts - wires.returnVolts;
  const curve = curveOf(profile, supplyVolts);
  const ownVolts = wires.signalVolts - wires.returnVolts;
  const valuePerVolt = Math.abs(curve.valuePerVoltAt(ownVolts));
  // A ratiometric output moves with its supply: ∂V/∂Vref is the share itself.
  const shareOfSupply = Math.abs(curve.shareOfSupplyAt(ownVolts));
  return [
    {
      source: SENSOR_TOLERANCE,
      standardUncertainty: fromLimits(toleranceAt(curve.valueAt(ownVolts), profile)),
    },
    {
      source: `${meters.signal.name} on the signal`,
      standardUncertainty:
        fromLimits(meterLimitVolts(wires.signalVolts, meters.signal.accuracy)) * valuePerVolt,
    },
    {
      source: `${meters.reference.name} on the reference`,
      standardUncertainty:
        fromLimits(meterLimitVolts(wires.referenceVolts, meters.reference.accuracy)) *
        shareOfSupply *
        valuePerVolt,
    },
  ];
}

export const gaugeTerms = ({ name, accuracy }: Instrument<GaugeAccuracy>): UncertaintyTerm[] => [
  {
    source: `accuracy class of ${name}`,
    standardUncertainty: fromLimits((accuracy.classPercent / 100) * accuracy.spanKpa),
  },
  {
    source: `reading the dial of ${name}`,
    standardUncertainty: fromResolution(accuracy.divisionKpa / 2),
  },
];

export const liveDataTerms = (step: number): UncertaintyTerm[] => [
  { source: 'live data step', standardUncertainty: fromResolution(step) },
];

import { curveOf, type SensorProfile, type WireVolts } from '../transfer/index.ts';

/** JCGM 100:2008, 6.3.3: k = 2 for about 95 %. */
export const COVERAGE_FACTOR = 2;

export interface UncertaintyTerm {
  /** The instrument or part that brings the doubt, in words for the screen. */
  source: string;
  standardUncertaintyKpa: number;
}

export interface MeasuredPressure {
  pressureKpaAbs: number;
  /** k = 2. */
  expandedUncertaintyKpa: number;
  terms: UncertaintyTerm[];
}

/** Only limits are known: a rectangular distribution, half-width / √3 (JCGM 100:2008, 4.3.7). */
export const fromLimits = (halfWidth: number): number => halfWidth / Math.sqrt(3);
/** The last digit or scale step: its full width / √12 (JCGM 100:2008, F.2.2.1). */
export const fromResolution = (step: number): number => step / Math.sqrt(12);

/** Independent contributions add as squares (JCGM 100:2008, 5.1.2). */
export function measuredPressure(pressureKpaAbs: number, terms: UncertaintyTerm[]): MeasuredPressure {
  const variance = terms.reduce((sum, term) => sum + term.standardUncertaintyKpa ** 2, 0);
  return { pressureKpaAbs, expandedUncertaintyKpa: COVERAGE_FACTOR * Math.sqrt(variance), terms };
}

/** A hand-held meter's statement: ±(% of reading + counts of the last digit). */
export interface MeterAccuracy {
  percentOfReading: number;
  counts: number;
  displayCounts: number;
}

/** Limits of error of a voltage on the range the meter picks by itself. */
export function meterLimitVolts(volts: number, meter: MeterAccuracy): number {
  let rangeVolts = meter.displayCounts / 10_000; // the lowest range of a 6000-count meter is 600.0 mV
  while (rangeVolts < Math.abs(volts)) rangeVolts *= 10;
  const countVolts = rangeVolts / meter.displayCounts;
  return (Math.abs(volts) * meter.percentOfReading) / 100 + meter.counts * countVolts;
}

/** Doubt of a pressure made from wire readings: meter on signal and reference, and the sensor's own limits. */
export function signalTerms(
  wires: WireVolts,
  profile: SensorProfile,
  meter: MeterAccuracy,
): UncertaintyTerm[] {
  const supplyVolts = wires.referenceVolts - wires.returnVolts;
  const curve = curveOf(profile, supplyVolts);
  const ownVolts = wires.signalVolts - wires.returnVolts;
  const kpaPerVolt = Math.abs(curve.kpaPerVoltAt(ownVolts));
  // A ratiometric output moves with its supply: ∂V/∂Vref is the share itself.
  const shareOfSupply = curve.shareOfSupplyAt(ownVolts);
  return [
    { source: 'sensor tolerance', standardUncertaintyKpa: fromLimits(profile.toleranceKpa) },
    {
      source: 'meter on signal',
      standardUncertaintyKpa: fromLimits(meterLimitVolts(wires.signalVolts, meter)) * kpaPerVolt,
    },
    {
      source: 'meter on reference',
      standardUncertaintyKpa:
        fromLimits(meterLimitVolts(wires.referenceVolts, meter)) * Math.abs(shareOfSupply) * kpaPerVolt,
    },
  ];
}

/** A mechanical gauge: accuracy class in % of span (EN 837-1), read to half a division. */
export interface GaugeAccuracy {
  classPercent: number;
  spanKpa: number;
  divisionKpa: number;
}

export const gaugeTerms = (gauge: GaugeAccuracy): UncertaintyTerm[] => [
  { source: 'gauge class', standardUncertaintyKpa: fromLimits((gauge.classPercent / 100) * gauge.spanKpa) },
  { source: 'reading the dial', standardUncertaintyKpa: fromResolution(gauge.divisionKpa / 2) },
];

import { say, verbatim, type Message, type Verbatim } from '../message/index.ts';
import { fromLimits, fromResolution, type UncertaintyTerm } from './budget.ts';

/** A hand-held meter's statement: ±(% of reading + counts of the last digit). */
export interface MeterAccuracy {
  kind: 'meter';
  percentOfReading: number;
  counts: number;
  displayCounts: number;
}

/** How closely a dial can be read: wide divisions under a fine pointer to a quarter, narrow ones to the mark alone. */
export const DIAL_SHARES = { division: 1, half: 1 / 2, quarter: 1 / 4 } as const;
export type DialReadTo = keyof typeof DIAL_SHARES;

/** A mechanical gauge or hand pump: accuracy class in % of span (EN 837-1), read to half a division unless it says else. */
export interface GaugeAccuracy {
  kind: 'gauge';
  classPercent: number;
  spanKpa: number;
  divisionKpa: number;
  readTo?: DialReadTo | undefined;
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
  /** Nobody said what took the reading: its accuracy is taken for granted, and two such readings need not be of one instrument. */
  assumed?: boolean | undefined;
}

/** Limits of error of a voltage on the range the meter picks by itself. */
export const meterLimitVolts = (volts: number, meter: MeterAccuracy): number =>
  gainLimitVolts(volts, meter) + countsLimitVolts(volts, meter);

/** The part that grows with the reading, and is the same share of each reading of one meter. */
export const gainLimitVolts = (volts: number, { percentOfReading }: MeterAccuracy): number =>
  (Math.abs(volts) * percentOfReading) / 100;

/** The part that comes from the last digits of the range, each reading by itself. */
export function countsLimitVolts(volts: number, meter: MeterAccuracy): number {
  let rangeVolts = meter.displayCounts / 10_000; // the lowest range of a 6000-count meter is 600.0 mV
  while (rangeVolts < Math.abs(volts)) rangeVolts *= 10;
  const countVolts = rangeVolts / meter.displayCounts;
  return meter.counts * countVolts;
}

/** What an instrument is called: its own name, or what it is where nobody said which took the reading. */
export const instrumentSaid = ({ name, accuracy, assumed }: Instrument): Message | Verbatim =>
  assumed ? say(`doubt.common-${accuracy.kind}`) : verbatim(name);

/** What a gauge adds to a budget, in kPa: its class, and how finely its dial is read. */
export const gaugeTerms = (gauge: Instrument<GaugeAccuracy>): UncertaintyTerm[] => [
  {
    source: say('doubt.accuracy-class', { instrument: instrumentSaid(gauge) }),
    standardUncertainty: fromLimits((gauge.accuracy.classPercent / 100) * gauge.accuracy.spanKpa),
  },
  {
    source: say('doubt.reading-dial', { instrument: instrumentSaid(gauge) }),
    standardUncertainty: fromResolution(
      gauge.accuracy.divisionKpa * DIAL_SHARES[gauge.accuracy.readTo ?? 'half'],
    ),
  },
];

/** Common practice: what a unit's own ten-bit converter may be off by, in its counts over the reference. */
const CONVERTER_COUNTS = 2;
const CONVERTER_STEPS = 1023;

/**
 * Live data: the step it is shown in, and the converter of the unit that read the wire.
 *
 * @param valuePerReference the value that the whole reference stands for at this point of the curve: the slope per volt times
 *   the reference; 0 where nothing is converted
 */
export const liveDataTerms = (step: number, valuePerReference: number): UncertaintyTerm[] => [
  { source: say('doubt.live-data-step'), standardUncertainty: fromResolution(step) },
  {
    source: say('doubt.units-converter-2-counts-10'),
    standardUncertainty: fromLimits((CONVERTER_COUNTS / CONVERTER_STEPS) * Math.abs(valuePerReference)),
  },
];

/** Common practice, from memory: one byte over 5 V. */
export const LIVE_VOLTS_STEP = 5 / 255;
const CONVERTED_VOLTS = 5;
/** Volts of live data, as the unit's converter makes them. */
export const liveVoltsTerms = (): UncertaintyTerm[] => liveDataTerms(LIVE_VOLTS_STEP, CONVERTED_VOLTS);
/** How far such volts may be off. */
export const LIVE_VOLTS_LIMIT = LIVE_VOLTS_STEP / 2 + (CONVERTER_COUNTS / CONVERTER_STEPS) * CONVERTED_VOLTS;

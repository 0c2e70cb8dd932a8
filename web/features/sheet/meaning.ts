import type { Evidence } from '@lettura/core/record/evidence';
import { expectedReading, type Expectation } from '@lettura/core/judge/expectation';
import {
  formatPressure,
  formatValue,
  formatWithBasis,
  isPressure,
  toKpaAbs,
  measurandSaid,
} from '@lettura/core/measure/quantity';
import {
  expectationContext,
  readingLimitVolts,
  valueOfSignal,
  signalAtRail,
  type CaseFile,
} from '@lettura/core/judge/checks';
import { type MeasuredValue } from '@lettura/core/measure/uncertainty';
import { fitOf, type Fit } from '../../ui/fit.ts';
import { vacuumInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { said } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';
import { say, verbatim } from '@lettura/core/measure/message';

export interface Meaning {
  expectation: Expectation | undefined;
  fit: Fit | undefined;
  /** The value as a pressure, where it is one; or why it is not. */
  conversion: string | undefined;
}

/** A reading before it has an id: being typed, or shown on a simulated instrument. */
type Seen = Evidence extends infer E ? (E extends Evidence ? Omit<E, 'id'> : never) : never;

/** What a reading says at once, before anything is weighed. */
export function meaningOf(reading: Seen, caseFile: CaseFile, units: Units): Meaning {
  const expectation = expectedReading(reading, reading.state, expectationContext(caseFile));
  const value = valueInExpectedUnit(reading, caseFile);
  return {
    expectation,
    fit:
      expectation && value !== undefined ? fitOf(value, expectation, doubtOf(reading, caseFile)) : undefined,
    conversion: conversionOf(reading, caseFile, units),
  };
}

/** Lanes and gate leave a reading what its meter cannot tell; so does its mark. */
const doubtOf = (reading: Seen, caseFile: CaseFile): number =>
  reading.kind === 'wire' ? readingLimitVolts(reading, caseFile) : 0;

function valueInExpectedUnit(reading: Seen, { ambient, profile }: CaseFile): number | undefined {
  switch (reading.kind) {
    case 'wire':
      return reading.volts;
    case 'scan':
      return reading.value;
    case 'gauge': {
      if (profile.measures !== 'absolute-pressure' && reading.basis !== 'absolute') {
        return reading.basis === 'vacuum' ? -reading.pressureKpa : reading.pressureKpa;
      }
      const kpaAbs = ambient && toKpaAbs(reading, ambient.pressureKpaAbs);
      return kpaAbs?.ok ? kpaAbs.value : undefined;
    }
  }
}

function conversionOf(reading: Seen, caseFile: CaseFile, units: Units): string | undefined {
  if (reading.kind === 'wire') {
    const converts =
      reading.lane === 'signal' &&
      reading.state.harness === undefined &&
      reading.state.plug === 'connected' &&
      reading.state.engine !== 'key-off';
    return converts ? signalAsValue({ ...reading, id: 'unsaved' }, caseFile, units) : undefined;
  }
  if (reading.kind === 'scan') return inEveryBasis(reading.value, caseFile, units);
  const { measures } = caseFile.profile;
  if (measures === 'gauge-pressure' || measures === 'differential-pressure') {
    return reading.basis === 'absolute'
      ? 'This sensor counts from ambient: type the gauge value.'
      : undefined;
  }
  if (!caseFile.ambient) return 'Absolute pressure follows once the ambient pressure is given.';
  const kpaAbs = toKpaAbs(reading, caseFile.ambient.pressureKpaAbs);
  return kpaAbs.ok ? inEveryBasis(kpaAbs.value, caseFile, units) : said(problemSaid(kpaAbs.problem));
}

function signalAsValue(
  signal: Extract<Evidence, { kind: 'wire' }>,
  caseFile: CaseFile,
  units: Units,
): string {
  const { measures } = caseFile.profile;
  const rail = signalAtRail(signal, caseFile);
  if (rail)
    return `Past the circuit-${rail} limit: no ${isPressure(measures) ? 'pressure' : said(measurandSaid(measures))} gives that.`;
  const sensor = valueOfSignal(caseFile, signal);
  if (!sensor.ok) return said(problemSaid(sensor.problem));
  const { own, assumed, several, supplyOutside } = sensor.value;
  const { supplyVolts } = caseFile.profile;
  const doubt = formatValue(own.expandedUncertainty, measures, units.absolute);
  const show = (value: number) => formatValue(value, measures, units.absolute);
  const value = several
    ? `anything from ${show(several.lowest)} to ${show(several.highest)}: the curve has this voltage more than once`
    : own.bound
      ? `${said(say('compare.bound', { bound: own.bound === 'at-or-above' ? 'above' : 'below', value: verbatim(inEveryBasis(own.value, caseFile, units)) }))}: the end of what the sensor can show`
      : `${inEveryBasis(own.value, caseFile, units)} (±${doubt}, k = 2)`;
  return [
    value,
    supplyOutside && supplyVolts
      ? `the part is made for ${supplyVolts.lowest} to ${supplyVolts.highest} V of supply: outside that nothing it says is certain`
      : '',
    assumed.length > 0 ? `${assumed.join(' and ')} not measured yet, nominal taken` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

function inEveryBasis(value: number, { ambient, profile }: CaseFile, units: Units): string {
  if (profile.measures !== 'absolute-pressure')
    return formatWithBasis(value, profile.measures, units.absolute);
  const absolute = `${formatPressure(value, units.absolute)} absolute`;
  return ambient ? `${absolute} = ${vacuumInWords(value, ambient, units)}` : absolute;
}

/** The budget behind a signal's value, where it has one. */
export function budgetOf(reading: Seen, caseFile: CaseFile): MeasuredValue | undefined {
  if (reading.kind !== 'wire' || reading.lane !== 'signal' || reading.state.plug !== 'connected')
    return undefined;
  const signal = { ...reading, id: 'unsaved' };
  if (reading.state.engine === 'key-off' || reading.state.harness || signalAtRail(signal, caseFile))
    return undefined;
  const sensor = valueOfSignal(caseFile, signal);
  return sensor.ok ? sensor.value.own : undefined;
}

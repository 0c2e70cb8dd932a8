import type { Evidence, MachineState } from '@lettura/core/evidence';
import { expectedReading, type Expectation } from '@lettura/core/expectation';
import { formatPressure, toKpaAbs } from '@lettura/core/quantity';
import { expectationContext, pressureOfSignal, signalAtRail, type CaseFile } from '@lettura/core/reasoning';
import { vacuumInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';

export type Fit = 'as-expected' | 'below' | 'above';

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
    fit: expectation && value !== undefined ? fitOf(value, expectation) : undefined,
    conversion: conversionOf(reading, caseFile, units),
  };
}

export const fitOf = (value: number, { lowest, highest }: Expectation): Fit =>
  value < lowest ? 'below' : value > highest ? 'above' : 'as-expected';

function valueInExpectedUnit(reading: Seen, { ambient }: CaseFile): number | undefined {
  switch (reading.kind) {
    case 'wire':
      return reading.volts;
    case 'scan':
      return reading.pressureKpaAbs;
    case 'gauge': {
      const kpaAbs = ambient && toKpaAbs(reading, ambient.pressureKpaAbs);
      return kpaAbs?.ok ? kpaAbs.value : undefined;
    }
  }
}

function conversionOf(reading: Seen, caseFile: CaseFile, units: Units): string | undefined {
  if (reading.kind === 'wire') {
    const converts =
      reading.lane === 'signal' && reading.state.plug === 'connected' && reading.state.engine !== 'key-off';
    return converts ? signalAsPressure({ ...reading, id: 'unsaved' }, caseFile, units) : undefined;
  }
  if (reading.kind === 'scan') return bothBases(reading.pressureKpaAbs, caseFile, units);
  if (!caseFile.ambient) return 'Absolute pressure follows once the ambient pressure is given.';
  const kpaAbs = toKpaAbs(reading, caseFile.ambient.pressureKpaAbs);
  return kpaAbs.ok
    ? bothBases(kpaAbs.value, caseFile, units)
    : `${kpaAbs.problem.message} ${kpaAbs.problem.next}`;
}

function signalAsPressure(
  signal: Extract<Evidence, { kind: 'wire' }>,
  caseFile: CaseFile,
  units: Units,
): string {
  const rail = signalAtRail(signal, caseFile);
  if (rail) return `Past the circuit-${rail} limit: no pressure gives that.`;
  const sensor = pressureOfSignal(caseFile, signal);
  if (!sensor.ok) return `${sensor.problem.message} ${sensor.problem.next}`;
  const { own, assumed, extrapolated } = sensor.value;
  const doubt = formatPressure(own.expandedUncertaintyKpa, units.absolute);
  return [
    `${bothBases(own.pressureKpaAbs, caseFile, units)} (±${doubt}, k = 2)`,
    extrapolated ? 'outside the sensor’s range' : '',
    assumed.length > 0 ? `${assumed.join(' and ')} not measured yet, nominal taken` : '',
  ]
    .filter(Boolean)
    .join(' · ');
}

function bothBases(kpaAbs: number, { ambient }: CaseFile, units: Units): string {
  const absolute = `${formatPressure(kpaAbs, units.absolute)} absolute`;
  return ambient ? `${absolute} = ${vacuumInWords(kpaAbs, ambient, units)}` : absolute;
}

export const sameState = (a: MachineState, b: MachineState): boolean =>
  a.engine === b.engine && a.plug === b.plug;

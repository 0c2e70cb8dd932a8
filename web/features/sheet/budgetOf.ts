import {
  countedValue,
  valueOfSignal,
  signalAtRail,
  type CaseFile,
  type SeenPulses,
  type SeenReading,
} from '@lettura/core/judge/checks';
import { isPulses } from '@lettura/core/machine/places';
import { type MeasuredValue } from '@lettura/core/measure/uncertainty';

/** The budget behind a signal's value, where it has one. */
export function budgetOf(reading: SeenReading | SeenPulses, caseFile: CaseFile): MeasuredValue | undefined {
  if (isPulses(reading)) return countedValue(caseFile, reading);
  if (reading.kind !== 'wire' || reading.lane !== 'signal' || reading.state.plug !== 'connected')
    return undefined;
  const signal = { ...reading, id: 'unsaved' };
  if (reading.state.engine === 'key-off' || reading.state.harness || signalAtRail(signal, caseFile))
    return undefined;
  const sensor = valueOfSignal(caseFile, signal);
  return sensor.ok ? sensor.value.own : undefined;
}

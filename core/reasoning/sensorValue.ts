import { keyOn, latestWire, sameDrive, type Drive, type WireReading } from '../evidence/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { valueFromSignal, type WireVolts } from '../transfer/index.ts';
import { measuredValue, signalTerms, type MeasuredValue } from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';

/** In the unit of what the sensor measures. */
export interface SensorValue {
  /** What the control unit makes of the signal: against battery negative. */
  asSeen: MeasuredValue;
  /** What the sensor itself says: its return taken off. The same as `asSeen` while the return is not measured. */
  own: MeasuredValue;
  wires: WireVolts;
  /** Wires whose value is taken for granted because nobody has measured them. */
  assumed: ('reference' | 'return')[];
  extrapolated: boolean;
  readingIds: string[];
}

/** The sensor's value from the newest readings at its plug in a state of engine and stimulus, plug connected. */
export function sensorValue(
  caseFile: CaseFile,
  drive: Drive,
): Result<SensorValue, 'no-signal-reading' | 'reference-missing'> {
  const signal = latestWire(
    caseFile.readings,
    'signal',
    'plug',
    (state) => state.plug === 'connected' && sameDrive(state, drive),
  );
  if (!signal)
    return fail(
      'no-signal-reading',
      'The signal has not been read in this state.',
      'Read the signal at the plug.',
    );
  return valueOfSignal(caseFile, signal);
}

/** The same for one signal reading, with the reference and return that belong to it. */
export function valueOfSignal(
  caseFile: CaseFile,
  signal: WireReading,
): Result<SensorValue, 'reference-missing'> {
  const reference = supplyReading(caseFile, 'reference', signal);
  const returned = supplyReading(caseFile, 'return', signal);
  const wires = {
    signalVolts: signal.volts,
    referenceVolts: reference?.volts ?? caseFile.profile.nominalReferenceVolts,
    returnVolts: returned?.volts ?? 0,
  };
  const own = valueFromSignal(wires, caseFile.profile);
  if (!own.ok) return own;
  const atGround = { ...wires, returnVolts: 0 };
  const asSeen = valueFromSignal(atGround, caseFile.profile);
  if (!asSeen.ok) return asSeen;
  const meters = { signal: signal.meter ?? caseFile.meter, reference: reference?.meter ?? caseFile.meter };
  const measured = (value: number, at: WireVolts) =>
    measuredValue(value, signalTerms(at, caseFile.profile, meters));
  return ok({
    own: measured(own.value.value, wires),
    asSeen: measured(asSeen.value.value, atGround),
    wires,
    assumed: [...(reference ? [] : (['reference'] as const)), ...(returned ? [] : (['return'] as const))],
    extrapolated: own.value.extrapolated,
    readingIds: [signal, reference, returned].flatMap((reading) => (reading ? [reading.id] : [])),
  });
}

/** Supply and return move little between key-on states; the same state is taken where there is one. */
function supplyReading(caseFile: CaseFile, lane: 'reference' | 'return', { state }: WireReading) {
  const loaded = (engineMatters: boolean) =>
    latestWire(
      caseFile.readings,
      lane,
      'plug',
      (other) => other.plug === 'connected' && (engineMatters ? other.engine === state.engine : keyOn(other)),
    );
  return loaded(true) ?? loaded(false);
}

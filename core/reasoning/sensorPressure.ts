import { keyOn, latestWire, type EngineState, type WireReading } from '../evidence/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { pressureFromSignal, type WireVolts } from '../transfer/index.ts';
import { measuredPressure, signalTerms, type MeasuredPressure } from '../uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';

export interface SensorPressure {
  /** What the control unit makes of the signal: against battery negative. */
  asSeen: MeasuredPressure;
  /** What the sensor itself says: its return taken off. The same as `asSeen` while the return is not measured. */
  own: MeasuredPressure;
  wires: WireVolts;
  /** Wires whose value is taken for granted because nobody has measured them. */
  assumed: ('reference' | 'return')[];
  extrapolated: boolean;
  readingIds: string[];
}

/** The sensor's pressure from the newest readings at its plug in an engine state, plug connected. */
export function sensorPressure(
  caseFile: CaseFile,
  engine: EngineState,
): Result<SensorPressure, 'no-signal-reading' | 'reference-missing'> {
  const signal = latestWire(
    caseFile.readings,
    'signal',
    'plug',
    (state) => state.plug === 'connected' && state.engine === engine,
  );
  if (!signal)
    return fail(
      'no-signal-reading',
      'The signal has not been read in this state.',
      'Read the signal at the plug.',
    );
  return pressureOfSignal(caseFile, signal);
}

/** The same for one signal reading, with the reference and return that belong to it. */
export function pressureOfSignal(
  caseFile: CaseFile,
  signal: WireReading,
): Result<SensorPressure, 'reference-missing'> {
  const reference = supplyReading(caseFile, 'reference', signal);
  const returned = supplyReading(caseFile, 'return', signal);
  const wires = {
    signalVolts: signal.volts,
    referenceVolts: reference?.volts ?? caseFile.profile.nominalReferenceVolts,
    returnVolts: returned?.volts ?? 0,
  };
  const own = pressureFromSignal(wires, caseFile.profile);
  if (!own.ok) return own;
  const atGround = { ...wires, returnVolts: 0 };
  const asSeen = pressureFromSignal(atGround, caseFile.profile);
  if (!asSeen.ok) return asSeen;
  const measured = (kpaAbs: number, at: WireVolts) =>
    measuredPressure(kpaAbs, signalTerms(at, caseFile.profile, caseFile.meter));
  return ok({
    own: measured(own.value.pressureKpaAbs, wires),
    asSeen: measured(asSeen.value.pressureKpaAbs, atGround),
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

import { say } from '../../measure/message/index.ts';
import { latestWire, type Evidence, type WireReading } from '../../record/evidence/index.ts';
import { sameDrive, type Drive } from '../../machine/places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import {
  curveOf,
  valueFromSignal,
  type Converted,
  type NoValue,
  type SensorProfile,
  type ValueStretch,
  type WireVolts,
} from '../../measure/transfer/index.ts';
import {
  inputLimitVolts,
  measuredValue,
  signalTerms,
  type MeasuredValue,
  type SignalWires,
} from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';
import { supplyOf } from './supplyOf.ts';

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
  /** The supply is not what the part is made for: nothing that it says is certain. */
  supplyOutside: boolean;
  /** Where one voltage means several values. */
  several: ValueStretch | undefined;
  readingIds: string[];
}

/** The sensor's value from the newest readings at its plug in a state of engine and stimulus, plug connected. */
export function sensorValue(
  caseFile: CaseFile,
  drive: Drive,
): Result<SensorValue, 'no-signal-reading' | NoValue> {
  const signal = signalAtPlug(caseFile.readings, drive);
  if (!signal)
    return fail(
      'no-signal-reading',
      say('checks.signal-not-been-read-state'),
      say('checks.read-signal-plug'),
    );
  return valueOfSignal(caseFile, signal);
}

/** The newest signal at the plug in a drive, plug connected. */
export const signalAtPlug = (readings: readonly Evidence[], drive: Drive): WireReading | undefined =>
  latestWire(readings, 'signal', 'plug', (state) => state.plug === 'connected' && sameDrive(state, drive));

/** The same for one signal reading, with the reference and return that belong to it. */
export function valueOfSignal(caseFile: CaseFile, signal: WireReading): Result<SensorValue, NoValue> {
  const { profile } = caseFile;
  const reference = supplyOf(caseFile, 'reference', signal.state);
  const returned = supplyOf(caseFile, 'return', signal.state);
  const inputs = {
    signal: { volts: signal.volts, meter: signal.meter ?? caseFile.meter },
    reference: reference.input,
    return: returned.input,
  };
  const wires = {
    signalVolts: signal.volts,
    referenceVolts: reference.input.volts,
    returnVolts: returned.input.volts,
  };
  const own = valueFromSignal(wires, profile);
  if (!own.ok) return own;
  // The unit measures against its own ground: the sensor's return is none of its business.
  const atGround = { ...inputs, return: { volts: 0, assumedWithinVolts: 0 } };
  const asSeen = valueFromSignal({ ...wires, returnVolts: 0 }, profile);
  if (!asSeen.ok) return asSeen;
  const measured = ({ value, bound }: Converted, from: SignalWires) =>
    measuredValue(bound?.value ?? value, signalTerms(from, profile), bound?.is);
  return ok({
    own: measured(own.value, inputs),
    asSeen: measured(asSeen.value, atGround),
    wires,
    assumed: [
      ...(reference.reading ? [] : (['reference'] as const)),
      ...(returned.reading ? [] : (['return'] as const)),
    ],
    extrapolated: own.value.extrapolated,
    supplyOutside: own.value.supplyOutside,
    several: severalValues(inputs, profile),
    readingIds: [signal, reference.reading, returned.reading].flatMap((reading) =>
      reading ? [reading.id] : [],
    ),
  });
}

/** Where the curve stands still or turns round: all values that this voltage can mean. */
function severalValues(
  { signal, reference, return: returned }: SignalWires,
  profile: SensorProfile,
): ValueStretch | undefined {
  const { valuesAt } = curveOf(profile, reference.volts - returned.volts);
  const stretch = valuesAt?.(signal.volts - returned.volts, inputLimitVolts(signal));
  return stretch && stretch.highest > stretch.lowest ? stretch : undefined;
}

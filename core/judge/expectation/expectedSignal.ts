import { say, type Message } from '../../measure/message/index.ts';
import { type MachineState } from '../../machine/places/index.ts';
import { expectedValue, withTolerance } from '../../machine/family/index.ts';
import { OPEN_INPUT_VOLTS, UP_SHARE, type VoltBand } from '../../machine/limits/index.ts';
import { expectedSecondTrack, expectedTemperatureSignal } from './secondSignal.ts';
import { sentIn, signalFromValue, type SensorProfile, type SentIn } from '../../measure/transfer/index.ts';
import { type ExpectationContext, type Expectation } from './expectation.ts';

/** What the second signal should read; undefined where the body has none, or too little is known. */
export function secondSignal(state: MachineState, context: ExpectationContext): Expectation | undefined {
  const { companion, referenceVolts, ambient } = context;
  if (!companion) return undefined;
  if (companion.kind === 'temperature') {
    if (state.plug === 'unplugged') {
      return volts(
        offset(referenceVolts, OPEN_INPUT_VOLTS.thermistor),
        say('expectation.units-pull-up-takes-open'),
      );
    }
    if (ambient?.airCelsius === undefined) return undefined;
    const { lowest, highest, reason } = expectedTemperatureSignal(
      companion,
      ambient.airCelsius,
      referenceVolts,
    );
    return volts({ lowest, highest }, reason);
  }
  if (state.plug === 'unplugged') return unpluggedSignal(context.profile);
  const read = context.signalVolts?.(state);
  const first = read === undefined ? connectedSignal(state, context) : undefined;
  if (read === undefined && !first) return undefined;
  const band = expectedSecondTrack(
    companion,
    first ? [first.lowest, first.highest] : [read as number],
    {
      referenceVolts,
      referenceDoubtVolts: context.referenceDoubtVolts ?? 0,
      returnVolts: context.returnVolts ?? 0,
    },
    read !== undefined,
  );
  // Track 1 is where no sound track is: nothing follows from it.
  if (band.lowest > band.highest) return undefined;
  return volts(band, band.reason);
}

/** What the input reads with the plug off; undefined while nobody knows how it is pulled. */
export function unpluggedSignal({ bias, nominalReferenceVolts }: SensorProfile): Expectation | undefined {
  if (bias === 'unknown') return undefined;
  return bias === 'pull-up'
    ? volts(
        offset(nominalReferenceVolts, OPEN_INPUT_VOLTS['pull-up']),
        say('expectation.unit-pulls-open-input-up'),
      )
    : volts(OPEN_INPUT_VOLTS['pull-down'], say('expectation.unit-pulls-open-input-down'));
}

/** What the signal should read with the plug on; undefined where the quantity is not known. */
export function connectedSignal(state: MachineState, context: ExpectationContext): Expectation | undefined {
  const sends = sentIn(context.profile);
  if (sends) return averageOfLine(sends, context);
  const value = expectedValue(state, context);
  if (!value.ok) return undefined;
  const { lowest, highest, atMost, reason } = withTolerance(value.value, context);
  const { profile, referenceVolts, referenceDoubtVolts: doubt = 0 } = context;
  const inVolts = (from: number, to: number) => {
    const ends = [referenceVolts - doubt, referenceVolts + doubt].flatMap((supply) =>
      [from, to].map((end) =>
        withinOutput(signalFromValue(end, supply, profile).signalVolts, supply, profile),
      ),
    );
    return [Math.min(...ends), Math.max(...ends)] as const;
  };
  const [least, most] = inVolts(lowest, highest);
  return {
    ...volts({ lowest: least, highest: most }, sentence(reason)),
    ...(atMost && { atMost: inVolts(...atMost) }),
  };
}

/** A line that goes to and fro shows its average, whatever it says. */
const averageOfLine = (
  sends: SentIn,
  { referenceVolts, referenceDoubtVolts: doubt = 0 }: ExpectationContext,
): Expectation =>
  volts(
    {
      lowest: UP_SHARE[sends].lowest * (referenceVolts - doubt),
      highest: UP_SHARE[sends].highest * (referenceVolts + doubt),
    },
    sends === 'telegrams' ? say('expectation.average-of-telegrams') : say('expectation.average-of-pulses'),
  );

/** No sensor gives more than its supply or less than its return, nor more than its electronics can. */
function withinOutput(
  signalVolts: number,
  supplyVolts: number,
  { transfer, outputVolts, nominalReferenceVolts }: SensorProfile,
): number {
  // A hot element is fed by the battery, but its output stage works into a five-volt input all the same.
  const scale = supplyVolts / nominalReferenceVolts;
  const lowest = Math.max(0, (outputVolts?.lowest ?? 0) * scale);
  const highest =
    transfer.form === 'hot-element' && !outputVolts
      ? Infinity
      : Math.min(supplyVolts, (outputVolts?.highest ?? Infinity) * scale);
  return Math.min(Math.max(signalVolts, lowest), highest);
}

/** A band in volts as an expectation. */
export const volts = ({ lowest, highest }: VoltBand, reason: Message): Expectation => ({
  of: 'volts',
  lowest,
  highest,
  reason,
});
const offset = (volts: number, { lowest, highest }: VoltBand): VoltBand => ({
  lowest: volts + lowest,
  highest: volts + highest,
});
/** A reason that stands alone. */
export const sentence = (reason: Message): Message => say('expectation.reason', { reason });

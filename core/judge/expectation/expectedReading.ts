import { fixed, say, type Message } from '../../measure/message/index.ts';
import { problemSaid } from '../../measure/problem/index.ts';
import type { Companion } from '../../measure/companion/index.ts';
import {
  batteryState,
  keyOn,
  type Lane,
  type MachineState,
  type Target,
} from '../../machine/places/index.ts';
import {
  expectedValue,
  withTolerance,
  type ValueBand,
  type ValueContext,
} from '../../machine/family/index.ts';
import { isPressure, type Measurand } from '../../measure/quantity/index.ts';
import { OPEN_INPUT_VOLTS, soundSupply, UNFED_VOLTS, type VoltBand } from '../../machine/limits/index.ts';
import { expectedSecondTrack, expectedTemperatureSignal } from './secondSignal.ts';
import { signalFromValue, type SensorProfile } from '../../measure/transfer/index.ts';

export interface Expectation {
  /** Volts, or the measurand's own unit. */
  of: 'volts' | Measurand;
  lowest: number;
  highest: number;
  reason: Message;
}

export interface ExpectationContext extends ValueContext {
  /** As measured at the plug, or the nominal value. */
  referenceVolts: number;
  /** How far the reference may be off that; 0 where it was read. */
  referenceDoubtVolts?: number | undefined;
  /** As measured at the plug under load, or 0. */
  returnVolts?: number | undefined;
  companion?: Companion | undefined;
  /** The signal as read at the plug in a state, where it was. */
  signalVolts?: (state: MachineState) => number | undefined;
}

/** What a place should read in a state. `undefined` where nothing can be said yet; `whyNoExpectation` says why. */
export function expectedReading(
  target: Target,
  state: MachineState,
  context: ExpectationContext,
): Expectation | undefined {
  // With something attached, what each answer means is worked out on the circuit instead.
  if (state.harness || state.stimulus?.kind === 'held') return undefined;
  if (target.kind === 'wire') return expectedVolts(target.lane, state, context);
  if (target.kind === 'scan' && (!keyOn(state) || state.plug === 'unplugged')) return undefined;
  const value = expectedValue(state, context);
  if (!value.ok) return undefined;
  if (target.kind === 'scan') {
    const { lowest, highest, reason } = withTolerance(value.value, { ...context, ambient: undefined });
    const { profile } = context;
    // The unit shows no travel or flow outside what the sensor is made for.
    const [bottom, top] = isPressure(profile.measures)
      ? [-Infinity, Infinity]
      : [profile.lowest, profile.highest];
    return {
      of: profile.measures,
      lowest: Math.max(bottom, lowest),
      highest: Math.min(top, highest),
      reason: sentence(reason),
    };
  }
  return expectedOnGauge(value.value, context);
}

/** A gauge is no sensor: its expectation, in the sensor's own basis, has only the doubt of ambient around it. */
function expectedOnGauge(
  { lowest, highest, reason }: ValueBand,
  { profile, ambient }: ExpectationContext,
): Expectation | undefined {
  const { measures } = profile;
  if (!isPressure(measures)) return undefined;
  if (measures !== 'absolute-pressure') {
    const slackKpa = profile.differenceThatMatters / 2;
    return { of: measures, lowest: lowest - slackKpa, highest: highest + slackKpa, reason: sentence(reason) };
  }
  if (!ambient) return undefined;
  const doubtKpa = ambient.expandedUncertaintyKpa;
  return { of: measures, lowest: lowest - doubtKpa, highest: highest + doubtKpa, reason: sentence(reason) };
}

/** Why nothing can be expected there, and what would have to be known. */
export function whyNoExpectation(target: Target, state: MachineState, context: ExpectationContext): Message {
  if (state.harness) return say('expectation.something-attached-under-isolate-stands');
  if (state.stimulus?.kind === 'held') return say('expectation.held-somewhere-way-value-hand');
  if (target.kind === 'wire' && isMotor(target.lane)) return say('expectation.motor-wire-driven-both-ways');
  if (target.kind === 'scan' && !keyOn(state)) return say('expectation.live-data-needs-key');
  if (target.kind !== 'gauge' && state.plug === 'unplugged') {
    return target.kind === 'scan'
      ? say('expectation.plug-off-live-data-shows')
      : say('expectation.way-input-biased-not-known');
  }
  if (target.kind === 'wire' && target.lane === 'second-signal') {
    if (!context.companion) return say('expectation.sensor-no-second-signal-library');
    if (context.companion.kind === 'temperature')
      return say('expectation.give-air-temperature-ambient-pressure');
    if (context.signalVolts?.(state) !== undefined) return say('expectation.track-1-reads-no-sound');
  }
  const value = expectedValue(state, context);
  if (!value.ok) return problemSaid(value.problem);
  return context.ambient
    ? say('expectation.nothing-can-said-before-reading')
    : say('expectation.give-ambient-pressure-first-expected');
}

const FEED_SAID = {
  stopped: say('expectation.battery-voltage-loaded-element'),
  cranking: say('expectation.starter-pulls-battery-down'),
  running: say('expectation.alternator-charges-battery-voltage-under'),
} as const;

function expectedVolts(
  lane: Lane,
  state: MachineState,
  context: ExpectationContext,
): Expectation | undefined {
  const { profile } = context;
  if (isMotor(lane)) return undefined;
  const sound = soundSupply(lane, {
    nominalReferenceVolts: profile.nominalReferenceVolts,
    battery: batteryState(state),
  });
  if (sound && (lane === 'return' || lane === 'second-return')) {
    return volts(
      sound,
      state.plug === 'connected'
        ? say('expectation.sound-return-stays-within-50')
        : say('expectation.no-current-flows-plug-off'),
    );
  }
  if (!keyOn(state))
    return volts(
      { lowest: -UNFED_VOLTS, highest: UNFED_VOLTS },
      say('expectation.key-off-nothing-feeds-wire'),
    );
  if (sound && lane === 'battery-feed') {
    return volts(sound, FEED_SAID[batteryState(state)]);
  }
  if (lane === 'second-signal') return secondSignal(state, context);
  if (sound) {
    return volts(
      sound,
      state.plug === 'connected'
        ? say('expectation.reference-sensor-loads', {
            nominalReferenceVolts: fixed(profile.nominalReferenceVolts, 1, 'V'),
          })
        : say('expectation.unloaded-shows-reference-there-not'),
    );
  }
  return state.plug === 'unplugged' ? unpluggedSignal(profile) : connectedSignal(state, context);
}

const isMotor = (lane: Lane): boolean => lane === 'motor-plus' || lane === 'motor-minus';

function secondSignal(state: MachineState, context: ExpectationContext): Expectation | undefined {
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

function unpluggedSignal({ bias, nominalReferenceVolts }: SensorProfile): Expectation | undefined {
  if (bias === 'unknown') return undefined;
  return bias === 'pull-up'
    ? volts(
        offset(nominalReferenceVolts, OPEN_INPUT_VOLTS['pull-up']),
        say('expectation.unit-pulls-open-input-up'),
      )
    : volts(OPEN_INPUT_VOLTS['pull-down'], say('expectation.unit-pulls-open-input-down'));
}

function connectedSignal(state: MachineState, context: ExpectationContext): Expectation | undefined {
  const value = expectedValue(state, context);
  if (!value.ok) return undefined;
  const { lowest, highest, reason } = withTolerance(value.value, context);
  const { profile, referenceVolts, referenceDoubtVolts: doubt = 0 } = context;
  const ends = [referenceVolts - doubt, referenceVolts + doubt].flatMap((supply) =>
    [lowest, highest].map((end) =>
      withinOutput(signalFromValue(end, supply, profile).signalVolts, supply, profile),
    ),
  );
  return volts({ lowest: Math.min(...ends), highest: Math.max(...ends) }, sentence(reason));
}

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

const volts = ({ lowest, highest }: VoltBand, reason: Message): Expectation => ({
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
const sentence = (reason: Message): Message => say('expectation.reason', { reason });

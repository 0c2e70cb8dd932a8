import { fixed, say, volts as inVolts } from '../../measure/message/index.ts';
import {
  isMotor,
  batteryState,
  keyOn,
  type Lane,
  type MachineState,
  isLiveData,
  type Target,
} from '../../machine/places/index.ts';
import { expectedValue, withTolerance, type ValueBand } from '../../machine/family/index.ts';
import { isPressure } from '../../measure/quantity/index.ts';
import { soundSupply, UNFED_VOLTS } from '../../machine/limits/index.ts';
import { type ExpectationContext, type Expectation } from './expectation.ts';
import { sentence, volts, secondSignal, unpluggedSignal, connectedSignal } from './expectedSignal.ts';
import { FEED_SAID } from './whyNoExpectation.ts';

/** What a place should read in a state. `undefined` where nothing can be said yet; `whyNoExpectation` says why. */
export function expectedReading(
  target: Target,
  state: MachineState,
  context: ExpectationContext,
): Expectation | undefined {
  // With something attached, what each answer means is worked out on the circuit instead.
  if (state.harness || state.stimulus?.kind === 'held') return undefined;
  if (target.kind === 'wire') return expectedVolts(target.lane, state, context);
  if (isLiveData(target) && (!keyOn(state) || state.plug === 'unplugged')) return undefined;
  // The unit has on its input what the wire shows there.
  if (target.kind === 'live-volts') return expectedVolts(target.lane, state, context);
  const value = expectedValue(state, context);
  if (!value.ok) return undefined;
  if (target.kind === 'scan') {
    const within = withTolerance(value.value, { ...context, ambient: undefined });
    const { lowest, highest, atMost, reason } = within;
    const { profile } = context;
    // The unit shows no travel or flow outside what the sensor is made for.
    const [bottom, top] = isPressure(profile.measures)
      ? [-Infinity, Infinity]
      : [profile.lowest, profile.highest];
    return {
      of: profile.measures,
      lowest: Math.max(bottom, lowest),
      highest: Math.min(top, highest),
      ...(atMost && { atMost }),
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

function expectedVolts(
  lane: Lane,
  state: MachineState,
  context: ExpectationContext,
): Expectation | undefined {
  const { profile } = context;
  if (isMotor(lane)) return undefined;
  const sound = soundSupply(lane, {
    profile,
    battery: batteryState(state),
  });
  if (sound && (lane === 'return' || lane === 'second-return')) {
    return volts(
      sound,
      state.plug === 'connected'
        ? say('expectation.sound-return-stays-within', { limit: inVolts(sound.highest) })
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

import { say, type Message } from '../../measure/message/index.ts';
import { problemSaid } from '../../measure/problem/index.ts';
import { isLiveData, isMotor, keyOn, type MachineState, type Target } from '../../machine/places/index.ts';
import { expectedValue } from '../../machine/family/index.ts';
import { type ExpectationContext } from './expectation.ts';

/** Why nothing can be expected there, and what would have to be known. */
export function whyNoExpectation(target: Target, state: MachineState, context: ExpectationContext): Message {
  if (state.harness) return say('expectation.something-attached-under-isolate-stands');
  if (state.stimulus?.kind === 'held') return say('expectation.held-somewhere-way-value-hand');
  if (target.kind === 'wire' && isMotor(target.lane)) return say('expectation.motor-wire-driven-both-ways');
  if (isLiveData(target) && !keyOn(state)) return say('expectation.live-data-needs-key');
  if (target.kind !== 'gauge' && state.plug === 'unplugged') {
    return isLiveData(target)
      ? say('expectation.plug-off-live-data-shows')
      : say('expectation.way-input-biased-not-known');
  }
  if ('lane' in target && target.lane === 'second-signal') {
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

export const FEED_SAID = {
  stopped: say('expectation.battery-voltage-loaded-element'),
  cranking: say('expectation.starter-pulls-battery-down'),
  running: say('expectation.alternator-charges-battery-voltage-under'),
} as const;

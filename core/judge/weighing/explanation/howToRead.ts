import { list, pressure, say, type Message } from '../../../measure/message/index.ts';
import {
  isOnSensor,
  isSignalBridged,
  laneSaid,
  type GaugeTap,
  type MachineState,
} from '../../../machine/places/index.ts';
import { observationOf } from '../../../record/observation/index.ts';
import type { Candidate } from '../outlook/candidates.ts';

/** How a candidate is read, step by step. */
export function howTo({ target, state }: Candidate): Message {
  switch (target.kind) {
    case 'observation':
      return observationOf(target.observation).how;
    case 'sweep':
      return say('weighing.open-sweeps-record-live-move');
    case 'capture':
      return say('weighing.capture-at-the-plug');
    case 'scan':
      return withSteps(say('weighing.read-live-data'), state);
    case 'live-volts':
      return withSteps(say('weighing.read-live-volts', { lane: laneSaid(target.lane) }), state);
    case 'frequency':
      return withSteps(say('weighing.read-frequency'), state);
    case 'duty':
      return withSteps(say('weighing.read-duty'), state);
    case 'engine-flow':
      return withSteps(say('weighing.work-out-engine-flow'), state);
    case 'gauge':
      return GAUGE_PUT[target.tap];
    case 'ohms':
      return target.to === 'battery-negative'
        ? say('weighing.key-off-measure-to-ground')
        : say('weighing.key-off-plug-off-measure');
    case 'between':
      if (isSignalBridged(state.harness)) return say('weighing.bridge-all-contacts');
      if (isOnSensor(state.harness)) return say('weighing.feed-sensor-past-its-plug');
      return say('weighing.both-probes-same-wire-one');
    case 'wire':
      if (state.harness) return say('weighing.unplug-other-sensors-reference-then');
      return state.plug === 'unplugged'
        ? say('weighing.unplug-sensor-key-off-key')
        : withSteps(say('weighing.back-probe-plug-connected'), state);
  }
}

const GAUGE_PUT: Record<GaugeTap, Message> = {
  manifold: say('weighing.put-gauge-manifold-port-own'),
  'sensor-hose': say('weighing.tee-gauge-next-sensor-start'),
  'service-port': say('weighing.put-gauge-set-on-service-port'),
};

/** What to do, and how to bring the machine into the state for it. */
const withSteps = (what: Message, state: MachineState): Message =>
  say('weighing.with-steps', { steps: list([what, ...bringInto(state)], 'sentences') });

function bringInto({ engine, stimulus }: MachineState): readonly Message[] {
  switch (stimulus?.kind) {
    case 'pump':
      return [
        say('weighing.put-hand-pump-sensors-own', {
          pressure: pressure(Math.abs(stimulus.kpaAboveAmbient)),
          below: stimulus.kpaAboveAmbient < 0,
        }),
      ];
    case 'held':
      return [say('weighing.move-arm-sensor-hand-about', { percent: stimulus.percent })];
    case 'full-travel':
      return [say('weighing.work-pedal-lever-usual-far')];
    case 'valve-open':
      return [say('weighing.hold-about-1-500-rpm')];
    case undefined:
      return engine === 'idle'
        ? [say('weighing.start-engine-let-settle')]
        : engine === 'held-revs'
          ? [say('weighing.hold-revs-steady')]
          : [];
  }
}

import type { AnyEvidence } from '../../record/evidence/index.ts';
import {
  NO_HARNESS_WORK,
  sameState,
  samePoint,
  type Lane,
  type MachineState,
  type ProbePoint,
} from '../../machine/places/index.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import type { IsolatedSensor } from './isolatedSensor.ts';

/** The sensor fed past its plug, and its signal pin read. */
export interface ByItself {
  state: MachineState;
  from: ProbePoint;
  to: ProbePoint;
}

/**
 * With nothing on its signal: what it says by itself, whatever wire and unit make of it. Undefined where the plug has no supply and
 * return to feed it from.
 */
export const poweredByItself = (sensor: IsolatedSensor): ByItself | undefined => fedPastPlug(sensor, []);

/** With its signal on the wire as well, past all contacts: what is right so and wrong with the plug on, a contact makes wrong. */
export const bridgedPastPlug = (sensor: IsolatedSensor): ByItself | undefined =>
  fedPastPlug(sensor, ['signal']);

function fedPastPlug(sensor: IsolatedSensor, besides: readonly Lane[]): ByItself | undefined {
  const { sensor: model } = wiringFor(sensor);
  const feed = model.kind === 'stage' ? model.feed : 'reference';
  if (!sensor.wires.includes(feed) || !sensor.wires.includes('return')) return undefined;
  return {
    state: {
      engine: 'koeo',
      plug: 'unplugged',
      harness: {
        ...NO_HARNESS_WORK,
        attachments: ([feed, 'return', ...besides] as const).map((lane) => ({
          kind: 'jumper',
          from: { lane, place: 'plug' },
          to: { lane, place: 'pin' },
        })),
      },
    },
    from: { lane: 'signal', place: 'pin' },
    to: 'battery-negative',
  };
}

/** In volts, as it was read last. */
export const byItselfVolts = (
  { state, from, to }: ByItself,
  readings: readonly AnyEvidence[],
): number | undefined =>
  readings.findLast(
    (reading): reading is Extract<AnyEvidence, { kind: 'between' }> =>
      reading.kind === 'between' &&
      samePoint(reading.from, from) &&
      samePoint(reading.to, to) &&
      sameState(reading.state, state),
  )?.volts;

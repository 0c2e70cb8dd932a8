import type { AnyEvidence } from '../../record/evidence/index.ts';
import {
  NO_HARNESS_WORK,
  sameState,
  samePoint,
  type MachineState,
  type ProbePoint,
} from '../../machine/places/index.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import type { IsolatedSensor } from './isolatedSensor.ts';

/** The sensor fed past its plug, with nothing on its signal: what it says by itself, whatever wire and unit make of it. */
export interface ByItself {
  state: MachineState;
  from: ProbePoint;
  to: ProbePoint;
}

/** Undefined where the plug has no supply and return to feed it from. */
export function poweredByItself(sensor: IsolatedSensor): ByItself | undefined {
  const { sensor: model } = wiringFor(sensor);
  const feed = model.kind === 'stage' ? model.feed : 'reference';
  if (!sensor.wires.includes(feed) || !sensor.wires.includes('return')) return undefined;
  return {
    state: {
      engine: 'koeo',
      plug: 'unplugged',
      harness: {
        ...NO_HARNESS_WORK,
        attachments: ([feed, 'return'] as const).map((lane) => ({
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

import type { MachineState } from '@lettura/core/machine/places';
import type { ChannelUse, Recording } from '@lettura/core/recording/sweep';
import { SimulatedLogger } from './logger.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';

export interface BenchSweep {
  recording: Recording;
  uses: ChannelUse[];
}

const RATE = 200;
const SECONDS = 12;
/** Live data comes a few times a second. */
const LIVE_EVERY_SAMPLES = 20;

/** Which machines have something to move by hand. */
export const canBeSwept = ({ machine }: SimulatedMachine): boolean =>
  ['throttle', 'pedal', 'flap'].includes(machine.sensor.family);

/** A slow travel from rest to the far stop and back, with a rest at each end, logged at the plug: a sample each 5 ms. */
export function recordSweep(machine: SimulatedMachine, state: MachineState, seed: number): BenchSweep {
  const samples = RATE * SECONDS;
  const logger = new SimulatedLogger(machine, seed);
  const channels = logger.channels.map(({ name, unit }) => ({
    name,
    unit,
    values: new Float64Array(samples),
  }));
  const live = channels.at(-1)!.values;
  for (let i = 0; i < samples; i++) {
    const held: MachineState = { ...state, stimulus: { kind: 'held', percent: travelAt(i / samples) } };
    logger.volts(held).forEach((volts, channel) => (channels[channel]!.values[i] = volts));
    live[i] = i % LIVE_EVERY_SAMPLES === 0 ? (logger.live(held) ?? NaN) : live[i - 1]!;
  }
  return {
    recording: { seconds: Float64Array.from({ length: samples }, (_, i) => i / RATE), channels },
    uses: logger.channels.map(({ use }) => use),
  };
}

/** Per cent of the travel, over the share of the time that has gone. */
function travelAt(share: number): number {
  const [rest, top] = [0.06, 0.48];
  const up = (share - rest) / (top - rest);
  const down = (1 - rest - share) / (top - rest);
  return 100 * Math.min(1, Math.max(0, Math.min(up, down)));
}

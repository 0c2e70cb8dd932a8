import type { Lane, MachineState } from '@lettura/core/evidence';
import type { Channel, ChannelUse, Recording } from '@lettura/core/sweep';
import { liveData } from './liveData.ts';
import { normalDeviate, seededRandom } from './random.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';

export interface BenchSweep {
  recording: Recording;
  uses: ChannelUse[];
}

const RATE = 200;
const SECONDS = 12;
const SCATTER_VOLTS = 0.002;
/** Live data comes a few times a second. */
const LIVE_EVERY_SAMPLES = 20;

/** Which machines have something to move by hand. */
export const canBeSwept = ({ machine }: SimulatedMachine): boolean =>
  ['throttle', 'pedal', 'flap'].includes(machine.sensor.family);

/** A slow travel from rest to the far stop and back, with a rest at each end, logged at the plug: a sample each 5 ms. */
export function recordSweep(machine: SimulatedMachine, state: MachineState, seed: number): BenchSweep {
  const samples = RATE * SECONDS;
  const noise = seededRandom(seed);
  const tracks = (['signal', 'second-signal'] as const).filter((lane) =>
    machine.machine.wiring.wires.some(({ wire }) => wire === lane),
  );
  const channels = [...tracks.map(trackChannel), liveChannel(machine)];
  const seconds = Float64Array.from({ length: samples }, (_, i) => i / RATE);
  for (let i = 0; i < samples; i++) {
    const held: MachineState = { ...state, stimulus: { kind: 'held', percent: travelAt(i / samples) } };
    tracks.forEach((lane, track) => {
      const volts = machine.voltsBetween({ lane, place: 'plug' }, 'battery-negative', held);
      channels[track]!.values[i] = volts + SCATTER_VOLTS * normalDeviate(noise);
    });
    const live = channels.at(-1)!.values;
    live[i] = i % LIVE_EVERY_SAMPLES === 0 ? (liveData(machine, held)?.value ?? NaN) : live[i - 1]!;
  }
  return { recording: { seconds, channels }, uses: [...tracks, 'live'] };

  function trackChannel(lane: Lane): Channel {
    return {
      name: lane === 'signal' ? 'Track 1 at the plug' : 'Track 2 at the plug',
      unit: 'V',
      values: new Float64Array(samples),
    };
  }

  function liveChannel({ machine: { sensor } }: SimulatedMachine): Channel {
    return {
      name: 'Live data',
      unit: sensor.profile.measures === 'angle' ? '°' : '%',
      values: new Float64Array(samples),
    };
  }
}

/** Per cent of the travel, over the share of the time that has gone. */
function travelAt(share: number): number {
  const [rest, top] = [0.06, 0.48];
  const up = (share - rest) / (top - rest);
  const down = (1 - rest - share) / (top - rest);
  return 100 * Math.min(1, Math.max(0, Math.min(up, down)));
}

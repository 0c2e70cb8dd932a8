import type { Lane, MachineState } from '@lettura/core/machine/places';
import { shownUnit } from '@lettura/core/measure/quantity';
import type { ChannelUse } from '@lettura/core/recording/sweep';
import { liveData } from './liveData.ts';
import { normalDeviate, seededRandom } from './random.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';

const SCATTER_VOLTS = 0.002;

export interface LoggedChannel {
  name: string;
  unit: string;
  use: ChannelUse;
}

const WIRES: readonly { lane: Lane; use: ChannelUse; name: string }[] = [
  { lane: 'signal', use: 'signal', name: 'Signal at the plug' },
  { lane: 'second-signal', use: 'second-signal', name: 'Second signal at the plug' },
  { lane: 'reference', use: 'reference', name: 'Reference at the plug' },
];
const TRACK_NAMES: Partial<Record<ChannelUse, string>> = {
  signal: 'Track 1 at the plug',
  'second-signal': 'Track 2 at the plug',
};

/** A logger that is clipped onto a simulated machine: the wires at its plug, and the live data beside them. */
export class SimulatedLogger {
  readonly channels: readonly LoggedChannel[];
  readonly #machine: SimulatedMachine;
  readonly #lanes: readonly Lane[];
  readonly #noise: () => number;

  constructor(machine: SimulatedMachine, seed: number) {
    const { wiring, sensor } = machine.machine;
    const wires = WIRES.filter(({ lane }) => wiring.wires.some(({ wire }) => wire === lane));
    const tracks = sensor.companion?.kind === 'second-track';
    this.#machine = machine;
    this.#lanes = wires.map(({ lane }) => lane);
    this.#noise = seededRandom(seed);
    this.channels = [
      ...wires.map(({ use, name }) => ({ name: (tracks && TRACK_NAMES[use]) || name, unit: 'V', use })),
      { name: 'Live data', unit: shownUnit(sensor.profile.measures, 'kPa'), use: 'live' },
    ];
  }

  /** The wires in a state, in volts, with the scatter of a logger. */
  volts(state: MachineState): number[] {
    return this.#lanes.map(
      (lane) =>
        this.#machine.voltsBetween({ lane, place: 'plug' }, 'battery-negative', state) +
        SCATTER_VOLTS * normalDeviate(this.#noise),
    );
  }

  /** What the control unit believes in a state; null with the key off. */
  live(state: MachineState): number | null {
    return liveData(this.#machine, state)?.value ?? null;
  }
}

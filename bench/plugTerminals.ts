import { NO_HARNESS_WORK, type Lane, type MachineState } from '@lettura/core/machine/places';
import type { PlugTest } from '@lettura/core/judge/wireFinder';
import { seededRandom } from './random.ts';
import { ohmsDisplay } from './meter.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** Which wire sits on which terminal of a simulated plug: in any order, so that no list can be trusted. */
export function terminalsOf({ machine }: SimulatedMachine, seed: number): Lane[] {
  const random = seededRandom(seed ^ 0x5a17);
  const left = machine.wiring.wires.map(({ wire }) => wire);
  return machine.wiring.wires.map(() => left.splice(Math.floor(random() * left.length), 1)[0] as Lane);
}

const FOLLOWS_VOLTS = 0.1;

/** A measurement of the wire finder at one wire of a simulated plug: volts, ohms, or 1 where it follows a stimulus. */
export function measureTerminal(machine: SimulatedMachine, wire: Lane, test: PlugTest): number {
  const at = { lane: wire, place: 'plug' } as const;
  const volts = (plug: 'connected' | 'unplugged', change = {}) =>
    machine.voltsBetween(at, 'battery-negative', { engine: 'koeo', plug, ...change });
  switch (test) {
    case 'open-volts':
      return volts('unplugged');
    case 'connected-volts':
      return volts('connected');
    case 'open-ohms': {
      const { ohms } = ohmsDisplay(machine, at, 'battery-negative', { engine: 'key-off', plug: 'unplugged' });
      return ohms ?? Infinity;
    }
    case 'fed':
      return followsWhenFed(machine, wire);
    case 'moves':
      return Math.abs(volts('connected', stimulusFor(machine)) - volts('connected')) > FOLLOWS_VOLTS ? 1 : 0;
  }
}

const FED_VOLTS = 1.6;

/** Which value in live data follows a known voltage on a terminal of the open plug: 0 none, 1 the sensor's, 2 a temperature. */
function followsWhenFed(machine: SimulatedMachine, wire: Lane): number {
  const fed: MachineState = {
    engine: 'koeo',
    plug: 'unplugged',
    harness: {
      ...NO_HARNESS_WORK,
      attachments: [{ kind: 'voltage-source', at: { lane: wire, place: 'plug' }, volts: FED_VOLTS }],
    },
  };
  const open: MachineState = { engine: 'koeo', plug: 'unplugged' };
  const inputs = machine.machine.wiring.wires
    .filter(({ end }) => end.kind === 'input')
    .map((one) => one.wire);
  const follower = inputs.find(
    (input) =>
      Math.abs(machine.unitReadsVolts(input, fed) - machine.unitReadsVolts(input, open)) > FOLLOWS_VOLTS &&
      Math.abs(machine.unitReadsVolts(input, fed) - FED_VOLTS) < FED_VOLTS / 2,
  );
  if (follower === undefined) return 0;
  return follower === 'second-signal' && machine.machine.wiring.thermistor ? 2 : 1;
}

/** What a technician would do to this sensor to see its signal move; nothing moves the weather for a barometer. */
function stimulusFor({ machine: { sensor } }: SimulatedMachine): object {
  const { measures, highest } = sensor.profile;
  switch (sensor.family) {
    case 'throttle':
    case 'pedal':
    case 'flap':
      return { stimulus: { kind: 'full-travel' } };
    case 'air-flow':
    case 'fuel-rail-pressure':
    case 'refrigerant-pressure':
      return { engine: 'held-revs' };
    case 'barometric-pressure':
      return {};
    case 'manifold-pressure':
    case 'boost-pressure':
    case 'filter-differential':
    case 'exhaust-flow-differential':
    case 'other':
      return {
        stimulus: { kind: 'pump', kpaAboveAmbient: measures === 'absolute-pressure' ? -50 : 0.7 * highest },
      };
  }
}

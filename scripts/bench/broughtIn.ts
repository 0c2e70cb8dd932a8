import { simulatedMachine, surroundingsOf, type BenchMachine, type SimulatedMachine } from '@lettura/bench';
import type { MachineState } from '@lettura/core/machine/places';
import { FAULT_KINDS, faultOf, type Fault } from '@lettura/core/machine/fault';
import { NOTHING, usualPriors } from '@lettura/core/judge/priors';
import { drivenStates } from '@lettura/core/judge/weighing';

/** A random fault: its kind by how common it is, its site and size evenly. */
function randomFault(machine: BenchMachine, random: () => number): Fault | undefined {
  const subject = { family: machine.sensor.family, wiring: machine.wiring };
  const kinds = FAULT_KINDS.map((kind) => ({ kind, sites: kind.sites(subject) })).filter(
    ({ sites }) => sites.length > 0,
  );
  const priors = usualPriors(machine.sensor.family);
  const total = kinds.reduce((sum, { kind }) => sum + priors[kind.id], priors[NOTHING]);
  let at = random() * total - priors[NOTHING];
  if (at < 0) return undefined;
  for (const { kind, sites } of kinds) {
    at -= priors[kind.id];
    if (at < 0) return faultOf(kind, sites[Math.floor(random() * sites.length)]!, random());
  }
  return undefined;
}

/** Of the reference: a shift that nobody in the machine notices brings nobody in. */
const NOTICED_SHARE = 0.012;

/** A dead spot is met somewhere on the way, all else at rest, driven, or moved by hand. */
const statesOf = ({ sensor }: BenchMachine, { kind }: Fault): MachineState[] =>
  kind.id === 'dead-spot'
    ? Array.from({ length: 101 }, (_, percent) => ({
        engine: 'koeo',
        plug: 'connected',
        stimulus: { kind: 'held', percent },
      }))
    : drivenStates(sensor);

/** A machine with a complaint, or with one that has gone: what the unit never notices is drawn again. */
export function broughtIn(machine: BenchMachine, random: () => number): SimulatedMachine {
  for (;;) {
    const fault = randomFault(machine, random);
    const surroundings = surroundingsOf(machine, random);
    const one = simulatedMachine(machine, fault ? [fault] : [], surroundings);
    if (!fault) return one;
    const sound = simulatedMachine(machine, [], surroundings);
    const noticed = statesOf(machine, fault).some((state) =>
      machine.wiring.wires
        .filter(({ end }) => end.kind === 'input')
        .some(
          ({ wire }) =>
            Math.abs(one.unitReadsVolts(wire, state) - sound.unitReadsVolts(wire, state)) >
            NOTICED_SHARE * machine.wiring.unitVolts,
        ),
    );
    if (noticed) return one;
  }
}

import type { ObservationId, PlainLookId } from '@lettura/core/record/observation';
import { CODE_LOOKS, isCodeLook } from '@lettura/core/record/observation';
import { isComplainedOf, limitsOf, type Complaint } from '@lettura/core/record/code';
import type { MachineState } from '@lettura/core/machine/places';
import { isInPlug, type Fault } from '@lettura/core/machine/fault';
import { liveData } from './liveData.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** What a close look at the machine would find. */
const SHOWS: Record<Exclude<PlainLookId, 'code-fed'>, (fault: Fault) => boolean> = {
  'plug-contacts': ({ kind, site }) => kind.class === 'wire' && isInPlug(site.at),
  hose: ({ kind }) => kind.id === 'hose',
  'hose-holds': ({ kind }) => kind.id === 'hose',
  'hose-routing': ({ kind }) => kind.id === 'hoses-swapped',
  arm: ({ kind }) => kind.id === 'linkage',
  duct: ({ kind }) => kind.id === 'unmetered-air',
  element: ({ kind }) => kind.id === 'sensor-gain',
  stumbles: ({ kind }) => kind.id === 'restricted-passages',
  // What keeps the gas back in these machines is soot: their valves open.
  'valve-holds': () => false,
  solenoid: () => false,
  'part-number': ({ kind }) => kind.class === 'wrong-part',
};

const KEY_ON: MachineState = { engine: 'koeo', plug: 'connected' };
const FED_VOLTS = 2.5;

/** Whether what is looked at is as it should be. */
export function looksRight(machine: SimulatedMachine, observation: ObservationId): boolean {
  if (isCodeLook(observation)) return !complains(machine, CODE_LOOKS[observation]);
  if (observation === 'code-fed') return !(setsAnotherCode(machine) || isDigital(machine));
  return !machine.faults.some(SHOWS[observation]);
}

/** By what the unit sees, whether or not its codes have names here. */
function complains(machine: SimulatedMachine, complaint: Complaint): boolean {
  const { sensor, wiring, telegrams } = machine.machine;
  // A line of telegrams has no voltage that would be too low or too high.
  if (telegrams && complaint.about === 'signal') return false;
  const limits = limitsOf(complaint.about, sensor.profile, sensor.companion);
  const seen =
    complaint.about === 'supply'
      ? wiring.rails.map((_, rail) => machine.unitRailVolts(rail, KEY_ON))
      : [machine.unitReadsVolts('signal', KEY_ON)];
  return seen.some((volts) => isComplainedOf(complaint, volts, limits));
}

const isDigital = ({ faults }: SimulatedMachine): boolean =>
  faults.some(({ kind }) => kind.id === 'digital-part');

/** With a voltage on the line of a digital sender. */
function setsAnotherCode(machine: SimulatedMachine): boolean {
  const { telegrams } = machine.machine;
  if (!telegrams) return false;
  const state: MachineState = {
    engine: 'koeo',
    plug: 'unplugged',
    harness: {
      attachments: [{ kind: 'voltage-source', at: { lane: 'signal', place: 'plug' }, volts: FED_VOLTS }],
      neighboursOff: [],
      wiggled: false,
    },
  };
  return liveData(machine, state)?.codes.includes(telegrams.heldCode) ?? false;
}

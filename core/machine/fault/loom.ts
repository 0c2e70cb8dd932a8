import { say } from '../../measure/message/index.ts';
import { type Lane } from '../places/index.ts';
import type { Joint, WiringSpec } from '../wiring/index.ts';
import { faultSite, type FaultSite } from './faultKind.ts';

/** Common practice. */
export const LOOM_HIDES = say('faults.breaks-hide-where-loom-bends');

const HARNESS: readonly Joint[] = ['first', 'second', 'plug'];

/** The wires of a harness. */
export const wiresOf = ({ wires }: WiringSpec): Lane[] => wires.map(({ wire }) => wire);

/** Every joint of every wire, with the ohms that a size adds there. */
export const jointSites = (wiring: WiringSpec, ohmsOf: (size: number) => number): FaultSite[] =>
  wiresOf(wiring).flatMap((wire) =>
    HARNESS.map((joint) =>
      faultSite({ in: 'joint', wire, joint }, (size) => [
        { on: 'part', part: `${wire}:${joint}`, addOhms: ohmsOf(size) },
      ]),
    ),
  );

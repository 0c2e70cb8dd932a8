import { siteSaid, type Fault } from '@lettura/core/machine/fault';
import { fixed, list, say, type Message, type Quantity } from '@lettura/core/measure/message';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** Told after the verdict is recorded. */
export const whatWasWrong = ({ faults }: SimulatedMachine): Message =>
  faults.length === 0
    ? say('practice.nothing-was-wrong')
    : say('practice.was-wrong', { faults: list(faults.map(faultSaid), 'sentences') });

function faultSaid(fault: Fault): Message {
  const { kind, site } = fault;
  const named = { kind: kind.name, site: siteSaid(kind.id, site.at) };
  const size = sizeOf(fault);
  return size ? say('practice.sized-fault', { ...named, size }) : say('practice.fault', named);
}

function sizeOf({ kind, size }: Fault): Quantity | undefined {
  switch (kind.size?.unit) {
    case 'Ω':
      return fixed(size, size < 10 ? 1 : 0, 'Ω');
    case 'V':
      return fixed(size, 2, 'V');
    case 'factor':
    case 'share':
      return fixed(100 * size, 0, '%');
    case undefined:
      return undefined;
  }
}

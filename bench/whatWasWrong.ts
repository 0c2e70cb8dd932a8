import { siteWords, type Fault } from '@lettura/core/machine/fault';
import type { SimulatedMachine } from './simulatedMachine.ts';

/** Told after the verdict is recorded. */
export function whatWasWrong({ faults }: SimulatedMachine): string {
  if (faults.length === 0) return 'Nothing was wrong.';
  return faults
    .map((fault) => `${fault.kind.name}: ${siteWords(fault.kind.id, fault.site.at)}${sizeInWords(fault)}.`)
    .join(' ');
}

function sizeInWords({ kind, size }: Fault): string {
  switch (kind.size?.unit) {
    case 'Ω':
      return `, ${size < 10 ? size.toFixed(1) : size.toFixed(0)} Ω`;
    case 'V':
      return `, ${size.toFixed(2)} V`;
    case 'factor':
    case 'share':
      return `, ${(100 * size).toFixed(0)} %`;
    case undefined:
      return '';
  }
}

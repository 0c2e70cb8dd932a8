import type { Pin, PinWire } from '@lettura/contract';
import type { Role, TerminalFinding } from '@lettura/core/judge/wireFinder';

/** What the sensor's own list, or the diagram written onto the job, says of a terminal. */
export const roleOfPin = (wire: PinWire): Role => {
  switch (wire) {
    case 'reference':
    case 'second-reference':
      return 'reference';
    case 'return':
    case 'second-return':
      return 'return';
    case 'signal':
    case 'second-signal':
      return 'signal';
    case 'temperature-signal':
      return 'temperature';
    case 'battery-feed':
      return 'battery-feed';
    case 'motor-plus':
    case 'motor-minus':
    case 'other':
      return 'motor';
  }
};

const WIRES_OF: Record<Role, readonly [PinWire, PinWire]> = {
  reference: ['reference', 'second-reference'],
  return: ['return', 'second-return'],
  signal: ['signal', 'second-signal'],
  temperature: ['temperature-signal', 'temperature-signal'],
  'battery-feed': ['battery-feed', 'battery-feed'],
  motor: ['motor-plus', 'motor-minus'],
};

/** The plug by its found roles, with the terminal names and colours that the list has; undefined while one is open. */
export function plugOf(found: readonly TerminalFinding[], listed: readonly Pin[]): Pin[] | undefined {
  const used = new Map<Role, number>();
  const pins = found.map(({ terminal, role, confidence }): Pin | undefined => {
    if (!role || confidence === 'open') return undefined;
    const before = used.get(role) ?? 0;
    used.set(role, before + 1);
    const { terminal: name, colour } = listed[terminal] ?? { terminal: String(terminal + 1), colour: '' };
    return { terminal: name, colour, wire: WIRES_OF[role][Math.min(before, 1)] as PinWire };
  });
  return pins.every((pin) => pin !== undefined) ? pins : undefined;
}

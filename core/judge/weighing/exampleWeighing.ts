import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState, Place } from '../../machine/places/index.ts';
import type { ObservationId, ObservationMade } from '../../record/observation/index.ts';

/** For tests: readings on the wires of the example sensor, and what was looked at. */
export const WIRES = ['reference', 'signal', 'return'] as const;
export const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
export const PLUG_OFF: MachineState = { engine: 'koeo', plug: 'unplugged' };
export const IDLE: MachineState = { engine: 'idle', plug: 'connected' };

let count = 0;

/** For tests: a voltage at a place of a wire. */
export const wire = (lane: Lane, place: Place, volts: number, state = KOEO) =>
  ({ kind: 'wire', id: `w${++count}`, lane, place, volts, state }) as const satisfies AnyEvidence;

/** For tests: a look that was as it should be, or not. */
export const looked = (observation: ObservationId, holds: boolean): ObservationMade => ({
  id: `o${++count}`,
  observation,
  holds,
});

/** Reference and return as they should be at the plug, loaded. */
export const goodSupply = () => [wire('reference', 'plug', 4.99), wire('return', 'plug', 0.006)];

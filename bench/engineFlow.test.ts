import { numberOf } from '@lettura/core/record/evidence';
import type { MachineState } from '@lettura/core/machine/places';
import { expect, test } from 'vitest';
import { engineFlow, MACHINES, practiceMachine } from './index.ts';

const at = (engine: MachineState['engine']): MachineState => ({ engine, plug: 'connected' });

test('what live data shows of an engine calls for the flow that it draws, within what filling leaves open', () => {
  const meters = MACHINES.filter(({ sensor }) => sensor.family === 'air-flow');
  expect(meters.length).toBeGreaterThan(0);
  for (const machine of meters)
    for (const seed of [1, 2, 3]) {
      const simulated = practiceMachine(machine, 'C', seed);
      for (const engine of ['idle', 'held-revs'] as const) {
        const shown = engineFlow(simulated, at(engine))!;
        const drawn = simulated.quantity(at(engine), 'source');
        expect(numberOf({ ...shown, id: '' }) / drawn).toBeGreaterThan(0.75);
        expect(numberOf({ ...shown, id: '' }) / drawn).toBeLessThan(1.25);
      }
      expect(engineFlow(simulated, at('koeo'))).toBeUndefined();
    }
  const pedal = MACHINES.find(({ sensor }) => sensor.family === 'pedal')!;
  expect(engineFlow(practiceMachine(pedal, 'C', 1), at('idle'))).toBeUndefined();
});

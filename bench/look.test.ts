import { OBSERVATION_IDS } from '@lettura/core/observation';
import { expect, test } from 'vitest';
import { caseFault, looksRight, MACHINES, simulatedMachine, surroundingsOf } from './index.ts';

const pump = MACHINES.find(({ id }) => id === 'brill-p4')!;
const withFault = (kind: string, site: string) =>
  simulatedMachine(
    pump,
    [caseFault(pump, { kind, site }, 0.5)],
    surroundingsOf(pump, () => 0.5),
  );

test('a sound machine looks right wherever one looks', () => {
  const sound = simulatedMachine(
    pump,
    [],
    surroundingsOf(pump, () => 0.5),
  );
  for (const id of OBSERVATION_IDS) expect(looksRight(sound, id)).toBe(true);
});

test('a look finds what can be seen, and only there', () => {
  const contact = withFault('wire-high-resistance', 'signal:plug');
  expect(looksRight(contact, 'plug-contacts')).toBe(false);
  expect(looksRight(contact, 'hose')).toBe(true);
  expect(looksRight(withFault('wire-open', 'signal:first'), 'plug-contacts')).toBe(true);
  expect(looksRight(withFault('hose', 'hose'), 'hose')).toBe(false);
});

test('a pump on its own port moves the sensor past a blocked hose', () => {
  const blocked = simulatedMachine(
    pump,
    [caseFault(pump, { kind: 'hose', site: 'hose', from: 0, to: 0 }, 0)],
    surroundingsOf(pump, () => 0.5),
  );
  const pumped = {
    engine: 'koeo',
    plug: 'connected',
    stimulus: { kind: 'pump', kpaAboveAmbient: -40 },
  } as const;
  const idle = { engine: 'idle', plug: 'connected' } as const;
  expect(blocked.quantity(pumped, 'sensor')).toBeCloseTo(pump.ambientKpaAbs - 40, 6);
  expect(blocked.quantity(idle, 'sensor')).toBeCloseTo(pump.ambientKpaAbs, 6);
});

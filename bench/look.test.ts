import { isMakersCode, standardCode } from '@lettura/core/record/code';
import { OBSERVATION_IDS } from '@lettura/core/record/observation';
import { expect, test } from 'vitest';
import { caseFault, looksRight, MACHINES, simulatedMachine, surroundingsOf } from './index.ts';
import type { CaseFault } from './benchMachine.ts';

const pump = MACHINES.find(({ id }) => id === 'brill-p4')!;
const withFault = (kind: CaseFault['kind'], site: CaseFault['site']) =>
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

test('what a machine calls its codes is what the standard means by them, or a maker’s own', () => {
  const standard = (code: string, complaint: object) => (isMakersCode(code) ? undefined : complaint);
  for (const { sensor, codes, pairCode, referenceCode } of MACHINES) {
    for (const [about, { low, high }] of Object.entries(codes)) {
      expect(standardCode(low, sensor.family)).toEqual(standard(low, { about, reads: 'low' }));
      expect(standardCode(high, sensor.family)).toEqual(standard(high, { about, reads: 'high' }));
    }
    if (pairCode)
      expect(standardCode(pairCode, sensor.family)).toEqual(
        standard(pairCode, { about: 'pair', reads: 'off' }),
      );
    if (referenceCode)
      expect(standardCode(referenceCode, sensor.family)).toEqual({ about: 'supply', reads: 'off' });
  }
});

test('a code comes back while the unit has its reason, and a line of telegrams sets another once it is fed', () => {
  const codesOf = (kind: CaseFault['kind'], site: CaseFault['site']) => {
    const one = withFault(kind, site);
    return (['code-low', 'code-high', 'code-supply'] as const).map((id) => looksRight(one, id));
  };
  expect(codesOf('wire-open', 'signal:first')).toEqual([false, true, true]);
  expect(codesOf('wires-together', 'reference+signal')).toEqual([true, false, true]);
  expect(codesOf('unit-gives-no-reference', 'rail:0')[2]).toBe(false);
  for (const machine of MACHINES) {
    const sound = simulatedMachine(
      machine,
      [],
      surroundingsOf(machine, () => 0.5),
    );
    expect(looksRight(sound, 'code-fed')).toBe(machine.telegrams === undefined);
  }
});

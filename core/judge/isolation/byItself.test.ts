import { expect, test } from 'vitest';
import { FLOW_PROFILE, exampleCase } from '../checks/exampleCase.ts';
import type { Evidence } from '../../record/evidence/index.ts';
import { THREE_WIRES } from '../../machine/places/index.ts';
import { weighJob } from '../weighing/index.ts';
import { byItselfVolts, poweredByItself } from './index.ts';

const { family, profile } = exampleCase([]);
const fed = poweredByItself({ family, profile, wires: THREE_WIRES })!;
const read = (volts: number) => ({ ...fed, id: 'alone', kind: 'between', volts }) as const;
const plug = (lane: 'reference' | 'return' | 'signal', volts: number): Evidence => ({
  id: lane,
  kind: 'wire',
  lane,
  place: 'plug',
  volts,
  state: { engine: 'koeo', plug: 'connected' },
});
/** A signal of nothing at a plug that is well supplied. */
const DEAD = [plug('reference', 4.99), plug('return', 0.006), plug('signal', 0.02)];

const sharesOf = (volts: number) => {
  const { causes } = weighJob(exampleCase(DEAD, { isolation: [read(volts)] }), THREE_WIRES);
  const of = (class_: string) =>
    causes.filter(({ class: sort }) => sort === class_).reduce((sum, { share }) => sum + share, 0);
  return { sensor: of('sensor'), wire: of('wire') + of('control-unit') };
};

test('fed past its plug and with nothing on its signal, a sensor that is right is not what is wrong', () => {
  // 5 · (0.0078 · 100 + 0.02) = 4.00 V at ambient.
  const { sensor, wire } = sharesOf(4);
  expect(sensor).toBeLessThan(0.05);
  expect(wire).toBeGreaterThan(0.85);
});

test('one that says nothing by itself either is what is wrong', () => {
  const { sensor, wire } = sharesOf(0.02);
  expect(sensor).toBeGreaterThan(0.85);
  expect(wire).toBeLessThan(0.1);
});

test('it is fed by what feeds its kind, and not at all where there is no such wire', () => {
  const lanesOf = (of: ReturnType<typeof poweredByItself>) =>
    of?.state.harness?.attachments.map(
      (one) => 'from' in one && typeof one.from !== 'string' && one.from.lane,
    );
  expect(lanesOf(fed)).toEqual(['reference', 'return']);
  const flow = { family: 'air-flow', profile: FLOW_PROFILE } as const;
  expect(lanesOf(poweredByItself({ ...flow, wires: ['battery-feed', 'signal', 'return'] }))).toEqual([
    'battery-feed',
    'return',
  ]);
  expect(poweredByItself({ family, profile, wires: ['reference', 'signal'] })).toBeUndefined();
});

test('the last such reading counts, and no other between the same points', () => {
  expect(byItselfVolts(fed, [read(1), read(2)])).toBe(2);
  expect(byItselfVolts(fed, [{ ...read(1), state: { engine: 'koeo', plug: 'unplugged' } }])).toBeUndefined();
});

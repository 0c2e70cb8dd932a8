import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState } from '../../machine/places/index.ts';
import { toKpa } from '../../measure/quantity/index.ts';
import { EXAMPLE_PROFILE, exampleCase as caseOf } from './exampleCase.ts';
import { findingsIn } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const off: MachineState = { engine: 'koeo', plug: 'unplugged' };
let count = 0;
const wire = (lane: Lane, volts: number, state = koeo): Evidence => ({
  kind: 'wire',
  id: `r${++count}`,
  lane,
  place: 'plug',
  volts,
  state,
});
const goodSupply = () => [wire('reference', 4.99), wire('return', 0.01)];

test('where the input is pulled up, 5 V with the plug off is both the bias and a short: it settles nothing', () => {
  const pulledUp = { profile: { ...EXAMPLE_PROFILE, bias: 'pull-up' as const } };
  const readings = [wire('signal', 4.98), wire('signal', 4.98, off), ...goodSupply()];
  const { findings } = coded(findingsIn(caseOf(readings, pulledUp)));
  const unplugged = findings.find(({ code }) => code === 'signal-unplugged=at-bias');
  expect(unplugged?.sentence).toContain('checks.bias-level-short-side-would');
});

test('a return read with the plug off is remarked on, and proves nothing', () => {
  const { findings, remarks } = coded(findingsIn(caseOf([wire('return', 0, off)])));
  expect(findings).toEqual([]);
  expect(remarks[0]?.sentence).toBe('checks.return-read-plug-off-no');
});

test('coarse instruments: “cannot tell” is a remark that names the limit, never evidence', () => {
  const accuracy = { kind: 'gauge', classPercent: 10, spanKpa: 100, divisionKpa: 5 } as const;
  const coarse = { gauge: { name: 'old gauge', accuracy } };
  const gauge: Evidence = {
    kind: 'gauge',
    id: 'g',
    tap: 'sensor-hose',
    pressureKpa: toKpa(18, 'inHg'),
    basis: 'vacuum',
    state: idle,
  };
  const { findings, remarks } = coded(
    findingsIn(caseOf([...goodSupply(), wire('signal', 1.66, idle), gauge], coarse)),
  );
  expect(findings.map(({ code }) => code).join()).not.toContain('sensor-vs-gauge-hose');
  expect(remarks.map(({ sentence }) => sentence).join()).toContain(
    'doubt.accuracy-class{instrument: “old gauge”}',
  );
});

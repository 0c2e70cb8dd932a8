import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import { exampleCase, FLOW_PROFILE, THROTTLE_PROFILE } from './exampleCase.ts';
import { disagreements, findingsIn, type CaseFile } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const full: MachineState = { ...koeo, stimulus: { kind: 'full-travel' } };
let count = 0;
const wire = (
  lane: 'signal' | 'second-signal' | 'reference' | 'return',
  volts: number,
  state = koeo,
  place: 'unit' | 'plug' = 'plug',
): Evidence => ({ kind: 'wire', id: `w${++count}`, lane, place, volts, state });
const job = (readings: Evidence[], over: Partial<CaseFile> = {}) =>
  exampleCase(readings, { family: 'throttle', profile: THROTTLE_PROFILE, ...over });
const answers = (readings: Evidence[]) =>
  Object.fromEntries(
    coded(findingsIn(job(readings))).findings.map(({ code }) => code.split('=') as [string, string]),
  );
const supply = () => [wire('reference', 5), wire('return', 0.01)];

test('a closed throttle at 0.9 V reads what it should, and 3.9 V wide open follows (common practice)', () => {
  expect(answers([...supply(), wire('signal', 0.95), wire('signal', 3.85, full)])).toMatchObject({
    'signal-koeo': 'as-expected',
    'signal-follows': 'moves',
  });
});

test('a throttle that reads 40 % closed is shifted, and one that stays when moved is stuck', () => {
  expect(answers([...supply(), wire('signal', 2.1), wire('signal', 2.1, full)])).toMatchObject({
    'signal-koeo': 'shifted',
    'signal-follows': 'stuck',
  });
});

test('full supply on the signal of a throttle is past the circuit limit: no position gives that', () => {
  const { findings } = coded(findingsIn(job([...supply(), wire('signal', 4.98)])));
  expect(findings.map(({ code }) => code)).toContain('signal-koeo=high');
  expect(findings.map(({ sentence }) => sentence).join(' ')).toContain(
    'checks.past-circuit-limit-no-gives{said: checks.signal-sensor-plug-engine-stopped{volts: 4.98 V}, rail: high, quantity: measurand.position}',
  );
});

test('tracks that do not belong together are told', () => {
  const readings = [
    ...supply(),
    wire('signal', 0.95),
    wire('signal', 3.85, full),
    wire('second-signal', 1.6, full),
    wire('signal', 0.95, koeo, 'unit'),
    { kind: 'scan', id: 's', measures: 'position', value: 1.7, state: koeo } as const,
  ];
  const companion = { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false } as const;
  // By hand, each against the return: (3.84 + 1.59 − 4.99) / 4.99.
  expect(coded(disagreements(job(readings, { companion })))[0]?.sentence).toBe(
    'checks.tracks-do-not-belong-together{drive: [engine.koeo, stimulus.full-travel], percent: 8.8 %}',
  );
});

test('a flow meter that shows 3.4 g/s on a 6.8 L engine at idle is told (common practice)', () => {
  const found = coded(
    disagreements(
      exampleCase([...supply(), wire('signal', 1.65, { engine: 'idle', plug: 'connected' })], {
        family: 'air-flow',
        displacementLitres: 6.8,
        profile: FLOW_PROFILE,
      }),
    ),
  );
  // A gram a second for each litre, half as much again at most; 1.65 V against a return of 10 mV.
  expect(found.map(({ sentence }) => sentence)).toContain(
    'checks.sensor-reads-would-usual{value: 3.38 air-flow, drive: [engine.idle], lowest: 6.8 air-flow, highest: 10.2 air-flow}',
  );
});

test('a scan of another quantity is not set beside the signal', () => {
  const readings: Evidence[] = [
    ...supply(),
    wire('signal', 0.95),
    { kind: 'scan', id: 's', measures: 'absolute-pressure', value: 99, state: koeo },
  ];
  expect(answers(readings)).not.toHaveProperty('live-vs-plug');
});

import { expect, test } from 'vitest';
import { GAUGE_TAPS } from '../../machine/places/index.ts';
import { cautionsFor } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const RUNNING = 'cautions.engine-running-hands-leads-sleeves';

test('a running engine, and a probe near the reference, each bring their caution; a stopped return needs none', () => {
  const koeo = { engine: 'koeo', plug: 'connected' } as const;
  expect(cautionsFor({ kind: 'wire', lane: 'return', place: 'plug' }, koeo)).toEqual([]);
  expect(coded(cautionsFor({ kind: 'wire', lane: 'reference', place: 'plug' }, koeo))).toEqual([
    'cautions.keep-probe-off-neighbouring-terminal',
  ]);
  expect(coded(cautionsFor({ kind: 'gauge', tap: 'manifold' }, { ...koeo, engine: 'idle' }))).toContain(
    RUNNING,
  );
  expect(
    coded(
      cautionsFor({ kind: 'wire', lane: 'signal', place: 'plug' }, { engine: 'idle', plug: 'unplugged' }),
    ),
  ).toHaveLength(2);
});

test.each([
  ['fuel-rail-pressure', 'cautions.no-gauge-hose-fuel-rail'],
  ['refrigerant-pressure', 'cautions.no-gauge-hose-refrigerant-circuit'],
] as const)('a gauge on a hose is never offered for %s without its caution', (family, caution) => {
  const koeo = { engine: 'koeo', plug: 'connected' } as const;
  for (const tap of GAUGE_TAPS)
    expect(coded(cautionsFor({ kind: 'gauge', tap }, koeo, family))).toContain(caution);
  expect(cautionsFor({ kind: 'gauge', tap: 'manifold' }, koeo, 'manifold-pressure')).toEqual([]);
});

test('a running filter warns of regeneration, fans are named, and a moved loom brings the harness cautions', () => {
  const running = { engine: 'held-revs', plug: 'connected' } as const;
  const signal = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
  expect(coded(cautionsFor(signal, running, 'filter-differential'))).toEqual([
    RUNNING,
    'cautions.filter-regenerates-makes-exhaust-parts',
  ]);
  const moved = { attachments: [], neighboursOff: [], wiggled: true };
  expect(coded(cautionsFor(signal, { ...running, harness: moved }))).toContain(
    'cautions.know-loom-before-you-probe',
  );
});

test('under load whoever drives does not read; cranking, the gear is out', () => {
  const signal = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
  const at = (engine: 'under-load' | 'cranking') => coded(cautionsFor(signal, { engine, plug: 'connected' }));
  expect(at('under-load')).toEqual([RUNNING, 'cautions.under-load-one-drives-another-reads']);
  expect(at('cranking')).toEqual([RUNNING, 'cautions.cranking-out-of-gear']);
});

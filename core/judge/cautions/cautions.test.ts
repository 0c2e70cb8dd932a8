import { inWords } from '@lettura/words';
import { expect, test } from 'vitest';
import { GAUGE_TAPS } from '../../machine/places/index.ts';
import { cautionsFor } from './index.ts';

test('a running engine, and a probe near the reference, each bring their caution; a stopped return needs none', () => {
  const koeo = { engine: 'koeo', plug: 'connected' } as const;
  expect(inWords(cautionsFor({ kind: 'wire', lane: 'return', place: 'plug' }, koeo))).toEqual([]);
  expect(inWords(cautionsFor({ kind: 'wire', lane: 'reference', place: 'plug' }, koeo)).join()).toContain(
    'neighbouring',
  );
  expect(
    inWords(cautionsFor({ kind: 'gauge', tap: 'manifold' }, { ...koeo, engine: 'idle' })).join(),
  ).toContain('belts');
  expect(
    inWords(
      cautionsFor({ kind: 'wire', lane: 'signal', place: 'plug' }, { engine: 'idle', plug: 'unplugged' }),
    ),
  ).toHaveLength(2);
});

test.each([
  ['fuel-rail-pressure', /relieved by the maker/u],
  ['refrigerant-pressure', /licensed people/u],
] as const)('a gauge on a hose is never offered for %s without its caution', (family, caution) => {
  const koeo = { engine: 'koeo', plug: 'connected' } as const;
  for (const tap of GAUGE_TAPS)
    expect(inWords(cautionsFor({ kind: 'gauge', tap }, koeo, family)).join(' ')).toMatch(caution);
  expect(inWords(cautionsFor({ kind: 'gauge', tap: 'manifold' }, koeo, 'manifold-pressure'))).toEqual([]);
});

test('a running filter warns of regeneration, fans are named, and a moved loom brings the harness cautions', () => {
  const running = { engine: 'held-revs', plug: 'connected' } as const;
  const signal = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
  expect(inWords(cautionsFor(signal, running, 'filter-differential')).join(' ')).toMatch(
    /fans.*regenerates/u,
  );
  const moved = { attachments: [], neighboursOff: [], wiggled: true };
  expect(inWords(cautionsFor(signal, { ...running, harness: moved })).join(' ')).toContain('airbag');
});

test('under load whoever drives does not read; cranking, the gear is out', () => {
  const signal = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
  const at = (engine: 'under-load' | 'cranking') =>
    inWords(cautionsFor(signal, { engine, plug: 'connected' })).join(' ');
  expect(at('under-load')).toMatch(/belts.*whoever drives does not read/u);
  expect(at('cranking')).toMatch(/belts.*out of gear/u);
});

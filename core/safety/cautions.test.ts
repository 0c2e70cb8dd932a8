import { expect, test } from 'vitest';
import { cautionsFor } from './index.ts';

test('a running engine, and a probe near the reference, each bring their caution; a stopped return needs none', () => {
  const koeo = { engine: 'koeo', plug: 'connected' } as const;
  expect(cautionsFor({ kind: 'wire', lane: 'return', place: 'plug' }, koeo)).toEqual([]);
  expect(cautionsFor({ kind: 'wire', lane: 'reference', place: 'plug' }, koeo).join()).toContain(
    'neighbouring',
  );
  expect(cautionsFor({ kind: 'gauge', tap: 'manifold' }, { ...koeo, engine: 'idle' }).join()).toContain(
    'belts',
  );
  expect(
    cautionsFor({ kind: 'wire', lane: 'signal', place: 'plug' }, { engine: 'idle', plug: 'unplugged' }),
  ).toHaveLength(2);
});

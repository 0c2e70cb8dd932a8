import { expect, test } from 'vitest';
import { expectedValue, FAMILY_IDS, movedState, mustMove } from './index.ts';
import { MPX4115A } from '../../measure/transfer/index.ts';

test('where a family must move, its value there is not the one at rest', () => {
  const ambient = { pressureKpaAbs: 101, expandedUncertaintyKpa: 0.3, source: 'barometer' } as const;
  for (const family of FAMILY_IDS) {
    const moved = movedState(family);
    // A flap may rest anywhere, so that its band at rest holds every place.
    if (!moved || !mustMove(family) || family === 'flap') continue;
    const at = (state: Parameters<typeof expectedValue>[0]) => {
      const band = expectedValue(state, { family, profile: MPX4115A, ambient, displacementLitres: 2 });
      if (!band.ok) throw new Error(band.problem.code);
      return band.value;
    };
    const rest = at({ engine: 'koeo', plug: 'connected' });
    const there = at(moved);
    expect(there.lowest > rest.highest || there.highest < rest.lowest, family).toBe(true);
  }
});

test('what has one state only is moved by a pump or not at all', () => {
  expect(movedState('barometric-pressure')).toBeUndefined();
  expect(mustMove('filter-differential')).toBe(false);
  expect(mustMove('manifold-pressure')).toBe(true);
});

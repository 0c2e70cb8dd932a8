import { expect, test } from 'vitest';
import { spotSaid } from '../../record/evidence/index.ts';
import { LANES, PLACES, sameTarget, type ProbePoint, type Spot } from './index.ts';

const points: ProbePoint[] = [
  'battery-negative',
  { lane: 'return', place: 'plug' },
  { lane: 'return', place: 'unit' },
  { lane: 'return', place: 'pin' },
];
const spots: Spot[] = [
  { kind: 'scan' },
  { kind: 'gauge', tap: 'manifold' },
  { kind: 'gauge', tap: 'sensor-hose' },
  ...LANES.flatMap((lane) => PLACES.map((place): Spot => ({ kind: 'wire', lane, place }))),
  ...points.flatMap((from) =>
    points.flatMap((to): Spot[] =>
      from === to
        ? []
        : [
            { kind: 'between', from, to },
            { kind: 'ohms', from, to },
          ],
    ),
  ),
];

test('every spot is itself and no other, and no two are called the same', () => {
  spots.forEach((a, i) =>
    spots.forEach((b, j) => {
      expect(sameTarget(a, structuredClone(b)), JSON.stringify([a, b])).toBe(i === j);
    }),
  );
  expect(new Set(spots.map((spot) => JSON.stringify(spotSaid(spot)))).size).toBe(spots.length);
});

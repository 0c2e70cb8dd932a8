import { expect, test } from 'vitest';
import { exampleCase } from '../../../core/judge/checks/exampleCase.ts';
import { drawnSegments } from './drawnSegments.ts';

test('a wire is drawn in two stretches with the connector between, a feed in one', () => {
  const caseFile = exampleCase([]);
  const ends = (lane: Parameters<typeof drawnSegments>[1]) =>
    drawnSegments(caseFile, lane).map(({ from, to }) => `${from} to ${to}`);
  expect(ends('signal')).toEqual(['unit to connector', 'connector to plug']);
  expect(ends('second-return')).toEqual(['unit to connector', 'connector to plug']);
  expect(ends('battery-feed')).toEqual(['unit to plug']);
});

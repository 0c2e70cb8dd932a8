import type { JobSummary } from '@lettura/contract';
import { expect, test } from 'vitest';
import { matchesSearch } from './matchesSearch.ts';

const row: JobSummary = {
  job: {
    id: '01935a00-0000-7000-8000-00000000000a',
    vehicleId: '01935a00-0000-7000-8000-00000000000b',
    sensorId: '01935a00-0000-7000-8000-00000000000c',
    complaint: 'Rough idle',
    codes: ['P0106'],
    history: '',
    openedAt: '2026-11-24T08:00:00.000Z',
    revision: 1,
  },
  vehicleName: 'Larch 1.6 crew van 7',
  sensorName: 'Corvel MS-3 manifold pressure',
  readingCount: 0,
};

test.each(['', 'larch', 'p0106 VAN', 'idle corvel'])('“%s” finds the crew van', (search) => {
  expect(matchesSearch(row, search)).toBe(true);
});

test('a word that is nowhere finds nothing', () => {
  expect(matchesSearch(row, 'larch P0108')).toBe(false);
});

import { expect, test } from 'vitest';
import { passesFilter, recheckInWords, stageInWords, type JOB_FILTERS } from './jobStage.ts';

const verdict = (cause: string) => ({
  id: 'v',
  jobId: 'j',
  decidedAt: '2026-11-24T08:00:00.000Z',
  cause,
  note: '',
});
const rows = {
  fresh: { job: { id: 'a' }, readingCount: 0 },
  begun: { job: { id: 'b' }, readingCount: 3 },
  open: { job: { id: 'c' }, readingCount: 3, verdict: verdict('not-proven') },
  proven: { job: { id: 'd' }, readingCount: 3, verdict: verdict('sensor'), recheckOn: '2026-12-05' },
};

test('a job says how far it has come', () => {
  expect(Object.values(rows).map(stageInWords)).toEqual([
    'not started',
    'in work',
    'Not proven yet',
    'Sensor',
  ]);
});

test('what was recorded as not proven is still open, and every job is either open or proven', () => {
  const passing = (filter: (typeof JOB_FILTERS)[number]) =>
    Object.entries(rows).flatMap(([name, row]) => (passesFilter(filter, row, new Set(['b'])) ? [name] : []));
  expect(passing('open')).toEqual(['fresh', 'begun', 'open']);
  expect(passing('proven')).toEqual(['proven']);
  expect(passing('recheck')).toEqual(['proven']);
  expect(passing('here')).toEqual(['begun']);
  expect(passing('all')).toEqual(Object.keys(rows));
});

test('a recheck is due on its day, and said before', () => {
  expect(recheckInWords(rows.fresh, '2026-12-05')).toBeUndefined();
  expect(recheckInWords(rows.proven, '2026-12-04')).toBe('Look again on 5 Dec 2026');
  expect(recheckInWords(rows.proven, '2026-12-05')).toBe('Look again: due since 5 Dec 2026');
});

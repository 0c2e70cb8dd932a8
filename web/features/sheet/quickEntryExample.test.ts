import { quickEntry } from '@lettura/core/record/entry';
import { FAMILIES, FAMILY_IDS, usualTap } from '@lettura/core/machine/family';
import { MPX4250A } from '@lettura/core/measure/transfer';
import { expect, test } from 'vitest';
import { entryDefaults } from './entryDefaults.ts';
import { quickEntryExample } from './quickEntryExample.ts';

const UNITS = { absolute: 'kPa', vacuum: 'inHg' } as const;
const TRACK = { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false } as const;
const POINTS = [{ kind: 'wire', lane: 'signal', place: 'plug' }, { kind: 'scan' }] as const;
const CASES = FAMILY_IDS.flatMap((family) =>
  FAMILIES[family].measures.flatMap((measures) =>
    [
      ...POINTS,
      // Where a gauge goes, in the quantity that it shows.
      ...(FAMILIES[family].gaugeTaps ? [{ kind: 'gauge', tap: usualTap(family) } as const] : []),
    ].map((point) => [family, measures, point] as const),
  ),
);

test.each(CASES)('all that is offered to type for %s by %s can be typed (%j)', (family, measures, point) => {
  const job = { family, profile: { ...MPX4250A, measures }, companion: TRACK };
  const offered = quickEntryExample(point.kind, job).replaceAll('or: ', '').split(' · ');
  expect(offered.length).toBeGreaterThanOrEqual(3);
  const faults = offered
    .map((line) => ({ line, read: quickEntry(line, entryDefaults(job, point, UNITS)) }))
    .filter(({ read }) => !read.ok);
  expect(faults).toEqual([]);
});

test('the second wire is offered only where there is one', () => {
  const job = { family: 'manifold-pressure', profile: MPX4250A } as const;
  expect(quickEntryExample('wire', job)).not.toContain('sig2');
  expect(quickEntryExample('wire', { ...job, companion: TRACK })).toContain('sig2 4.2');
});

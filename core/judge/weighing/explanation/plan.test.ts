import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import { weighJob } from './weighJob.ts';

const WIRES = ['reference', 'signal', 'return'] as const;
const plug = (lane: (typeof WIRES)[number], volts: number) =>
  ({
    kind: 'wire',
    id: lane,
    lane,
    place: 'plug',
    volts,
    state: { engine: 'koeo', plug: 'connected' },
  }) as const;

test('before anything is read a plan says what is suspected and where to begin; after the first reading there is none', () => {
  const { plan, next, causes } = weighJob(exampleCase([]), WIRES);
  expect(causes).toEqual([]);
  expect(plan!.suspected.length).toBeGreaterThan(1);
  const shares = plan!.suspected.map(({ share }) => share);
  expect(shares).toEqual([...shares].sort((a, b) => b - a));
  expect(shares.reduce((sum, share) => sum + share, 0)).toBeLessThan(1);
  expect(plan!.beginnings.map(({ school }) => school)).toEqual(['plug-off', 'live-data', 'gauge']);
  expect(next.length).toBeGreaterThan(0);
  expect(weighJob(exampleCase([plug('reference', 4.98)]), WIRES).plan).toBeUndefined();
});

test('what another beginning costs is worked out from its own minutes and bits, and the best one costs nothing', () => {
  const { plan, next } = weighJob(exampleCase([]), WIRES);
  const rate = Math.max(
    ...[...next, ...plan!.beginnings.map((one) => one.next)].map((one) => one.bits / one.minutes),
  );
  for (const { next: begin, dearerByMinutes } of plan!.beginnings) {
    expect(dearerByMinutes).toBeGreaterThanOrEqual(0);
    expect(dearerByMinutes).toBeLessThanOrEqual(begin.minutes);
    // To the half minute that it is rounded to, and the minutes themselves are.
    expect(Math.abs(dearerByMinutes - (begin.minutes - begin.bits / rate))).toBeLessThanOrEqual(0.75);
  }
});

test('a code moves what is suspected, and what has no gauge is not begun with one', () => {
  const low = weighJob(exampleCase([], { codes: ['P0107'] }), WIRES).plan!;
  const high = weighJob(exampleCase([], { codes: ['P0108'] }), WIRES).plan!;
  expect(low.suspected).not.toEqual(high.suspected);
  const pedal = exampleCase([], {
    family: 'pedal',
    profile: { ...exampleCase([]).profile, measures: 'position', lowest: 0, highest: 100 },
  });
  expect(weighJob(pedal, WIRES).plan!.beginnings.map(({ school }) => school)).not.toContain('gauge');
});

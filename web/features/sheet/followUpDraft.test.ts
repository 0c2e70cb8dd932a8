import { afterEach, expect, test, vi } from 'vitest';
import { said } from '../../ui/words.ts';
import { EMPTY_FOLLOW_UP, followUpFrom, type FollowUpDraft } from './followUpDraft.ts';

afterEach(() => vi.useRealTimers());
const typed = (over: Partial<FollowUpDraft>): FollowUpDraft => ({ ...EMPTY_FOLLOW_UP, ...over });

test('no code and no unfinished self-test are answers as well', () => {
  expect(followUpFrom('codes', typed({}))).toEqual({ ok: true, value: { what: 'codes', codes: [] } });
  expect(followUpFrom('codes', typed({ codes: 'p0106; P0122' }))).toEqual({
    ok: true,
    value: { what: 'codes', codes: ['P0106', 'P0122'] },
  });
  expect(followUpFrom('readiness', typed({}))).toEqual({
    ok: true,
    value: { what: 'readiness', unfinished: [] },
  });
});

test('of a road test only what was typed is on record, with a comma or a point', () => {
  expect(
    followUpFrom('road-test', typed({ complaint: 'gone', coolantCelsius: '88,5', gear: ' 4 ' })),
  ).toEqual({
    ok: true,
    value: { what: 'road-test', complaint: 'gone', coolantCelsius: 88.5, gear: '4' },
  });
});

test.each([
  ['codes', { codes: 'P01' }, /P01/u],
  ['road-test', {}, /complaint/u],
  ['road-test', { complaint: 'gone', loadPercent: 'much' }, /much/u],
  ['road-test', { complaint: 'gone', revsRpm: '30000' }, /30000/u],
  ['recheck', {}, /no day to come/u],
  ['recheck', { onDate: '2026-02-30' }, /no day to come/u],
  // Today would be its own recheck.
  ['recheck', { onDate: '2026-11-29' }, /no day to come/u],
] as const)('%s with %j is refused', (what, draft, message) => {
  vi.useFakeTimers({ now: new Date('2026-11-29T12:00:00') });
  const read = followUpFrom(what, typed(draft));
  expect(read.ok ? '' : said(read.problem.message)).toMatch(message);
});

test('tomorrow is a day to look again', () => {
  vi.useFakeTimers({ now: new Date('2026-11-29T23:59:00') });
  expect(followUpFrom('recheck', typed({ onDate: '2026-11-30' })).ok).toBe(true);
});

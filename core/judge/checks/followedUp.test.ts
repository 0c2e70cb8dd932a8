import { expect, test } from 'vitest';
import type { FollowUp } from '../../record/followUp/index.ts';
import { followedUp, repairEnd, type AfterRepair } from './followedUp.ts';

const codes = (...stored: string[]): FollowUp => ({ what: 'codes', codes: stored });
const readiness = (...unfinished: Extract<FollowUp, { what: 'readiness' }>['unfinished']): FollowUp => ({
  what: 'readiness',
  unfinished,
});
const road = (complaint: Extract<FollowUp, { what: 'road-test' }>['complaint']): FollowUp => ({
  what: 'road-test',
  complaint,
});
const CLEARED = 'codes-cleared';

const told = (since: AfterRepair[], before = ['P0106']) => {
  const { remarks, against, isBorneOut } = followedUp(before, since);
  return {
    remarks: remarks.map(({ code }) => code.replace('follow-up.', '')),
    against: against.map(({ code }) => code.replace('follow-up.', '')),
    isBorneOut,
  };
};

test.each<[what: string, AfterRepair[], remarks: string[], against: string[], borneOut: boolean]>([
  ['nothing looked at', [], ['neither-cleared-nor-read', 'no-road-test'], [], false],
  ['cleared alone', [CLEARED], ['cleared-not-read', 'readiness-not-read', 'no-road-test'], [], false],
  ['read without clearing', [codes('P0106')], ['stored-not-cleared', 'no-road-test'], [], false],
  [
    'read before clearing is not after it',
    [codes('P0106'), CLEARED],
    ['cleared-not-read', 'readiness-not-read', 'no-road-test'],
    [],
    false,
  ],
  [
    'none back, and not ready',
    [CLEARED, codes(), readiness('boost')],
    ['none-back', 'unfinished', 'no-road-test'],
    [],
    false,
  ],
  [
    'none back, and ready',
    [CLEARED, codes(), readiness()],
    ['none-back', 'all-finished', 'no-road-test'],
    [],
    true,
  ],
  [
    'ready before clearing says nothing',
    [readiness(), CLEARED, codes()],
    ['none-back', 'readiness-not-read', 'no-road-test'],
    [],
    false,
  ],
  [
    'back',
    [CLEARED, codes('P0106')],
    ['came-back', 'readiness-not-read', 'no-road-test'],
    ['came-back'],
    false,
  ],
  [
    'back once and gone again',
    [CLEARED, codes('P0106'), codes()],
    ['came-back', 'readiness-not-read', 'no-road-test'],
    ['came-back'],
    false,
  ],
  [
    'cleared again since',
    [CLEARED, codes('P0106'), CLEARED, codes()],
    ['none-back', 'readiness-not-read', 'no-road-test'],
    [],
    false,
  ],
  [
    'another one',
    [CLEARED, codes('P0113', 'P0106')],
    ['came-back', 'new-codes', 'readiness-not-read', 'no-road-test'],
    ['came-back', 'new-codes'],
    false,
  ],
  [
    'gone on the road',
    [road('not-brought-about'), road('gone')],
    ['neither-cleared-nor-read', 'road-gone'],
    [],
    true,
  ],
  [
    'there on one drive of two',
    [road('still-there'), road('gone')],
    ['neither-cleared-nor-read', 'road-still-there'],
    ['road-still-there'],
    false,
  ],
  [
    'the drive proved nothing',
    [road('not-brought-about')],
    ['neither-cleared-nor-read', 'road-not-brought-about'],
    [],
    false,
  ],
  [
    'a recheck is no evidence',
    [{ what: 'recheck', onDate: '2026-12-05' }],
    ['neither-cleared-nor-read', 'no-road-test'],
    [],
    false,
  ],
])('%s', (_what, since, remarks, against, isBorneOut) => {
  expect(told(since)).toEqual({ remarks, against, isBorneOut });
});

test('without codes before, there is nothing to clear', () => {
  expect(told([], []).remarks).toEqual(['no-road-test']);
});

test('counts and conditions are those of the record', () => {
  const { remarks } = followedUp(
    [],
    [
      { what: 'road-test', complaint: 'still-there', loadPercent: 90, gear: '4' },
      road('gone'),
      road('still-there'),
      CLEARED,
      codes(),
      codes(),
    ],
  );
  expect(remarks.find(({ code }) => code === 'follow-up.none-back')?.values).toEqual({ times: 2 });
  expect(remarks.find(({ code }) => code === 'follow-up.road-still-there')?.values).toMatchObject({
    times: { plain: 2 },
    of: 3,
  });
});

test('what is off on the wire is the end, else what is back, else what bears it out', () => {
  const good = followedUp([], [road('gone')]);
  const bad = followedUp([], [road('still-there')]);
  const open = followedUp([], []);
  expect([good, bad, open].map((one) => repairEnd('proven', one))).toEqual([
    'proven',
    'contradicted',
    'proven',
  ]);
  expect([good, bad, open].map((one) => repairEnd('nothing-was-off', one))).toEqual([
    'borne-out',
    'contradicted',
    'nothing-was-off',
  ]);
  expect([good, bad, open].map((one) => repairEnd('not-shown', one))).toEqual([
    'not-shown',
    'contradicted',
    'not-shown',
  ]);
  expect([good, bad, open].map((one) => repairEnd('still-off', one))).toEqual([
    'still-off',
    'still-off',
    'still-off',
  ]);
});

test('a vehicle that was asked tells codes and readiness at once, and only what its units answer', () => {
  const asked = (units: Extract<FollowUp, { what: 'vehicle' }>['units']): FollowUp => ({
    what: 'vehicle',
    units,
  });
  const ready = { lampOn: false, storedCodes: 0, ignition: 'spark', finished: [] } as const;
  const engine = {
    unit: '7E8',
    stored: [],
    pending: ['P0106'],
    readiness: { ...ready, finished: [], unfinished: [] },
  };
  // Pending is on its way back.
  expect(told([CLEARED, asked([engine])])).toMatchObject({
    remarks: ['came-back', 'all-finished', 'no-road-test'],
    against: ['came-back'],
  });
  expect(told([CLEARED, asked([{ ...engine, pending: [] }])])).toMatchObject({
    against: [],
    isBorneOut: true,
  });
  expect(told([CLEARED, asked([{ unit: '7E9' }])])).toEqual(told([CLEARED]));
});

import { expect, test } from 'vitest';
import { exampleCase, EXAMPLE_PROFILE } from '../../judge/checks/exampleCase.ts';
import { complaintSaid, isComplainedOf, limitsOf, pairSeen, standardCode } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

test('a code says what the unit saw, for the family that it belongs to and no other', () => {
  expect(standardCode('P0107', 'manifold-pressure')).toEqual({ about: 'signal', reads: 'low' });
  expect(standardCode('P0107', 'pedal')).toBeUndefined();
  expect(standardCode('P2138', 'pedal')).toEqual({ about: 'pair', reads: 'off' });
  expect(standardCode('P0643', 'refrigerant-pressure')).toEqual({ about: 'supply', reads: 'high' });
  expect(standardCode('P0641', 'other')).toEqual({ about: 'supply', reads: 'off' });
  expect(standardCode('B1234', 'throttle')).toBeUndefined();
});

test('what a complaint says', () => {
  expect(coded(complaintSaid({ about: 'signal', reads: 'low' }))).toBe('codes.low{about: codes.signal}');
  expect(coded(complaintSaid({ about: 'supply', reads: 'off' }))).toBe('codes.off{about: codes.supply}');
  expect(coded(complaintSaid({ about: 'pair', reads: 'off' }))).toBe('codes.pair');
});

test('a complaint has its own side of the limits', () => {
  const { companion } = exampleCase([]);
  const limits = limitsOf('signal', EXAMPLE_PROFILE, companion);
  expect(limits).toEqual([EXAMPLE_PROFILE.circuitLowVolts, EXAMPLE_PROFILE.circuitHighVolts]);
  expect(isComplainedOf({ reads: 'low' }, 0.02, limits)).toBe(true);
  expect(isComplainedOf({ reads: 'high' }, 0.02, limits)).toBe(false);
  expect(isComplainedOf({ reads: 'high' }, 4.98, limits)).toBe(true);
  expect(isComplainedOf({ reads: 'off' }, 4.98, limits)).toBe(true);
  expect(isComplainedOf({ reads: 'off' }, 2.5, limits)).toBe(false);
  // Common practice: a supply of 5 V is called faulty below 4.5 and above 5.5.
  expect(limitsOf('supply', EXAMPLE_PROFILE, companion)).toEqual([4.5, 5.5]);
});

test('a temperature on the second signal has limits of its own, a second track those of the first', () => {
  const thermistor = {
    kind: 'temperature',
    pullUpOhms: 2200,
    nominalOhmsAt25: 2200,
    betaKelvin: 3500,
  } as unknown as Parameters<typeof limitsOf>[2];
  expect(limitsOf('second-signal', EXAMPLE_PROFILE, thermistor)[1]).toBeCloseTo(4.85, 9);
  const pair = { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false } as const;
  expect(limitsOf('second-signal', EXAMPLE_PROFILE, pair)).toEqual(limitsOf('signal', EXAMPLE_PROFILE, pair));
  expect(pairSeen(1, 4, 5, pair)).toBeCloseTo(0, 12);
  expect(pairSeen(1, 3.5, 5, pair)).toBeCloseTo(-10, 9);
  expect(pairSeen(1, 3.5, 5, undefined)).toBe(0);
});

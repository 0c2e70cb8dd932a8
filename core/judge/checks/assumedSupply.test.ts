import { expect, test } from 'vitest';
import type { Evidence } from '../../record/evidence/index.ts';
import type { Lane, MachineState } from '../../machine/places/index.ts';
import { expectedReading } from '../expectation/index.ts';
import { exampleCase, EXAMPLE_PROFILE, THROTTLE_PROFILE } from './exampleCase.ts';
import { disagreements, expectationContext, trackPairIn, valueOfSignal, type CaseFile } from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const wire = (lane: Lane, volts: number) =>
  ({ kind: 'wire', id: lane, lane, place: 'plug', volts, state: koeo }) as const satisfies Evidence;
const mirrored: Partial<CaseFile> = {
  family: 'throttle',
  profile: THROTTLE_PROFILE,
  companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
};
const pairOf = (readings: Evidence[], over = mirrored) => trackPairIn(exampleCase(readings, over), koeo);

test('a mirrored pair that is only off because the reference is 4.75 V cannot be told apart before it is read', () => {
  const tracks = [wire('signal', 0.9), wire('second-signal', 3.85)]; // they sum to 4.75 V
  expect(pairOf(tracks)).toMatchObject({ outcome: 'cannot-tell', unread: ['reference', 'return'] });
  expect(disagreements(exampleCase(tracks, mirrored))).toEqual([]);
  expect(pairOf([...tracks, wire('reference', 4.75), wire('return', 0)])).toMatchObject({
    outcome: 'together',
    unread: [],
  });
  expect(pairOf([...tracks, wire('reference', 5), wire('return', 0)])).toMatchObject({ outcome: 'apart' });
});

test('a deviation that no conceivable supply explains is told without reading it', () => {
  expect(pairOf([wire('signal', 0.9), wire('second-signal', 0.6)])).toMatchObject({ outcome: 'apart' });
});

test('an unread reference and return bring the doubt of a sound unit: 0.1 and 0.05 V, over √3, as squares', () => {
  const { comparison } = pairOf([wire('signal', 0.9), wire('second-signal', 4.1)])!;
  // Meter: 0.5 % and 2 counts, 0.0065 V on 0.9 V and 0.0225 V on 4.1 V.
  const half = [0.1, 0.05, 0.0065, 0.0225].map((limit) => limit / Math.sqrt(3));
  expect(comparison.expandedUncertainty).toBeCloseTo(2 * Math.hypot(...half), 5);
});

test('with all wires lifted 0.25 V by a bad ground that was read, an honest pair is honest and the ground is named', () => {
  const lifted = [0.9, 4.1].map((volts) => volts + 0.25);
  const readings = [
    wire('signal', lifted[0]!),
    wire('second-signal', lifted[1]!),
    wire('reference', 5.25),
    wire('return', 0.25),
  ];
  expect(pairOf(readings)).toMatchObject({ outcome: 'together', raisedReturnVolts: 0.25 });
  expect(pairOf(readings.slice(0, 3))).toMatchObject({ outcome: 'cannot-tell', unread: ['return'] });
  const band = expectedReading(
    { kind: 'wire', lane: 'second-signal', place: 'plug' },
    koeo,
    expectationContext(exampleCase(readings, mirrored)),
  );
  expect(band!.lowest).toBeLessThan(lifted[1]!);
  expect(band!.highest).toBeGreaterThan(lifted[1]!);
});

test('a pair on two references compares each track in its own supply', () => {
  const separate: Partial<CaseFile> = {
    ...mirrored,
    companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: true },
  };
  // Track 1 at a fifth of 5 V, track 2 at four fifths of 4.8 V.
  const readings = [
    wire('signal', 1),
    wire('second-signal', 3.84),
    wire('reference', 5),
    wire('return', 0),
    wire('second-reference', 4.8),
    wire('second-return', 0),
  ];
  const pair = pairOf(readings, separate)!;
  expect(pair.outcome).toBe('together');
  expect(pair.deviationPercentOfReference).toBeCloseTo(0, 6);
});

test('the pair’s limit is the sensor’s own where it says one', () => {
  const readings = [
    wire('signal', 0.9),
    wire('second-signal', 4.42),
    wire('reference', 5),
    wire('return', 0),
  ];
  expect(pairOf(readings)).toMatchObject({ outcome: 'apart', limitPercent: 4, limitIsStated: false });
  const wide: Partial<CaseFile> = {
    ...mirrored,
    companion: {
      kind: 'second-track',
      pair: { law: 'mirrored' },
      separateFeeds: false,
      limitPercentOfReference: 8,
    },
  };
  expect(pairOf(readings, wide)).toMatchObject({ outcome: 'together', limitPercent: 8, limitIsStated: true });
});

test('a value from a signal alone has the doubt of reference and return in it', () => {
  const alone = valueOfSignal(exampleCase([]), wire('signal', 2.5));
  const read = [wire('reference', 5), wire('return', 0)];
  const known = valueOfSignal(exampleCase(read), wire('signal', 2.5));
  if (!alone.ok || !known.ok) throw new Error('a value is missing');
  expect(alone.value.assumed).toEqual(['reference', 'return']);
  // By hand: half of ±0.1 V, and half of ±0.05 V, over 39 mV/kPa; the sensor ±1.8 kPa; the meter ±0.0145 V.
  const perVolt = 1 / (5 * EXAMPLE_PROFILE_SHARE);
  const terms = [1.8, 0.05 * perVolt, 0.025 * perVolt, 0.0145 * perVolt].map((limit) => limit / Math.sqrt(3));
  expect(alone.value.own.expandedUncertainty).toBeCloseTo(2 * Math.hypot(...terms), 3);
  expect(known.value.own.expandedUncertainty).toBeLessThan(alone.value.own.expandedUncertainty / 1.2);
});
const EXAMPLE_PROFILE_SHARE = (EXAMPLE_PROFILE.transfer as { sharePerUnit: number }).sharePerUnit;

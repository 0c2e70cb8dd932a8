import { expect, test } from 'vitest';
import { analyseSweep, plateaus, stepResponse, type Recording, type SweepContext } from './index.ts';
import { EXAMPLE_PROFILE } from '../../judge/checks/exampleCase.ts';
import { channelScale, pressureAndBasis, type ChannelMeaning } from './channelUnit.ts';
import { localNoise } from './noise.ts';
import { coded } from '../../measure/message/coded.ts';

const scaled = (value: number, of: Partial<ChannelMeaning>): number | string => {
  const read = coded(
    channelScale({
      use: 'stimulus',
      unit: 'kPa',
      measures: 'absolute-pressure',
      ambientKpaAbs: 100,
      ...of,
    }),
  );
  return 'question' in read ? read.question : value * read.scale + read.offset;
};

// By hand: NIST SP 811 factors; ambient is 100 kPa.
test.each([
  [2310, { use: 'signal', unit: 'mV' }, 2.31],
  [2.31, { use: 'signal', unit: 'V' }, 2.31],
  [14.5, { unit: 'psia' }, 99.974],
  [0, { unit: 'psig' }, 100],
  [10, { unit: 'inHg', basis: 'vacuum' }, 66.1361],
  [600, { unit: 'mbar', basis: 'vacuum' }, 40],
  [1013, { unit: 'hPa abs' }, 101.3],
  [40, { use: 'live', unit: 'kPa' }, 40],
  [50, { use: 'revs', unit: 'Hz' }, 3000],
  [40, { unit: 'kPa', basis: 'absolute', measures: 'gauge-pressure' }, -60],
  [10, { unit: 'inHg', basis: 'vacuum', measures: 'gauge-pressure' }, -33.8639],
  [3.6, { unit: 'kg/h', measures: 'air-flow' }, 1],
  [1, { unit: 'rad', measures: 'angle' }, 57.29578],
] as const)('%d of %j is %d in the core’s unit', (value, of, expected) => {
  expect(scaled(value, of)).toBeCloseTo(expected, 3);
});

test.each([
  [{ unit: 'inHg' }, 'sweep.pressure-without-basis-say-whether'],
  [{ unit: 'furlong' }, 'sweep.other-unit{unit: “furlong”, of: pressure}'],
  [{ unit: '' }, 'sweep.no-unit{of: pressure}'],
  [{ use: 'signal', unit: 'kPa' }, 'sweep.other-unit{unit: “kPa”, of: volts}'],
  [{ unit: 'inHg', basis: 'vacuum', ambientKpaAbs: undefined }, 'sweep.counts-ambient-pressure-not-given'],
] as const)('%j is a question, not a number', (of, question) => {
  expect(scaled(1, of)).toBe(question);
});

test('a basis is read only behind a whole unit: “Pa” is none', () => {
  expect(pressureAndBasis('Pa')).toEqual({ unit: 'Pa', basis: undefined });
  expect(pressureAndBasis('kPa')).toEqual({ unit: 'kPa', basis: undefined });
  expect(pressureAndBasis('bar(g)')).toMatchObject({ basis: 'gauge' });
  expect(pressureAndBasis('kPa abs')).toEqual({ unit: 'kPa', basis: 'absolute' });
  expect(pressureAndBasis('inHg vac')).toMatchObject({ basis: 'vacuum' });
});

const recordingOf = (
  channels: [name: string, unit: string, valueAt: (second: number) => number][],
): Recording => {
  const seconds = Float64Array.from({ length: 1200 }, (_, i) => i / 100);
  return {
    seconds,
    channels: channels.map(([name, unit, valueAt]) => ({ name, unit, values: seconds.map(valueAt) })),
  };
};
const found = (recording: Recording, uses: SweepContext['uses'], over: Partial<SweepContext> = {}) =>
  coded(
    analyseSweep(recording, {
      profile: EXAMPLE_PROFILE,
      uses,
      ambientKpaAbs: 100,
      ...over,
    }),
  );
/** Down to 40 kPa and back. */
const kpa = (second: number) => 100 - 60 * Math.sin((Math.PI * second) / 12);
const volts = (pressure: number, reference = 5) => reference * (0.0078 * pressure + 0.02);

test('millivolts beside inHg of vacuum: a sound sensor has no fault, and its figures are on one basis', () => {
  const told = found(
    recordingOf([
      ['sig', 'mV', (s) => 1000 * volts(kpa(s))],
      ['pump', 'inHg', (s) => (100 - kpa(s)) / 3.386389],
    ]),
    ['signal', 'stimulus'],
    { bases: [undefined, 'vacuum'] },
  );
  expect(told.filter(({ weight }) => weight === 'fault')).toEqual([]);
  expect(told.find(({ kind }) => kind === 'figures')?.sentence).toMatch(
    /^sweep\.figures\{inaccuracy: 0\.0\d %/u,
  );
  const asked = found(
    recordingOf([
      ['sig', 'mV', (s) => 1000 * volts(kpa(s))],
      ['pump', 'inHg', (s) => (100 - kpa(s)) / 3.386389],
    ]),
    ['signal', 'stimulus'],
  );
  expect(asked.find(({ kind }) => kind === 'question')?.sentence).toBe(
    'sweep.left-out{name: “pump”, question: sweep.pressure-without-basis-say-whether}',
  );
  expect(asked.some(({ kind }) => kind === 'figures')).toBe(false);
});

test('the reference that was recorded is the one that is used', () => {
  const low = recordingOf([
    ['sig', 'V', (s) => volts(kpa(s), 4.6)],
    ['ref', 'V', () => 4.6],
    ['pump', 'kPa', kpa],
  ]);
  const told = found(low, ['signal', 'reference', 'stimulus'], { bases: [undefined, undefined, 'absolute'] });
  expect(told.find(({ kind }) => kind === 'figures')).toMatchObject({ weight: 'note' });
  expect(told.find(({ kind }) => kind === 'reference')?.sentence).toContain('4.60 V');
});

test('what was looked at is listed; where nothing was, that is what is said', () => {
  const signal = recordingOf([
    ['a', 'V', (s) => volts(kpa(s))],
    ['b', 'bananas', () => 1],
  ]);
  const looked = found(signal, ['signal', 'other']).at(-1)!;
  expect(looked.kind).toBe('looked');
  expect(looked.sentence).toBe(
    'sweep.looked-at{looks: [sweep.dropouts-noise-travel-signal], channels: [sweep.used-as{name: “a”, use: use.signal}], more: [' +
      'sweep.no-reference-recorded-assumed{volts: 5.00 V}, ' +
      'sweep.not-looked-at{looks: [sweep.whether-reference-holds, sweep.whether-live-data-follows-wire, ' +
      'sweep.whether-signal-follows-stimulus, sweep.whether-signal-answers-revs]}, ' +
      'sweep.channels-left-out{names: [sweep.named{name: “b”}], more: 0}]}',
  );
  const nothing = found(signal, ['other', 'other']).at(-1)!;
  expect(nothing).toMatchObject({ kind: 'not-looked' });
  expect(nothing.sentence).toContain('sweep.nothing-looked-no-channel-known');
});

test('numbers without a unit that are no volts are asked about', () => {
  const told = found(recordingOf([['sig', '', (s) => 1000 * volts(kpa(s))]]), ['signal']);
  expect(told.find(({ kind }) => kind === 'question')?.sentence).toBe(
    'sweep.left-out{name: “sig”, question: sweep.no-unit-numbers-no-volts}',
  );
});

/** Seeded, so that it is the same noise each time. */
const noise = (i: number) => ((Math.sin(i * 12.9898) * 43758.5453) % 1) * 2;

test('a noisy half makes no dropouts, is told with its place, and hides none in the quiet half', () => {
  const told = found(
    recordingOf([
      [
        'sig',
        'V',
        (s) => volts(kpa(s)) + (s > 6 ? 0.12 * noise(s * 100) : 0) - (Math.abs(s - 2) < 0.006 ? 1.2 : 0),
      ],
    ]),
    ['signal'],
  );
  expect(
    told.filter(({ kind }) => kind === 'dropout').map(({ fromSeconds }) => Math.round(fromSeconds)),
  ).toEqual([2]);
  expect(told.find(({ kind }) => kind === 'noise')?.sentence).toMatch(
    /^sweep\.noisy-up-mv-sample-sample\{.*noise: \d+ mV, where: sweep\.between-and\{from: [5-7]\.\d+ s, until: 1[12]\.\d+ s\}/u,
  );
  const quiet = new Float64Array(1000).fill(2);
  expect(Math.max(...localNoise(quiet).windows)).toBe(0);
});

test('a rest begins after the way to it, is one rest, and is more than two samples', () => {
  const seconds = Float64Array.from({ length: 800 }, (_, i) => i / 100);
  const settling = seconds.map((s) => (s < 2 ? 1 : 3 - 2 * Math.exp(-(s - 2) / 0.3)));
  const rests = plateaus(seconds, settling);
  expect(rests).toHaveLength(2);
  expect(rests[1]!.fromSeconds).toBeGreaterThan(2.8);
  expect(rests[1]!.mean).toBeCloseTo(3, 2);
  const slow = Float64Array.of(0, 1, 2, 3);
  expect(plateaus(slow, Float64Array.of(1, 1, 4, 4))).toEqual([]);
});

test('a ramp is no step, and gets no answer time', () => {
  const seconds = Float64Array.from({ length: 400 }, (_, i) => i / 100);
  expect(
    stepResponse(
      seconds,
      seconds.map((s) => 1 + s / 2),
    ),
  ).toBeUndefined();
  expect(
    stepResponse(
      seconds,
      seconds.map((s) => (s < 1 ? 1 : 3 - 2 * Math.exp(-(s - 1) / 0.1))),
    ),
  ).toBeDefined();
});

test('no sentence of any finding has a NaN, also where channels are missing or empty', () => {
  const empty = recordingOf([
    ['sig', 'V', () => NaN],
    ['pump', 'kPa', () => NaN],
    ['rpm', 'rpm', () => NaN],
    ['ref', 'V', () => NaN],
  ]);
  const holes = recordingOf([
    ['sig', 'V', (s) => (s % 1 < 0.5 ? NaN : volts(kpa(s)))],
    ['pump', 'kPa', (s) => (s % 3 < 1 ? NaN : kpa(s))],
    ['rpm', 'rpm', (s) => (s < 1 ? NaN : 800 + 100 * s)],
    ['ref', 'V', (s) => (s > 3 ? NaN : 5)],
  ]);
  for (const recording of [empty, holes])
    for (const { sentence } of found(recording, ['signal', 'stimulus', 'revs', 'reference'], {
      bases: [undefined, 'absolute', undefined, undefined],
    }))
      expect(sentence).not.toMatch(/NaN|Infinity|undefined/u);
});

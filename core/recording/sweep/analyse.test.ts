import { expect, test } from 'vitest';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import reference from './reference/recordings.json' with { type: 'json' };
import { against, analyseSweep, sweepBand, type Recording, type SweepContext } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const PEDAL: SensorProfile = {
  measures: 'position',
  transfer: { form: 'linear', low: { volts: 1, value: 0 }, high: { volts: 4.4, value: 100 } },
  nominalReferenceVolts: 5,
  lowest: 0,
  highest: 100,
  circuitLowVolts: 0.2,
  circuitHighVolts: 4.8,
  tolerance: { form: 'plus-minus', plusMinus: 2 },
  differenceThatMatters: 3,
  bias: 'pull-down',
};
const context = (over: Partial<SweepContext> = {}): SweepContext => ({
  profile: PEDAL,
  companion: { kind: 'second-track', pair: { law: 'ratio', ratio: 2, offsetVolts: 0 }, separateFeeds: true },
  uses: ['signal', 'second-signal'],
  ...over,
});
const volts = (millivolts: readonly (number | null)[]) =>
  Float64Array.from(millivolts, (value) => (value === null ? NaN : value / 1000));
const recordingOf = (rate: number, ...values: Float64Array[]): Recording => ({
  seconds: Float64Array.from(values[0]!, (_, i) => i / rate),
  channels: values.map((all, i) => ({ name: `CH${i + 1}`, unit: 'V', values: all })),
});
const withUnits = (recording: Recording, ...units: string[]): Recording => ({
  ...recording,
  channels: recording.channels.map((channel, i) => ({ ...channel, unit: units[i] ?? channel.unit })),
});
const pair = () => {
  const { rate, firstMillivolts, secondMillivolts } = reference.pair;
  return recordingOf(rate, volts(firstMillivolts), volts(secondMillivolts));
};

test('a pair that breaks at one angle is told with the angle, and a sound one is not', () => {
  const faults = coded(analyseSweep(pair(), context())).filter(({ weight }) => weight === 'fault');
  expect(faults.map(({ kind }) => kind)).toEqual(['pair', 'pair']);
  expect(Math.abs(faults[0]!.position! - reference.pair.truth.positionPercent)).toBeLessThan(1);
  expect(faults[0]!.sentence).toMatch(
    /^sweep\.tracks-do-not-belong-together\{place: sweep\.at\{position: 6[12]\.\d+ position\}, percent: 10\.\d %/u,
  );
  const [first] = pair().channels;
  const sound = recordingOf(
    200,
    first!.values,
    first!.values.map((value) => value / 2),
  );
  expect(coded(analyseSweep(sound, context())).filter(({ weight }) => weight === 'fault')).toEqual([]);
});

test('a dead spot of track 2 is told as track 2, with the place that it lies at', () => {
  const recording = pair();
  const [first] = recording.channels.map(({ values }) => values);
  const second = first!.map((value) => value / 2);
  // A lifted wiper between 40 and 42 %: the input pulls the wire down.
  first!.forEach((value, i) => {
    const percent = (value - 1) / 0.034;
    if (percent > 40 && percent < 42) second[i] = 0.01;
  });
  const found = coded(analyseSweep(recordingOf(200, first!, second), context())).filter(
    ({ kind }) => kind === 'dropout',
  );
  expect(found).toHaveLength(2);
  for (const { sentence, position } of found) {
    expect(sentence).toMatch(
      /^sweep\.drops-out-instead-into-recording\{name: sweep\.track\{number: 2\}, place: sweep\.at\{position: 4[012]\.?\d* /u,
    );
    expect(position).toBeGreaterThan(39);
    expect(position).toBeLessThan(43);
  }
});

test('more dropouts than anyone reads are counted together', () => {
  const values = Float64Array.from({ length: 5000 }, (_, i) => (i % 200 === 100 ? 0 : 2.5));
  const found = coded(analyseSweep(recordingOf(200, values), context({ uses: ['signal'] })));
  const told = found.filter(({ kind }) => kind === 'dropout');
  expect(told).toHaveLength(13);
  expect(told.at(-1)!.sentence).toBe(
    'sweep.times-all-first-shown-one{what: sweep.drops-out{name: sweep.track{number: 1}}, all: 25, shown: 12}',
  );
});

test('a reference that sags, live data that stands, and noise are told', () => {
  const wire = Float64Array.from({ length: 2000 }, (_, i) => 2.5 + Math.sin(i / 100));
  const live = wire.map((_, i) => (i < 1000 ? Math.round((wire[i]! - 1) / 0.034) : 50));
  const sagging = wire.map((_, i) => (i > 700 && i < 720 ? 4.6 : 5));
  const found = coded(
    analyseSweep(
      withUnits(recordingOf(100, wire, live, sagging), 'V', '%', 'V'),
      context({ uses: ['signal', 'live', 'reference'] }),
    ),
  );
  const kinds = found.map(({ kind }) => kind);
  expect(kinds).toContain('stuck');
  expect(found.find(({ kind }) => kind === 'reference')?.sentence).toContain('4.60 V');
  const rough = wire.map((value, i) => value + (i % 2 === 0 ? 0.04 : -0.04));
  expect(
    coded(analyseSweep(recordingOf(100, rough), context({ uses: ['signal'] }))).map(({ kind }) => kind),
  ).toContain('noise');
});

test('what the travel did not see is said', () => {
  const half = Float64Array.from({ length: 1000 }, (_, i) => 1 + 1.7 * Math.abs(Math.sin(i / 159.2)));
  const told = coded(analyseSweep(recordingOf(100, half), context({ uses: ['signal'] }))).find(
    ({ kind }) => kind === 'travel',
  );
  expect(told?.sentence).toMatch(/low: 0(?:\.\d+)? position, high: 50(?:\.\d+)? position, rate: 100,/u);
});

test('of a pair that parts it is said which track stands, and whether both show the same', () => {
  const first = pair().channels[0]!.values;
  const sentence = (second: Float64Array) => {
    const { seconds, channels } = pair();
    const recording = { seconds, channels: [channels[0]!, { ...channels[1]!, values: second }] };
    return coded(analyseSweep(recording, context())).find(({ kind }) => kind === 'pair')?.sentence;
  };
  expect(sentence(first.map(() => 1.1))).toMatch(/^sweep.track-stands-while-other-moves.*number: 2/su);
  expect(sentence(first)).toMatch(/^sweep.tracks-show-the-same/su);
});

test('where a track drops out the pair is not told as broken too, and a dropout is no travel', () => {
  const [first] = pair().channels.map(({ values }) => values);
  const second = first!.map((value) => value / 2);
  second.fill(0.01, 700, 740);
  const found = coded(analyseSweep(recordingOf(200, first!, second), context()));
  expect(found.filter(({ weight }) => weight === 'fault').map(({ kind }) => kind)).toEqual(['dropout']);
  const lost = first!.slice();
  lost.fill(0.01, 700, 740);
  const travel = coded(analyseSweep(recordingOf(200, lost), context({ uses: ['signal'] }))).find(
    ({ kind }) => kind === 'travel',
  );
  expect(travel?.sentence).toMatch(/^sweep\.travel\{strokes: 2, low: 0 position, high: 100 position,/u);
});

test('against a stimulus recorded beside it the figures of the sweep are told, and past its tolerance they are a fault', () => {
  const stimulus = Float64Array.from({ length: 1600 }, (_, i) => 100 * Math.abs(((i / 400 + 1) % 2) - 1));
  const volts = (off: number) => stimulus.map((percent) => 1 + 0.034 * percent + off);
  const told = (off: number) =>
    coded(
      analyseSweep(
        withUnits(recordingOf(100, volts(off), stimulus), 'V', '%'),
        context({ uses: ['signal', 'stimulus'] }),
      ),
    ).find(({ kind }) => kind === 'figures');
  expect(told(0)).toMatchObject({ weight: 'note' });
  // 0.136 V are 4 % of the travel, of which the sensor may have 2.
  expect(told(0.136)?.weight).toBe('fault');
  expect(told(0.136)?.sentence).toMatch(
    /^sweep\.figures\{inaccuracy: 4\.\d\d %, allowed: 2\.00 %, hysteresis: 0\.00 %/u,
  );
});

test('a plot of value against value leaves no sample out, and its band is the law of the pair', () => {
  const [first] = pair().channels.map(({ values }) => values);
  const second = first!.map((value) => value / 2);
  second[900] = 0.02;
  const plot = against(first!, second, 100)!;
  expect(Math.min(...[...plot.lowest].filter((value) => !Number.isNaN(value)))).toBe(0.02);
  expect(against(new Float64Array(5).fill(1), new Float64Array(5), 10)).toBeUndefined();
  const band = sweepBand(context())!;
  expect(band).toMatchObject({ along: 0, up: 1 });
  expect(band.bandAt(3).lowest).toBeCloseTo(1.3, 9);
  expect(band.bandAt(3).highest).toBeCloseTo(1.7, 9);
  expect(sweepBand(context({ uses: ['signal', 'other'] }))).toBeUndefined();
  const known = sweepBand(context({ uses: ['signal', 'stimulus'] }))!;
  expect(known).toMatchObject({ along: 1, up: 0 });
  expect(known.bandAt(50)).toEqual({
    lowest: expect.closeTo(2.632, 3) as number,
    highest: expect.closeTo(2.768, 3) as number,
  });
});

test('a recording in which nothing was moved proves no travel, and says so', () => {
  const still = new Float64Array(200).fill(1.02);
  const found = coded(analyseSweep(recordingOf(20, still), context({ uses: ['signal'] })));
  expect(found.map(({ kind }) => kind)).toEqual(['still', 'looked']);
  expect(found[0]!.sentence).toBe('sweep.nothing-moved-recording-proves-no');
});

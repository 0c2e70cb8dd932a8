import { expect, test } from 'vitest';
import { MPX4250A } from '../../measure/transfer/index.ts';
import {
  checksum4,
  fastChannelsOf,
  fastValues,
  framePartsOf,
  serialMessages,
  telegramsIn,
  valueOfStep,
  type Telegrams,
} from './index.ts';
import reference from './reference/telegrams.json' with { type: 'json' };

// Made by reference/telegrams.py, which knows nothing of this program and divides its checksums bit by bit.
const { cases, checksums, edgesPerSecond } = reference;
const edgesOf = ({ edges }: { edges: number[] }) => Float64Array.from(edges, (edge) => edge / edgesPerSecond);
const framesOf = ({ status, data, layout: { nibbles } }: Telegrams) =>
  Array.from(status, (one, i) => [one, ...data.slice(i * nibbles, (i + 1) * nibbles)]);
const lostOf = ({ lost }: Telegrams) => Object.values(lost).reduce((sum, count) => sum + count, 0);

test.each(checksums)(
  'the checksum over $nibbles is that of the polynomial',
  ({ nibbles, recommended, legacy }) => {
    expect(checksum4(nibbles, 0, nibbles.length, 'recommended')).toBe(recommended);
    expect(checksum4(nibbles, 0, nibbles.length, 'legacy')).toBe(legacy);
  },
);

test.each(cases)('$name: every good frame is decoded, and no other', (one) => {
  const found = telegramsIn(edgesOf(one))!;
  expect(found.layout).toEqual({
    nibbles: one.nibbles,
    hasPause: one.pause,
    checksum: one.recommended ? 'recommended' : 'legacy',
  });
  expect(framesOf(found)).toEqual(one.frames);
  expect(lostOf(found)).toBe(one.lost);
  expect(found.lostAtSeconds).toHaveLength(one.lost);
  if (!one.name.includes('drifts')) expect(found.tickSeconds * 1e6).toBeCloseTo(one.tickMicroseconds, 1);
});

test('the pulses of a frame lie where the edges were', () => {
  const one = cases.find(({ lost, name }) => lost === 0 && !name.includes('drifts'))!;
  const edges = edgesOf(one);
  const found = telegramsIn(edges)!;
  const nearest = (moment: number) =>
    edges.reduce((least, edge) => Math.min(least, Math.abs(edge - moment)), Infinity);
  for (const frame of found.status.keys()) {
    const parts = framePartsOf(found, frame);
    expect(parts.map(({ of }) => of)).toEqual([
      'calibration',
      'status',
      ...Array.from({ length: one.nibbles }, () => 'data'),
      'checksum',
    ]);
    for (const { untilSeconds } of parts.slice(0, -1))
      expect(nearest(untilSeconds)).toBeLessThan(found.tickSeconds);
  }
});

test('what is lost is told by its kind', () => {
  const lostIn = (name: string) => telegramsIn(edgesOf(cases.find((one) => one.name === name)!))!.lost;
  expect(lostIn('checksum, pause none')).toMatchObject({ checksum: 4 });
  expect(lostIn('between, pause none')).toMatchObject({ nibble: 4 });
});

test('short and enhanced serial messages are put together from the status nibbles', () => {
  const one = cases.find(({ name }) => name === 'serial messages')!;
  const messages = serialMessages(telegramsIn(edgesOf(one))!);
  expect(messages.map(({ form, id, value }) => [form, id, value])).toEqual(one.serial);
});

test('a message that a lost frame cuts is left out', () => {
  const one = cases.find(({ name }) => name === 'serial messages')!;
  const edges = edgesOf(one);
  // An edge in the fifth frame gets lost.
  const cut = edges.filter((_, i) => i !== 40);
  const messages = serialMessages(telegramsIn(cut)!);
  expect(messages.map(({ form, id, value }) => [form, id, value])).toEqual(one.serial!.slice(1));
});

test('pulses that are no telegrams are not taken for any', () => {
  let seed = 1;
  const chance = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  let at = 0;
  const noise = Float64Array.from({ length: 20_000 }, () => (at += 36e-6 + 45e-6 * chance()));
  expect(telegramsIn(noise)).toBeUndefined();
  const even = Float64Array.from({ length: 5000 }, (_, i) => i * 1e-4);
  expect(telegramsIn(even)).toBeUndefined();
  for (const few of [[], [1], [1, 2, 3]]) expect(telegramsIn(Float64Array.from(few))).toBeUndefined();
});

test('two values of twelve bits are read as they are sent, and stand for what the ends of the range say', () => {
  const telegrams = {
    layout: { nibbles: 6 },
    status: new Uint8Array(1),
    data: Uint8Array.of(10, 11, 12, 1, 2, 3),
  };
  expect(fastChannelsOf(telegrams as Telegrams)).toEqual([1, 2]);
  expect([...fastValues(telegrams as Telegrams, 1)]).toEqual([0xabc]);
  // The second one is sent lowest nibble first.
  expect([...fastValues(telegrams as Telegrams, 2)]).toEqual([0x321]);
  const range = { lowest: 0, highest: 200_000, transfer: MPX4250A.transfer };
  expect(valueOfStep(193, range)).toBe(0);
  expect(valueOfStep(3896, range)).toBe(200_000);
  expect(valueOfStep(4090, range)).toBeNaN();
  // A maker's own ends count before those of the standard.
  const own = { form: 'telegrams', low: { step: 100, value: 0 }, high: { step: 4000, value: 39 } } as const;
  expect(valueOfStep(1100, { ...range, transfer: own })).toBeCloseTo(10, 9);
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { liveBytes, liveItemOf, liveValue } from '../../machine/live/index.ts';
import { coded } from '../../measure/message/coded.ts';
import {
  answered,
  answerTo,
  askedWith,
  codeFromBytes,
  codesFrom,
  codesNow,
  codeToBytes,
  framesOf,
  fromSerialText,
  MONITOR_IDS,
  GO_ON,
  readinessBytes,
  readinessFrom,
  Receiver,
  refusedWith,
  requestFor,
  supportedBytes,
  supportedFrom,
  toSerialText,
  unitName,
  unitSaid,
  unitOf,
  vehicleNumberFrom,
  type Readiness,
  type UnitReport,
} from './index.ts';

const byte = fc.integer({ min: 0, max: 255 });

test('a frame is the text that an adapter for a serial line speaks, and back; anything else is none', () => {
  expect(toSerialText({ id: 0x7df, isExtended: false, bytes: [2, 1, 0x0c] })).toBe('t7DF302010C');
  expect(toSerialText({ id: 0x18db33f1, isExtended: true, bytes: [1, 3] })).toBe('T18DB33F120103');
  expect(fromSerialText('t7E8303410B1234')).toEqual({ id: 0x7e8, isExtended: false, bytes: [3, 0x41, 0x0b] });
  for (const text of [
    '',
    'z',
    't7E8',
    't7E8903',
    't7E8241',
    't7E81410',
    'tXYZ0',
    'TFFFFFFFF0',
    'V1013',
    't7E8G',
  ])
    expect(fromSerialText(text), text).toBeUndefined();
  fc.assert(
    fc.property(
      fc.boolean(),
      fc.nat(0x1fff_ffff),
      fc.array(byte, { maxLength: 8 }),
      (isExtended, id, bytes) => {
        const frame = { id: isExtended ? id : id % 0x800, isExtended, bytes };
        expect(fromSerialText(toSerialText(frame))).toEqual(frame);
      },
    ),
  );
});

// ISO 15765-4, from memory: 7E0 asks the unit that answers with 7E8; 18DA10F1 the one that answers with 18DAF110.
test.each([
  [0x7e8, false, 0x7e0, '7E8'],
  [0x7ef, false, 0x7e7, '7EF'],
  [0x18daf110, true, 0x18da10f1, '10'],
] as const)('%i answers to its own request', (answersWith, isExtended, asks, name) => {
  const unit = unitOf({ id: answersWith, isExtended, bytes: [] })!;
  expect(unit).toEqual({ answersWith, isExtended });
  expect(askedWith(unit)).toEqual({ id: asks, isExtended });
  expect(unitName(unit)).toBe(name);
});

test('other traffic is no answer, and all units are asked at once', () => {
  for (const [id, isExtended] of [
    [0x7df, false],
    [0x7e0, false],
    [0x18da10f1, true],
    [0x7e8, true],
  ] as const)
    expect(unitOf({ id, isExtended, bytes: [] })).toBeUndefined();
  expect(askedWith('all-standard').id).toBe(0x7df);
  expect(askedWith('all-extended').id).toBe(0x18db33f1);
});

test('a message of any length comes back from its frames, of eight bytes each', () => {
  fc.assert(
    fc.property(fc.array(byte, { minLength: 1, maxLength: 400 }), (message) => {
      const receiver = new Receiver();
      const frames = framesOf(message);
      const received = frames.map((frame) => receiver.take(frame));
      expect(frames.every(({ length }) => length === 8)).toBe(true);
      expect(received.at(-1)).toEqual({ kind: 'message', message });
      if (frames.length > 1) expect(received[0]).toEqual({ kind: 'begun' });
    }),
  );
});

test('a piece that is missing gives the message up; leave to go on, and pieces of nothing, are none', () => {
  const receiver = new Receiver();
  const frames = framesOf(Array.from({ length: 30 }, (_, i) => i));
  receiver.take(frames[0]!);
  expect(receiver.take(frames[2]!)).toEqual({ kind: 'lost' });
  expect(receiver.take(frames[3]!)).toEqual({ kind: 'none' });
  expect(receiver.take(GO_ON)).toEqual({ kind: 'none' });
  expect(receiver.take([])).toEqual({ kind: 'none' });
  expect(receiver.take([3, 0x41])).toEqual({ kind: 'none' });
  expect(receiver.take([2, 0x41, 0, 0, 0, 0, 0, 0])).toEqual({ kind: 'message', message: [0x41, 0] });
});

test('a code in two bytes, and back, for every one that there is', () => {
  expect(codeFromBytes(0x01, 0x07)).toBe('P0107');
  expect(codeFromBytes(0xc1, 0x00)).toBe('U0100');
  expect(codeFromBytes(0x24, 0x53)).toBe('P2453');
  expect(codeToBytes('P0G00')).toBeUndefined();
  for (let number = 0; number < 0x1_0000; number++) {
    const [high, low] = [number >> 8, number & 0xff];
    if (codeToBytes(codeFromBytes(high, low))?.join() !== `${high},${low}`) throw new Error(`${number}`);
  }
});

test('an answer is of what was asked, a refusal says why, and anything else is neither', () => {
  const asked = requestFor('live-data', 0x0b);
  expect(asked).toEqual([0x01, 0x0b]);
  expect(answerTo(asked, answered(asked, [47]))).toEqual({ kind: 'answer', data: [47] });
  expect(answerTo(asked, [0x41, 0x0c, 0x1a, 0xf8])).toEqual({ kind: 'other' });
  expect(answerTo(asked, refusedWith(asked, 'not-now'))).toEqual({ kind: 'refused', why: 'not-now' });
  expect(answerTo(asked, [0x7f, 0x01, 0x99])).toEqual({ kind: 'refused', why: 'other' });
  expect(answerTo(asked, [0x7f, 0x03, 0x11])).toEqual({ kind: 'other' });
  expect(answerTo(asked, [])).toEqual({ kind: 'other' });
});

test('codes are as many as were said, and no more than came', () => {
  expect(codesFrom([2, 0x01, 0x07, 0x06, 0x43])).toEqual(['P0107', 'P0643']);
  expect(codesFrom([0])).toEqual([]);
  expect(codesFrom([])).toEqual([]);
  expect(codesFrom([3, 0x01, 0x07, 0x06])).toEqual(['P0107']);
  expect(codesFrom([1, 0x01, 0x07, 0x00, 0x00])).toEqual(['P0107']);
});

// The bits of this list are often printed as an example (from memory): 01, 03 to 07, 0C to 11, 13, 15, 1C, 1F and 20.
test('BE 1F A8 13 says which items there are', () => {
  const items = [1, 3, 4, 5, 6, 7, 0xc, 0xd, 0xe, 0xf, 0x10, 0x11, 0x13, 0x15, 0x1c, 0x1f, 0x20];
  expect(supportedFrom(0, [0xbe, 0x1f, 0xa8, 0x13])).toEqual(items);
  expect(supportedBytes(0, items)).toEqual([0xbe, 0x1f, 0xa8, 0x13]);
  expect(supportedFrom(0x20, [0x00, 0x00, 0x20, 0x01])).toEqual([0x33, 0x40]);
});

test('readiness: lamp, codes and which self-tests have finished, for both ways of ignition', () => {
  // Lamp on, one code; three tests that always run, the third open; catalyst done, oxygen sensor not.
  expect(readinessFrom([0x81, 0x47, 0x21, 0x20])).toEqual({
    lampOn: true,
    storedCodes: 1,
    ignition: 'spark',
    finished: ['misfire', 'fuel-system', 'catalyst'],
    unfinished: ['components', 'oxygen-sensor'],
  });
  expect(readinessFrom([0, 0x08, 0x4a, 0x40])).toMatchObject({
    ignition: 'compression',
    finished: ['nox', 'boost'],
    unfinished: ['particulate-filter'],
  });
  fc.assert(
    fc.property(fc.tuple(byte, byte, byte, byte), (bytes) => {
      const read: Readiness = readinessFrom(bytes);
      expect(readinessFrom(readinessBytes(read))).toEqual(read);
      for (const id of [...read.finished, ...read.unfinished]) expect(MONITOR_IDS).toContain(id);
    }),
  );
});

test('the number of a vehicle is its letters, whatever fills it up', () => {
  const letters = [...'SIMULATED00000001'].map((letter) => letter.charCodeAt(0));
  expect(vehicleNumberFrom([1, ...letters])).toBe('SIMULATED00000001');
  expect(vehicleNumberFrom([1, 0, 0, 0, ...letters.slice(0, 14)])).toBe('SIMULATED00000');
});

test('100,000 frames of anything come to an end, and what comes of them is in bounds', () => {
  // A linear congruence, so that every run has the same ones.
  let state = 12_345;
  const next = (below: number): number => {
    state = (Math.imul(state, 1_103_515_245) + 12_345) >>> 0;
    return (state >>> 8) % below;
  };
  const receiver = new Receiver();
  const seen = { message: 0, lost: 0, answer: 0 };
  for (let i = 0; i < 100_000; i++) {
    // Every other one begins as a frame of a long message does, so that pieces go on with something.
    const bytes = Array.from({ length: next(9) }, (_, at) =>
      at === 0 ? 16 * next(4) + next(16) : next(256),
    );
    const text = toSerialText({ id: next(0x800), isExtended: false, bytes });
    const frame = fromSerialText(i % 5 === 0 ? text.slice(0, next(text.length)) : text);
    if (!frame) continue;
    unitOf(frame);
    const received = receiver.take(frame.bytes);
    if (received.kind === 'lost') seen.lost++;
    if (received.kind !== 'message') continue;
    seen.message++;
    expect(received.message.length).toBeLessThanOrEqual(0xfff);
    const answer = answerTo(requestFor('stored'), received.message);
    if (answer.kind === 'answer') seen.answer++;
    for (const code of codesFrom(received.message)) expect(codeToBytes(code)).toBeDefined();
    supportedFrom(0, received.message);
    readinessFrom(received.message);
    vehicleNumberFrom(received.message);
  }
  expect(seen.message).toBeGreaterThan(1000);
  expect(seen.lost).toBeGreaterThan(100);
});

test('an item whose unit says that it has none is none, and one that counts both ways comes back', () => {
  const filter = liveItemOf(0x7a);
  expect(liveValue(filter, liveBytes(filter, -1.25))).toBeCloseTo(-1.25, 9);
  expect(liveValue(filter, [0, 0x01, 0x00])).toBeUndefined();
  expect(liveValue(filter, [1, 0x01])).toBeUndefined();
  // 0.01 kPa a count: 500 counts.
  expect(liveValue(liveItemOf(0x73), [1, 0x01, 0xf4])).toBeCloseTo(5, 9);
});

test('a unit is said in one line, with what it keeps and saw, and nothing of what it does not answer', () => {
  const engine: UnitReport = {
    unit: '7E8',
    stored: ['P0107'],
    pending: [],
    freezeFrame: {
      code: 'P0107',
      values: [
        { item: 0x0c, value: 812.3456 },
        { item: 0xff, value: 1 },
      ],
    },
  };
  expect(coded(unitSaid(engine))).toBe(
    'on-board.unit{unit: “7E8”, parts: [on-board.stored{codes: [“P0107”]}, on-board.none-pending, ' +
      'on-board.frozen{code: “P0107”, values: [on-board.value{name: live-item.engine-speed, value: 812.3 rpm}]}]}',
  );
  expect(coded(unitSaid({ unit: '7E9' }))).toBe('on-board.says-nothing{unit: “7E9”}');
  expect(codesNow([engine, { unit: '7E9', pending: ['P0107', 'P0420'] }])).toEqual(['P0107', 'P0420']);
});

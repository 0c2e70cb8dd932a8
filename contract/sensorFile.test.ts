import { inWords } from '@lettura/words';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { newSensor, readSensorFile, sensorFileOf, sensorFileSchema, type Sensor } from './index.ts';
import { lanesOf, pins } from './sensorParts.ts';
import { SHARED } from './testRecord.ts';

const { uuid, profile } = SHARED;
const sensor = (n: number, over: Partial<Sensor> = {}): Sensor => ({
  ...newSensor.parse({
    id: uuid(n),
    name: `Shelf ${n}`,
    family: 'manifold-pressure',
    source: 'test',
    profile,
  }),
  lineageId: uuid(n),
  version: 1,
  ...over,
});
const written = (sensors: unknown[], over: object = {}) =>
  JSON.stringify({ format: 'lettura-sensors', version: 1, sensors, ...over });
const faultsOf = (text: string) => {
  const read = inWords(readSensorFile(text));
  if (read.ok) throw new Error('was read');
  return read.faults;
};

test('what leaves the library has neither version nor lineage, and is read again as it was', () => {
  const file = sensorFileOf([sensor(1), sensor(2, { version: 7, lineageId: uuid(9) })]);
  expect(file.sensors.every((one) => !('version' in one) && !('lineageId' in one))).toBe(true);
  expect(inWords(readSensorFile(JSON.stringify(file)))).toEqual({ ok: true, value: file });
});

test('each fault is told by the number and name of its sensor, and inside it by number again', () => {
  const [good] = sensorFileOf([sensor(1)]).sensors;
  const turning = [1, 2, 3].map((volts, i) => ({ volts, value: [10, 30, 20][i] }));
  const faults = faultsOf(
    written([
      good,
      {
        ...good,
        id: uuid(2),
        name: 'Tern',
        profile: {
          ...profile,
          transfer: { form: 'table', ratiometric: false, points: [{ volts: 99, value: 1 }, ...turning] },
        },
      },
      { ...good, id: uuid(3), pins: [{ terminal: '1', wire: 'radio', colour: '' }] },
    ]),
  );
  expect(faults.map(({ where }) => where)).toContain(
    'sensor 2, “Tern”: profile, transfer, points, number 1, volts',
  );
  expect(faults.map(({ where }) => where)).toContain('sensor 3, “Shelf 1”: pins, number 1, wire');
  expect(faults.some(({ where }) => where.startsWith('sensor 1'))).toBe(false);
});

test('a sensor without a name is still told by its number', () => {
  expect(faultsOf(written([{ id: uuid(1) }])).map(({ where }) => where)).toContain('sensor 1: name');
  expect(faultsOf(written([3]))[0]?.where).toBe('sensor 1');
  expect(faultsOf(written([]))[0]?.where).toBe('sensors');
});

test.each([
  ['nothing', '', 'not-json'],
  ['half a file', written([sensor(1)]).slice(0, -20), 'not-json'],
  ['a list', '[]', 'wrong-format'],
  ['null', 'null', 'wrong-format'],
  ['a version to come', written([], { version: 2 }), 'wrong-format'],
  ['a version in words', written([], { version: '1' }), 'wrong-format'],
  ['a field too many', written(sensorFileOf([sensor(1)]).sensors, { comment: 'x' }), 'faults'],
  ['more than is taken', 'x'.repeat(8 * 1024 * 1024 + 1), 'too-large'],
])('%s is refused, with what to do', (_what, text, code) => {
  const read = inWords(readSensorFile(text));
  expect(read).toMatchObject({ ok: false, problem: { code } });
  expect(!read.ok && read.problem.next.length).toBeGreaterThan(10);
});

test('whatever stands in a file, it is read or refused, never thrown', () => {
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.json(),
        fc.json().map((one) => written([JSON.parse(one)])),
      ),
      (text) => {
        const read = inWords(readSensorFile(text));
        return read.ok || read.problem.message.length > 0;
      },
    ),
  );
});

test('the published schema names every field that a sensor of a file must have', () => {
  const schema = sensorFileSchema() as unknown as {
    properties: { sensors: { items: { required: string[]; properties: Record<string, unknown> } } };
  };
  const { required, properties } = schema.properties.sensors.items;
  expect(required.sort()).toEqual(['family', 'id', 'name', 'profile', 'source']);
  expect(Object.keys(properties)).toEqual(
    expect.arrayContaining([...required, 'companion', 'notes', 'pins']),
  );
});

test('the wires to probe are those that the body has', () => {
  const feed = { terminal: '4', wire: 'battery-feed', colour: '' } as const;
  const companion = { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false } as const;
  expect(lanesOf({ pins: [] })).toEqual(['reference', 'signal', 'return']);
  expect(lanesOf({ pins: [feed] })).toEqual(['reference', 'signal', 'return', 'battery-feed']);
  expect(lanesOf({ companion, pins: [feed] }).at(-2)).toBe('second-signal');
});

test('two wires on one terminal are a slip of the pen', () => {
  const one = { terminal: '1', wire: 'signal', colour: 'green' };
  expect(pins.safeParse([one, { ...one, terminal: '2' }]).success).toBe(true);
  expect(pins.safeParse([one, { ...one, wire: 'return' }]).error?.issues[0]?.message).toContain(
    'refusal.two-pins-have-same-terminal',
  );
});

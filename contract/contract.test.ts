import { decisionsFor, hypothesesFor } from '@lettura/core/judge/weighing';
import { LANES } from '@lettura/core/machine/places';
import { FAMILY_IDS } from '@lettura/core/machine/family';
import { MPX4115A } from '@lettura/core/measure/transfer';
import { wiringFor } from '@lettura/core/machine/wiring';
import { SHARED } from './testRecord.ts';
import { expect, test } from 'vitest';
import {
  newSensor,
  caseFileOf,
  endpoints,
  newJob,
  newReading,
  newVerdict,
  openApi,
  sensorProfile,
  standingReadings,
  type Reading,
  instrumentsNamed,
  newInstrument,
  type Instrument,
} from './index.ts';

const { jobId, uuid, wire, withdrawal, ambient, profile } = SHARED;

test('a replaced reading and a withdrawn one no longer stand; the correction does', () => {
  const first = wire(1, { volts: 2 });
  const corrected = wire(2, { volts: 3, supersedes: first.id });
  const slip = wire(3, { volts: 9 });
  expect(standingReadings([first, corrected, slip, withdrawal(4, slip.id)]).map(({ id }) => id)).toEqual([
    corrected.id,
  ]);
});

test('a reading put back after a withdrawal stands again, and in its own time', () => {
  const first = wire(1, { takenAt: '2026-11-24T08:00:00.000Z' });
  const later = wire(2, { takenAt: '2026-11-24T09:00:00.000Z' });
  const back = wire(4, { takenAt: first.takenAt, supersedes: withdrawal(3, first.id).id });
  const standing = standingReadings([first, later, withdrawal(3, first.id), back]);
  expect(standing.map(({ id }) => id)).toEqual([back.id, later.id]);
});

const sensor = { profile, family: 'manifold-pressure' } as const;

test('the newest ambient pressure of a job is the one that counts', () => {
  const readings: Reading[] = [
    ambient(1, { source: 'altitude', altitudeM: 0 }),
    ambient(2, { source: 'barometer', stationKpaAbs: 98.7 }),
  ];
  const caseFile = caseFileOf({
    job: { codes: [] },
    readings,
    sensor,
    vehicle: {},
    instruments: [],
    recordings: [],
  });
  expect(caseFile.ambient).toMatchObject({ pressureKpaAbs: 98.7, source: 'barometer' });
  expect(caseFile.readings).toEqual([]);
  expect(
    caseFileOf({
      job: { codes: [] },
      readings: [...readings, withdrawal(3, uuid(2))],
      sensor,
      vehicle: {},
      instruments: [],
      recordings: [],
    }).ambient?.source,
  ).toBe('altitude');
});

test.each([
  ['a voltage past any meter', { volts: 61 }],
  ['a number that is none', { volts: NaN }],
  ['a wire that is not there', { lane: 'battery' }],
  ['a field too many', { colour: 'red' }],
  ['an id of another version', { id: '0e37df36-f698-11e6-8dd4-cb9ced3df976' }],
  ['a time that is none', { takenAt: 'yesterday' }],
])('%s is no reading', (_what, over) => {
  expect(newReading.safeParse({ ...wire(1), ...over }).success).toBe(false);
  expect(newReading.safeParse(wire(1)).success).toBe(true);
});

test.each([
  ['a range upside down', { lowest: 250, highest: 20 }],
  ['limits upside down', { circuitLowVolts: 4.9, circuitHighVolts: 0.1 }],
  ['a signal that does not move', { transfer: { form: 'ratiometric', sharePerUnit: 0, shareAtZero: 0 } }],
  [
    'two points that are one',
    { transfer: { form: 'linear', low: { volts: 1, kpaAbs: 20 }, high: { volts: 1, kpaAbs: 90 } } },
  ],
  ['no tolerance', { tolerance: { form: 'plus-minus', plusMinus: 0 } }],
])('%s is no sensor', (_what, over) => {
  expect(sensorProfile.safeParse({ ...profile, ...over }).success).toBe(false);
});

test('codes are written in capitals and must look like codes', () => {
  const job = {
    id: uuid(1),
    vehicleId: uuid(2),
    sensorId: uuid(3),
    complaint: 'stalls',
    history: '',
    openedAt: '2026-11-24T08:00:00Z',
  };
  expect(newJob.parse({ ...job, codes: ['p0107 '] }).codes).toEqual(['P0107']);
  expect(newJob.safeParse({ ...job, codes: ['P01'] }).success).toBe(false);
});

test('every cause of the reasoning can be recorded as a verdict, and nothing else', () => {
  const verdict = { id: uuid(1), jobId, decidedAt: '2026-11-24T08:00:00Z', note: '' };
  const wiring = wiringFor({ profile: MPX4115A, wires: LANES });
  const causes = FAMILY_IDS.flatMap((family) =>
    decisionsFor(hypothesesFor({ family, wiring })).all.map((decision) => decision.id),
  );
  // Also what was recorded before the weighing reasoned with the circuit.
  for (const cause of [...causes, 'not-proven', 'reference-open', 'engine-vacuum'])
    expect(newVerdict.safeParse({ ...verdict, cause }).success).toBe(true);
  expect(newVerdict.safeParse({ ...verdict, cause: 'gremlins' }).success).toBe(false);
});

test('the OpenAPI description has one operation for every endpoint', () => {
  const operations = Object.values(openApi().paths).flatMap(
    (path) => Object.values(path) as { operationId: string }[],
  );
  expect(operations.map(({ operationId }) => operationId).sort()).toEqual(Object.keys(endpoints).sort());
});

test('a reading, and the gauge of a pump step, carry the accuracy of the instrument named', () => {
  const instruments: Instrument[] = [
    {
      ...newInstrument.parse({
        id: uuid(50),
        name: 'Bench meter',
        sort: 'meter',
        accuracy: { kind: 'meter', percentOfReading: 0.1, counts: 1, displayCounts: 50_000 },
        lowest: 0,
        highest: 600,
      }),
      lineageId: uuid(50),
      version: 1,
    },
    {
      ...newInstrument.parse({
        id: uuid(51),
        name: 'Pump',
        sort: 'hand-pump',
        accuracy: { kind: 'gauge', classPercent: 2.5, spanKpa: 200, divisionKpa: 2 },
        lowest: -100,
        highest: 100,
      }),
      lineageId: uuid(51),
      version: 1,
    },
  ];
  const state = {
    engine: 'koeo',
    plug: 'connected',
    stimulus: { kind: 'pump', kpaAboveAmbient: -20, instrumentId: uuid(51) },
  } as const;
  const row = wire(1, { instrumentId: uuid(50), state });
  expect(instrumentsNamed(row)).toEqual([uuid(50), uuid(51)]);
  const [reading] = caseFileOf({
    job: { codes: [] },
    readings: [row],
    sensor,
    vehicle: {},
    instruments,
    recordings: [],
  }).readings;
  expect(reading).toMatchObject({
    meter: { name: 'Bench meter', accuracy: { percentOfReading: 0.1 } },
    state: { stimulus: { gauge: { name: 'Pump', accuracy: { classPercent: 2.5 } } } },
  });
  // Without the instruments at hand the common ones are taken, and nothing fails.
  const [bare] = caseFileOf({
    job: { codes: [] },
    readings: [row],
    sensor,
    vehicle: {},
    instruments: [],
    recordings: [],
  }).readings;
  expect(bare).not.toHaveProperty('meter');
});

test('how and when a reading was typed is no evidence: it says the same under another hand', () => {
  const weighed = (row: Reading) =>
    caseFileOf({ job: { codes: [] }, readings: [row], sensor, vehicle: {}, instruments: [], recordings: [] })
      .readings;
  const other = { enteredText: 'sig 2,30', takenAt: '2026-11-25T09:00:00.000Z' };
  expect(weighed(wire(1, other))).toEqual(weighed(wire(1)));
  expect(weighed(wire(1, { volts: 2.4 }))).not.toEqual(weighed(wire(1)));
});

test.each([
  [
    'a polynomial that turns round',
    { form: 'polynomial', coefficients: [0, 0, 1], fromVolts: -1, toVolts: 2, ratiometric: false },
  ],
  [
    'telegrams without a second step',
    { form: 'telegrams', low: { step: 193, value: 0 }, high: { step: 193, value: 250 } },
  ],
  [
    'a step that is none of the values',
    { form: 'telegrams', low: { step: 0, value: 0 }, high: { step: 3896, value: 250 } },
  ],
  [
    'a frequency that turns round',
    { form: 'frequency', points: [80, 90, 85].map((hertz, value) => ({ hertz, value })) },
  ],
  [
    'a duty of a line that stands',
    { form: 'duty', points: [0, 90].map((upPercent, value) => ({ upPercent, value })) },
  ],
  ['a hot element without heat', { form: 'hot-element', a: 1, b: 0, n: 0.5 }],
  ['an exponent that describes no element', { form: 'hot-element', a: 1, b: 1, n: 3 }],
] as const)('%s is refused', (_what, transfer) => {
  expect(sensorProfile.safeParse({ ...profile, transfer }).success).toBe(false);
});

test('a sensor that sends telegrams has no second track, and may tell the air temperature', () => {
  const transfer = {
    form: 'telegrams',
    low: { step: 193, value: 20 },
    high: { step: 3896, value: 250 },
  } as const;
  const sensor = {
    id: '01935a00-0000-7000-8000-000000000001',
    name: 'Sends',
    family: 'other',
    source: 'test',
    profile: { ...profile, transfer },
  };
  const track = { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false };
  const refused = newSensor.safeParse({ ...sensor, companion: track });
  expect(refused.error?.issues[0]?.message).toContain('telegrams-beside-second-track');
  expect(newSensor.safeParse({ ...sensor, profile, companion: track }).success).toBe(true);
  const thermistor = { law: 'beta', ohmsAt25Celsius: 2040, betaKelvin: 3400 };
  const companion = { kind: 'temperature', thermistor, pullUpOhms: 2200 };
  expect(newSensor.safeParse({ ...sensor, companion }).success).toBe(true);
});

test('temperatures of a tolerance band must rise', () => {
  const multipliers = [
    { celsius: 20, factor: 1 },
    { celsius: -40, factor: 3 },
  ];
  const tolerance = { form: 'temperature-band', plusMinus: 1, multipliers };
  const read = sensorProfile.safeParse({ ...profile, tolerance });
  expect(read.success).toBe(false);
  expect(read.error?.issues[0]?.message).toContain('temperatures-must-rise');
});

const isolation = {
  id: uuid(901),
  jobId,
  takenAt: '2026-11-25T08:00:00.000Z',
  enteredText: 'ret unit plug OL',
  state: { engine: 'key-off', plug: 'unplugged' },
  from: { lane: 'return', place: 'unit' },
  to: { lane: 'return', place: 'plug' },
};

test('ohms between two points may be OL; two probes on one point, or more clips than a bench has, are refused', () => {
  expect(newReading.safeParse({ ...isolation, kind: 'ohms', ohms: null }).success).toBe(true);
  const onePoint = newReading.safeParse({ ...isolation, to: isolation.from, kind: 'ohms', ohms: 1 });
  expect(onePoint.error?.issues[0]?.message).toContain('refusal.both-probes-are-on-one');
  const clip = { kind: 'jumper', from: isolation.from, to: isolation.to };
  const harness = { attachments: Array(9).fill(clip), neighboursOff: [], wiggled: false };
  expect(
    newReading.safeParse({ ...isolation, kind: 'between', volts: 0, state: { ...isolation.state, harness } })
      .success,
  ).toBe(false);
});

test('what was taken with something attached, held or between two points stands apart from the plain readings', () => {
  const harness = { attachments: [], neighboursOff: [0], wiggled: false };
  const state = { engine: 'koeo', plug: 'connected' } as const;
  const rows = [
    newReading.parse({ ...isolation, kind: 'ohms', ohms: 4.8 }),
    wire(3, { state }),
    wire(4, { state: { ...state, harness } }),
    wire(5, { state: { ...state, stimulus: { kind: 'held', percent: 40 } } }),
  ];
  const { readings, isolation: apart } = caseFileOf({
    job: { codes: [] },
    readings: rows,
    sensor: { profile, family: 'manifold-pressure' },
    vehicle: {},
    recordings: [],
    instruments: [],
  });
  expect(readings).toHaveLength(1);
  expect(apart).toHaveLength(3);
});

test('a channel that could not be read is no witness, whatever it was said to be', () => {
  const said = (use: 'signal' | 'second-signal') => ({ name: use, unit: 'kPa', use });
  const question = {
    kind: 'question',
    weight: 'note',
    sentence: { code: 'sweep.the-signal' },
    channel: 1,
    fromSeconds: 0,
    untilSeconds: 1,
  } as const;
  const takenAt = '2026-03-01T09:00:00.000Z';
  const { sweeps } = caseFileOf({
    job: { codes: [] },
    readings: [],
    sensor,
    vehicle: {},
    instruments: [],
    recordings: [
      { name: 'kept', takenAt, channels: [said('signal'), said('second-signal')], findings: [question] },
      {
        name: 'withdrawn',
        takenAt,
        channels: [said('signal')],
        findings: [],
        revision: { revisedAt: '2026-03-02T09:00:00.000Z', withdrawn: true },
      },
    ],
  });
  expect(sweeps.map(({ name, uses }) => ({ name, uses }))).toEqual([
    { name: 'kept', uses: ['signal', 'other'] },
  ]);
});

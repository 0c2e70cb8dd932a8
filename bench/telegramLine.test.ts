import { analyseSweep, hangsOnSensor } from '@lettura/core/recording/sweep';
import {
  fastValues,
  lineEdges,
  serialMessages,
  telegramsIn,
  valueOfStep,
} from '@lettura/core/recording/telegram';
import type { MachineState } from '@lettura/core/machine/places';
import { inWords } from '@lettura/words';
import { expect, test } from 'vitest';
import { captureTelegrams, MACHINES, practiceMachine, PRESSURE_SENSORS, type SenderIll } from './index.ts';

const STATE: MachineState = { engine: 'idle', plug: 'connected' };
const machineOf = (id: string, letter: 'A' | 'B' | 'D') =>
  practiceMachine(
    MACHINES.find((one) => one.id === id)!,
    letter,
    5,
  );
const rail = machineOf('larch-rail', 'B');
const captured = (ill?: SenderIll, machine = rail) => {
  const { recording, uses } = captureTelegrams(machine, STATE, 3, ill);
  const line = lineEdges(recording.seconds, recording.channels[0]!.values);
  const findings = inWords(analyseSweep(recording, { profile: machine.machine.sensor.profile, uses }));
  return { line, telegrams: line.found === 'edges' ? telegramsIn(line.falling) : undefined, findings };
};

test('what the machine sends is what is read: its pressure, its kind, nothing lost', () => {
  const { telegrams, findings } = captured();
  const found = telegrams!;
  expect(found.layout).toEqual({ nibbles: 6, hasPause: false, checksum: 'recommended' });
  expect(found.tickSeconds).toBeCloseTo(3e-6, 8);
  expect(found.status.length).toBeGreaterThan(30);
  const { profile } = rail.machine.sensor;
  const step = fastValues(found, 1)[0]!;
  const truth = rail.quantity(STATE, 'sensor');
  expect(Math.abs(valueOfStep(step, profile) - truth)).toBeLessThan(
    (profile.highest - profile.lowest) / 3703,
  );
  expect(fastValues(found, 2)[0]).toBe(4095 - step);
  expect(serialMessages(found)).toMatchObject([{ form: 'enhanced', id: 3, value: 0x41 }]);
  const told = findings.map(({ sentence }) => sentence).join(' ');
  expect(told).toMatch(
    /good ones of 6 data nibbles, tick 3\.00 µs, checksum in the recommended form\. None was lost/u,
  );
  expect(told).toMatch(/Looked at: telegrams and levels/u);
  expect(findings.every(({ weight }) => weight === 'note')).toBe(true);
  // A line that goes to and fro drops out nowhere, and stands at no place of a travel.
  expect(told).not.toMatch(/drops out|Moved|noisy/u);
});

test.each([
  [{ does: 'wrong-checksum', everyFrames: 9 }, /\d+ by their checksum\)/u],
  [{ does: 'loses-a-pulse', everyFrames: 9 }, /\d+ by pulses missing or run together\)/u],
] as const)('a sender that %o is told of, and the frames between are read', (ill, words) => {
  const { telegrams, findings } = captured(ill);
  const lost = Object.values(telegrams!.lost).reduce((sum, count) => sum + count, 0);
  expect(lost).toBeGreaterThan(2);
  expect(telegrams!.status.length).toBeGreaterThan(6 * lost);
  expect(findings[0]).toMatchObject({ kind: 'telegrams-lost', weight: 'fault' });
  expect(findings[0]!.sentence).toMatch(words);
  expect(findings[0]!.sentence).toContain(`${lost} of ${lost + telegrams!.status.length} telegrams`);
});

test('another tick is read as well, and a capture upside down is turned round and told', () => {
  expect(captured({ does: 'other-tick', everyFrames: 1 }).telegrams!.tickSeconds).toBeCloseTo(3.45e-6, 8);
  const turned = captured({ does: 'upside-down', everyFrames: 1 });
  expect(turned.line).toMatchObject({ isInverted: true });
  expect(turned.telegrams!.status.length).toBeGreaterThan(30);
  expect(turned.findings[0]!.sentence).toContain('captured upside down');
});

test('a line that is held says so, and claims no travel', () => {
  const { line, findings } = captured(undefined, machineOf('larch-rail', 'D'));
  expect(line.found).toBe('held');
  expect(findings.map(({ kind }) => kind)).toEqual(['line-held', 'looked']);
  expect(findings[0]!.sentence).toMatch(/stands at \d+ mV: nothing toggles/u);
});

test('a digital part in a circuit for voltages sends all the same', () => {
  expect(captured(undefined, machineOf('tolland-95', 'A')).telegrams!.status.length).toBeGreaterThan(30);
});

test('a capture that is too slow says what would do, and one of changes alone is exact', () => {
  const { recording, uses } = captureTelegrams(rail, STATE, 3);
  const { profile } = rail.machine.sensor;
  const every = 16;
  const thin = (values: Float64Array) => values.filter((_, i) => i % every === 0);
  const slow = {
    seconds: thin(recording.seconds),
    channels: recording.channels.map((one) => ({ ...one, values: thin(one.values) })),
  };
  const told = inWords(analyseSweep(slow, { profile, uses }))[0]!;
  expect(told.kind).toBe('telegrams-unread');
  expect(told.sentence).toMatch(
    /too fast for a sample each 8\.00 µs\. Two samples a tick are needed: 700,000 a second/u,
  );
  // Only what changes, with its moment.
  const line = lineEdges(recording.seconds, recording.channels[0]!.values);
  if (line.found !== 'edges') throw new Error('There are edges in it.');
  const seconds = [...line.falling].flatMap((at) => [at, at + 15e-6]);
  const changes = {
    seconds: Float64Array.from(seconds),
    channels: [{ name: 'D0', unit: '', values: Float64Array.from(seconds, (_, i) => (i % 2 === 0 ? 0 : 1)) }],
  };
  const exact = inWords(analyseSweep(changes, { profile, uses }));
  // Its levels are names, and too low for no receiver.
  expect(exact.map(({ kind }) => kind)).not.toContain('telegrams-lost');
  expect(exact[0]!.sentence).toMatch(/Telegrams arrive on “D0”/u);
});

test('a steady frequency is told with its duty, and a slow recording is asked nothing', () => {
  const { profile } = rail.machine.sensor;
  const at = (rate: number, hertz: number, duty: number, samples = 20_000) => ({
    seconds: Float64Array.from({ length: samples }, (_, i) => i / rate),
    channels: [
      {
        name: 'PWM',
        unit: 'V',
        values: Float64Array.from({ length: samples }, (_, i) =>
          (i * hertz) % rate < duty * rate ? 4.8 : 0.1,
        ),
      },
    ],
  });
  const [told] = inWords(analyseSweep(at(200_000, 500, 0.3), { profile, uses: ['signal'] }));
  expect(told!.sentence).toMatch(/steady 500\.0 Hz between 100 mV and 4\.80 V, up for 30\.0 % of the time/u);
  // By a profile of its own a frequency is a value, and so is a duty; past the range it is told.
  const read = (hertz: number, duty: number, of: 28 | 29) =>
    inWords(
      analyseSweep(at(50_000, hertz, duty), { profile: PRESSURE_SENSORS[of].profile, uses: ['signal'] }),
    );
  expect(read(107, 0.5, 28).map(({ kind }) => kind)).toEqual(['pulses', 'pulse-value', 'looked']);
  expect(read(107, 0.5, 28)[1]!.sentence).toBe(
    'By the frequency of this sensor in the library that is 60.0 kPa abs.',
  );
  expect(read(100, 0.5, 29)[1]!.sentence).toMatch(/^By the duty .* that is 1500\.0 kPa gauge\.$/u);
  expect(read(100, 0.97, 29)[1]!.sentence).toMatch(
    /would be 3262\.5 kPa gauge, and its range is 0\.0 kPa to/u,
  );
  const slowly = analyseSweep(at(200, 3, 0.5, 2000), {
    profile: PRESSURE_SENSORS[29].profile,
    uses: ['signal'],
  });
  expect(slowly[0]!.sentence.code).toBe('sweep.average-of-pulses');
  // A contact that opens now and then in a fast capture is no line that toggles: its dropouts are looked for.
  const seconds = Float64Array.from({ length: 60_000 }, (_, i) => i / 30_000);
  const loose = Float64Array.from(seconds, (_, i) => ((i * i) % 911 < 90 && i % 1200 < 70 ? 0.02 : 2.5));
  const found = analyseSweep(
    { seconds, channels: [{ name: 'Signal', unit: 'V', values: loose }] },
    { profile, uses: ['signal'] },
  ).map(({ kind }) => kind);
  expect(found).toContain('dropout');
  expect(found).not.toContain('telegrams-unread');
  // A voltage that stands beside others is looked at as a voltage.
  const still = (value: number) => new Float64Array(seconds.length).fill(value);
  const two = analyseSweep(
    {
      seconds,
      channels: [
        { name: 'Signal', unit: 'V', values: still(2.5) },
        { name: 'Reference', unit: 'V', values: still(4.2) },
      ],
    },
    { profile, uses: ['signal', 'reference'] },
  ).map(({ kind }) => kind);
  expect(two).toContain('reference');
  const kinds = analyseSweep(at(200, 3, 0.5, 2000), { profile, uses: ['signal'] }).map(({ kind }) => kind);
  expect(kinds.some((kind) => kind.startsWith('telegrams') || kind === 'line-held')).toBe(false);
});

test('of a sensor that sends telegrams a slow recording is an average and no value, and a capture is of its line', () => {
  const { profile } = PRESSURE_SENSORS[27];
  const slow = {
    seconds: Float64Array.from({ length: 400 }, (_, i) => i / 100),
    channels: [
      {
        name: 'Signal',
        unit: 'V',
        values: Float64Array.from({ length: 400 }, (_, i) => (i < 200 ? 2.7 : 0.9)),
      },
    ],
  };
  const uses = ['signal'] as const;
  const told = analyseSweep(slow, { profile, uses });
  expect(told[0]!.sentence.code).toBe('sweep.average-of-telegrams');
  expect(told.some(({ weight }) => weight === 'fault')).toBe(false);
  // For one that gives a voltage all of it would have been looked through.
  expect(hangsOnSensor(told, profile, rail.machine.sensor.profile)).toBe(true);
  const { recording } = captureTelegrams(rail, STATE, 3);
  const wider = { ...profile, highest: 250_000 };
  const asVoltage = analyseSweep(recording, { profile: rail.machine.sensor.profile, uses });
  // The value was told by the range of the part that it was said to be.
  expect(hangsOnSensor(asVoltage, rail.machine.sensor.profile, profile)).toBe(false);
  expect(hangsOnSensor(asVoltage, rail.machine.sensor.profile, wider)).toBe(true);
  const asSent = analyseSweep(recording, { profile, uses });
  expect(asSent.map(({ sentence }) => sentence.code)).toContain('sweep.telegram-value-by-profile');
  expect(hangsOnSensor(asSent, profile, wider)).toBe(true);
});

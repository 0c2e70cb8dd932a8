import { expect, test } from 'vitest';
import { exampleCase, EXAMPLE_PROFILE } from '../checks/exampleCase.ts';
import { expectationContext, sensorValue, siblingsThatFit, type CaseFile } from '../checks/index.ts';
import { expectedReading } from '../expectation/index.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import type { SensorProfile } from '../../measure/transfer/index.ts';
import type { Evidence } from '../../record/evidence/index.ts';
import { goodSupply, IDLE, KOEO, PLUG_OFF, wire, WIRES } from './exampleWeighing.ts';
import { judge, weigherFor } from './index.ts';

const profile: SensorProfile = {
  ...EXAMPLE_PROFILE,
  measures: 'gauge-pressure',
  transfer: { form: 'telegrams', low: { step: 193, value: 0 }, high: { step: 3896, value: 180_000 } },
  lowest: 0,
  highest: 180_000,
  tolerance: { form: 'of-span', percent: 2 },
  differenceThatMatters: 6000,
  bias: 'pull-up',
};
let count = 0;
const scan = (value: number, state = KOEO): Evidence => ({
  kind: 'scan',
  id: `scan ${++count}`,
  measures: 'gauge-pressure',
  value,
  state,
});
const capture = (kind: 'telegrams' | 'pulses' | 'garbled' | 'line-held'): CaseFile['sweeps'][number] => ({
  name: 'Fast',
  uses: ['signal'],
  findings: [
    {
      kind,
      weight: 'note',
      sentence: { code: 'sweep.the-signal' },
      channel: 0,
      fromSeconds: 0,
      untilSeconds: 0.03,
    },
  ],
});
const judged = (readings: Evidence[], sweeps: CaseFile['sweeps'] = [], more: Partial<CaseFile> = {}) => {
  const caseFile = exampleCase(readings, {
    family: 'fuel-rail-pressure',
    profile,
    sweeps,
    ...more,
  });
  return judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
};
const shareOf = (found: ReturnType<typeof judged>, of: string) =>
  found.classes.find((one) => one.class === of)!.share;

test('telegrams that arrive prove supply, wires up to the plug and the sensor’s electronics', () => {
  const readings = [...goodSupply(), wire('signal', 'plug', 2.8), scan(0), scan(33_000, IDLE)];
  const found = judged(readings, [capture('telegrams')]);
  expect(shareOf(found, 'wire') + shareOf(found, 'control-unit')).toBeLessThan(0.05);
  // How far the rail goes at idle nobody has said: whether the sensor is right there is open.
  expect(shareOf(found, 'sensor') + shareOf(found, 'nothing')).toBeGreaterThan(0.95);
});

test('a constant in live data and a line that stands at nothing: the line is held, whatever the sensor says', () => {
  const readings = [
    ...goodSupply(),
    wire('signal', 'plug', 0.01),
    wire('signal', 'plug', 0.01, PLUG_OFF),
    scan(60_000),
    scan(60_000, IDLE),
  ];
  const found = judged(readings, [capture('line-held')]);
  expect(found.ranked[0]!.decision.id).toMatch(/^wire-to-ground signal/u);
});

test('an average is an average: no voltage between what senders do accuses the sensor', () => {
  const shares = [2, 2.8, 3.6, 4.2].map((volts) =>
    shareOf(judged([...goodSupply(), wire('signal', 'plug', volts), scan(0), scan(33_000, IDLE)]), 'sensor'),
  );
  expect(Math.max(...shares) - Math.min(...shares)).toBeLessThan(0.03);
});

test('live data tells of the sensor what volts cannot: a value that is off is its own', () => {
  const off = judged([...goodSupply(), wire('signal', 'plug', 2.8), scan(24_000)], [capture('telegrams')]);
  expect(shareOf(off, 'sensor')).toBeGreaterThan(0.5);
});

test('a code of either side says that telegrams are missed, and none says so of a line that is read', () => {
  const readings = [...goodSupply(), wire('signal', 'plug', 2.8)];
  const wires = (codes: readonly string[]) => {
    const found = judged(readings, [capture('telegrams')], { codes });
    return shareOf(found, 'wire') + shareOf(found, 'control-unit');
  };
  const [none, low, high] = [wires([]), wires(['P0192']), wires(['P0193'])];
  // What was captured at the plug need not arrive.
  expect(low).toBeGreaterThan(1.5 * none);
  expect(high).toBeCloseTo(low, 9);
});

test('no part is called a digital one where a digital one belongs', () => {
  const found = judged([...goodSupply(), wire('signal', 'plug', 2.8)], [capture('telegrams')]);
  expect(found.weighed.hypotheses.some(({ kind }) => kind?.id === 'digital-part')).toBe(false);
});

test('what a meter is to show at the plug is the average of the line, and no value is made of it', () => {
  const caseFile = exampleCase([...goodSupply(), wire('signal', 'plug', 2.8)], {
    family: 'fuel-rail-pressure',
    profile,
  });
  const target = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
  const expected = expectedReading(target, KOEO, expectationContext(caseFile))!;
  expect(expected.lowest).toBeLessThan(2);
  expect(expected.highest).toBeGreaterThan(4.2);
  expect(expected.highest).toBeLessThan(4.8);
  expect(sensorValue(caseFile, KOEO)).toMatchObject({ ok: false, problem: { code: 'value-is-sent' } });
});

test('an air temperature in the same body is a voltage as ever, and a position that is sent comes from no track', () => {
  const wires = [...WIRES, 'second-signal'] as const;
  const companion = {
    kind: 'temperature',
    thermistor: { law: 'beta', ohmsAt25Celsius: 2040, betaKelvin: 3400 },
    pullUpOhms: 2200,
  } as const;
  const at = (volts: number) => {
    const readings = [...goodSupply(), wire('signal', 'plug', 2.8), wire('second-signal', 'plug', volts)];
    const caseFile = exampleCase(readings, { profile, companion, family: 'fuel-rail-pressure' });
    const { ranked, posterior } = judge(weigherFor(caseFile, wires), caseFile, wires);
    expect([...posterior.shares].every(Number.isFinite)).toBe(true);
    return ranked.find(({ decision }) => decision.id === 'sensor')!.share;
  };
  // 2.4 V is some 25 °C; 4.9 V is a thermistor that is open, or its wire.
  expect(at(4.95)).not.toBeCloseTo(at(2.4), 2);
  const position: SensorProfile = {
    ...profile,
    measures: 'position',
    transfer: { form: 'telegrams', low: { step: 193, value: 0 }, high: { step: 3896, value: 100 } },
    highest: 100,
    differenceThatMatters: 5,
  };
  expect(wiringFor({ profile: position, wires: WIRES }).sensor).toMatchObject({
    kind: 'stage',
    sends: 'telegrams',
  });
});

test('what arrives in another way than the part should send is another part, and the library names those that do', () => {
  const readings = [...goodSupply(), wire('signal', 'plug', 2.8)];
  const other = judged(readings, [capture('pulses')]);
  expect(other.ranked[0]!.decision.id).toBe('wrong-part');
  const sends = { name: 'Fits', family: 'fuel-rail-pressure', companion: undefined } as const;
  const pulses: SensorProfile = { ...profile, transfer: FREQUENCY };
  const caseFile = exampleCase(readings, {
    family: 'fuel-rail-pressure',
    profile,
    sweeps: [capture('pulses')],
  });
  const library = [
    { ...sends, profile: pulses },
    { ...sends, profile },
  ];
  expect(siblingsThatFit(caseFile, library)).toMatchObject([{ sentence: { values: { more: 0 } } }]);
  expect(siblingsThatFit({ ...caseFile, profile: pulses }, library)).toEqual([]);
});

test('what goes to and fro and cannot be read is the part’s, and no wire’s', () => {
  const found = judged([...goodSupply(), wire('signal', 'plug', 2.8)], [capture('garbled')]);
  expect(shareOf(found, 'wire') + shareOf(found, 'control-unit')).toBeLessThan(0.2);
  expect(shareOf(found, 'sensor') + shareOf(found, 'wrong-part')).toBeGreaterThan(0.6);
});

const FREQUENCY = {
  form: 'frequency',
  points: [
    { hertz: 80, value: 0 },
    { hertz: 120, value: 90_000 },
    { hertz: 160, value: 180_000 },
  ],
} as const;
const DUTY = {
  form: 'duty',
  points: [
    { upPercent: 90, value: 0 },
    { upPercent: 10, value: 180_000 },
  ],
} as const;

test.each([FREQUENCY, DUTY])(
  'a sensor that sends its value as a $form is weighed by what arrives',
  (transfer) => {
    const sent = { profile: { ...profile, transfer } };
    // An average tells of no value, wherever it stands between the ends.
    const [low, high] = [0.6, 4.3].map((volts) =>
      shareOf(judged([...goodSupply(), wire('signal', 'plug', volts), scan(0)], [], sent), 'sensor'),
    );
    expect(Math.abs(low! - high!)).toBeLessThan(0.05);
    const readings = [...goodSupply(), wire('signal', 'plug', 2.5), scan(0), scan(33_000, IDLE)];
    const arrives = judged(readings, [capture('pulses')], sent);
    expect(shareOf(arrives, 'wire') + shareOf(arrives, 'control-unit')).toBeLessThan(0.05);
    const held = [wire('signal', 'plug', 0.01), wire('signal', 'plug', 0.01, PLUG_OFF), scan(60_000)];
    const found = judged([...goodSupply(), ...held], [capture('line-held')], sent);
    expect(found.ranked[0]!.decision.id).toMatch(/^wire-to-ground signal/u);
    const caseFile = exampleCase([...goodSupply(), wire('signal', 'plug', 2.5)], sent);
    expect(sensorValue(caseFile, KOEO)).toMatchObject({ ok: false, problem: { code: 'value-is-sent' } });
  },
);

test('a capture of the line is asked for once, with what each outcome would mean', () => {
  const readings = [...goodSupply(), wire('signal', 'plug', 2.8), scan(60_000)];
  const asked = (sweeps: CaseFile['sweeps']) =>
    judged(readings, sweeps).suggestions.filter(({ candidate }) => candidate.target.kind === 'capture');
  const [first, ...more] = asked([]);
  expect(more).toEqual([]);
  expect(first!.bits).toBeGreaterThan(0.02);
  const all = [...first!.foresight.joint].reduce((sum, row) => sum + row.reduce((a, b) => a + b, 0), 0);
  expect(all).toBeCloseTo(1, 6);
  expect(asked([capture('line-held')])).toEqual([]);
});

import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { Lane } from '../../machine/places/index.ts';
import { fitOfReading, supplyIsGood, type CaseFile } from '../checks/index.ts';
import { exampleCase, EXAMPLE_PROFILE, FLOW_PROFILE } from '../checks/exampleCase.ts';
import { IDLE, looked, PLUG_OFF, wire } from './exampleWeighing.ts';
import { candidatesFor, judge, weigherFor } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

// A meter in one body with its air temperature; 4.7 kΩ pulls that up, 2.4 kΩ at 20 °C hold it at 1.7 V.
const WIRES = ['signal', 'return', 'battery-feed', 'second-signal'] as const satisfies Lane[];
const meter: Partial<CaseFile> = {
  family: 'air-flow',
  displacementLitres: 3,
  profile: FLOW_PROFILE,
  ambient: { pressureKpaAbs: 100, expandedUncertaintyKpa: 0.3, source: 'barometer', airCelsius: 20 },
  companion: {
    kind: 'temperature',
    thermistor: { law: 'beta', ohmsAt25Celsius: 2000, betaKelvin: 3500 },
    pullUpOhms: 4700,
  },
};
const KEY_OFF = { engine: 'key-off', plug: 'unplugged' } as const;

const judged = (
  readings: readonly AnyEvidence[],
  over: Partial<CaseFile> = {},
  wires: readonly Lane[] = WIRES,
) => {
  const plain = readings.filter(({ kind }) => kind === 'wire') as CaseFile['readings'][number][];
  const isolation = readings.filter(({ kind }) => kind !== 'wire');
  const caseFile = exampleCase(plain, { ...meter, isolation, ...over });
  const found = judge(weigherFor(caseFile, wires), caseFile, wires);
  const shareOf = (...starts: string[]) =>
    found.ranked
      .filter(({ decision }) => starts.some((start) => decision.id.startsWith(start)))
      .reduce((sum, { share }) => sum + share, 0);
  const missing = found.gate.filter(({ state }) => state !== 'proven').map(({ label }) => coded(label));
  return { ...found, shareOf, missing };
};
const volts = (flow: number) => Math.sqrt(0.9 + 0.95 * flow ** 0.52);
const ohms = (lane: Lane, to: Lane, value: number | null): AnyEvidence => ({
  kind: 'ohms',
  id: `${lane} ${to}`,
  from: { lane, place: 'pin' },
  to: { lane: to, place: 'pin' },
  ohms: value,
  state: KEY_OFF,
});

test('the return of a hot element carries its current: it may stand twice as high as that of a pressure sensor', () => {
  const good = (profile: typeof FLOW_PROFILE, millivolts: number) =>
    supplyIsGood('return', wire('return', 'plug', millivolts / 1000), exampleCase([], { profile }));
  expect([48, 86, 98, 130].map((height) => good(FLOW_PROFILE, height))).toEqual([true, true, true, false]);
  expect([48, 86].map((height) => good(EXAMPLE_PROFILE, height))).toEqual([true, false]);
});

test.each([
  ['as the rule of thumb says', 3.6],
  ['twice the rule of thumb', 6.4],
])(
  'a sound meter whose element takes more than usual, on an engine that draws %s, accuses nobody',
  (_, flow) => {
    const raised = 0.078;
    const { ranked, shareOf } = judged(
      [
        wire('signal', 'plug', volts(0) + raised),
        wire('signal', 'unit', volts(0) + raised),
        wire('return', 'plug', raised),
        wire('signal', 'plug', volts(flow) + raised, IDLE),
        wire('battery-feed', 'plug', 12.5),
        wire('second-signal', 'plug', 1.74),
        wire('second-signal', 'unit', 1.74),
        wire('signal', 'plug', 0.002, PLUG_OFF),
      ],
      { observations: [looked('duct', true), looked('element', true)] },
    );
    expect(ranked[0]!.decision.id).toBe('nothing');
    expect(shareOf('nothing')).toBeGreaterThan(3 * shareOf('sensor'));
  },
);

test('a flow beside the rule of thumb is called that, and what no engine of that size draws is off', () => {
  const at = (flow: number) =>
    fitOfReading(wire('signal', 'plug', volts(flow), IDLE), exampleCase([], { ...meter })).fit;
  expect([1, 2.2, 3.6, 6.4, 14, 40].map(at)).toEqual([
    'below',
    'beside-the-rule',
    'as-expected',
    'beside-the-rule',
    'beside-the-rule',
    'above',
  ]);
});

test('what a meter shows without air is what its curve says there, and not a little more', () => {
  const nothing = (...readings: AnyEvidence[]) => judged(readings).shareOf('nothing');
  const atRest = nothing(wire('signal', 'plug', volts(0) + 0.04));
  expect(atRest).toBeGreaterThan(nothing(wire('battery-feed', 'plug', 12.5)));
  expect(atRest).toBeGreaterThan(3 * nothing(wire('signal', 'plug', volts(2))));
});

const sound = [
  wire('signal', 'plug', volts(0) + 0.04),
  wire('signal', 'plug', volts(3.6) + 0.04, IDLE),
  wire('return', 'plug', 0.04),
  wire('battery-feed', 'plug', 12.5),
];

test('what a wire of the air temperature loses is not passed over: nothing is named before it was read twice', () => {
  const lost = [wire('second-signal', 'plug', 1.74), wire('second-signal', 'unit', 2.5)];
  const { verdict, missing, ranked } = judged([...sound, ...lost]);
  expect(verdict).toBe('open');
  if (ranked[0]!.decision.id === 'nothing') expect(missing.join()).toContain('gate.read-again');
  const again = judged([
    ...sound,
    ...lost,
    wire('second-signal', 'plug', 1.74),
    wire('second-signal', 'connector', 2.5),
  ]);
  expect(again.ranked[0]!.decision.id).toMatch(/^wire second-signal/u);
});

test('nothing is called wrong-free while nobody saw the air temperature arrive', () => {
  const { gate } = judged([...sound, wire('second-signal', 'plug', 1.74)]);
  expect(gate.map(({ label, state }) => `${coded(label)} ${state}`)).toContain(
    'gate.second-signal-arrives missing',
  );
});

test('an open air temperature is the part’s or the wire’s, and an ohmmeter across its pins tells', () => {
  const open = [...sound, wire('second-signal', 'plug', 4.99), wire('second-signal', 'unit', 4.99)];
  const asked = candidatesFor({ family: 'air-flow', ...meter, profile: FLOW_PROFILE }, WIRES);
  expect(asked).toContainEqual({
    target: {
      kind: 'ohms',
      from: { lane: 'second-signal', place: 'pin' },
      to: { lane: 'return', place: 'pin' },
    },
    state: KEY_OFF,
  });
  expect(
    judged([...open, ohms('second-signal', 'return', 2300)]).shareOf('wire second-signal'),
  ).toBeGreaterThan(0.9);
  expect(judged([...open, ohms('second-signal', 'return', null)]).shareOf('sensor')).toBeGreaterThan(0.5);
});

test('a signal that rests low is held down, or the sensor holds it there: ohms to ground tell', () => {
  const low = [...sound.slice(2), wire('signal', 'plug', 0.03), wire('signal', 'plug', 0.002, PLUG_OFF)];
  const toGround = (value: number): AnyEvidence => ({
    kind: 'ohms',
    id: 'to ground',
    from: { lane: 'signal', place: 'plug' },
    to: 'battery-negative',
    ohms: value,
    state: KEY_OFF,
  });
  expect(judged([...low, toGround(1.2)]).shareOf('wire-to-ground signal')).toBeGreaterThan(0.9);
  expect(judged([...low, toGround(330_000)]).shareOf('wire-to-ground signal')).toBeLessThan(0.05);
});

test('air seen past the meter is named a little sooner than a part is condemned, and not unseen', () => {
  const low = [wire('signal', 'plug', volts(0) + 0.04), wire('signal', 'plug', volts(1.5) + 0.04, IDLE)];
  const needed = (holds: boolean) => judged(low, { observations: [looked('duct', holds)] }).shareToName;
  expect(needed(false)).toBeLessThan(needed(true));
});

test('what the engine has to draw tells a meter that reads low from an engine that draws little', () => {
  const engineFlow = (revsPerMinute: number): AnyEvidence => ({
    kind: 'engine-flow',
    id: `engine ${revsPerMinute}`,
    displacementLitres: 3,
    revsPerMinute,
    manifoldKpaAbs: 35,
    airCelsius: 20,
    fillingPercent: 75,
    state: IDLE,
  });
  // 0.75 · 3 · 700/120 · 35 / (0.28705 · 293.15) = 5.46 g/s, twice of what the meter tells
  const low = [
    ...sound.slice(2),
    wire('signal', 'plug', volts(0) + 0.04),
    wire('signal', 'plug', volts(2.6) + 0.04, IDLE),
  ];
  const over = { observations: [looked('duct', true)] };
  const off = (readings: readonly AnyEvidence[]) => judged(readings, over).shareOf('sensor', 'unmetered-air');
  expect(off([...low, engineFlow(700)])).toBeGreaterThan(1.5 * off(low));
  expect(off([...low, engineFlow(350)])).toBeLessThan(off(low));
});

test('a return that the unit has let go floats where its maker’s parts leave it: read at its terminal, the unit is named', () => {
  // 12.7 V in, and nothing to ground but what the input pulls down, some volts below: as high at the plug as at the unit.
  const { ranked, shareOf } = judged(
    [
      wire('signal', 'plug', 6.49),
      wire('return', 'plug', 8.816),
      wire('battery-feed', 'plug', 12.71),
      wire('return', 'unit', 8.816),
      wire('return', 'connector', 8.816),
      {
        kind: 'between',
        id: 'along the return',
        from: { lane: 'return', place: 'plug' },
        to: { lane: 'return', place: 'unit' },
        volts: 0.0002,
        state: { engine: 'koeo', plug: 'connected' },
      },
      wire('signal', 'unit', 6.484),
      wire('signal', 'connector', 6.487),
      wire('signal', 'plug', 6.569, IDLE),
    ],
    { companion: undefined },
    ['signal', 'return', 'battery-feed'],
  );
  expect(ranked[0]!.decision.id).toBe('unit-pin-open return');
  expect(shareOf('wire return')).toBeLessThan(0.1);
});

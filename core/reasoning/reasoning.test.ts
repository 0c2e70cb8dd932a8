import fc from 'fast-check';
import { expect, test } from 'vitest';
import { LANES, PLACES, type Evidence, type MachineState } from '../evidence/index.ts';
import { FAMILY_IDS } from '../family/index.ts';
import { toKpa } from '../quantity/index.ts';
import { EXAMPLE_PROFILE, exampleCase as caseOf } from './exampleCase.ts';
import { CAUSE_IDS, CHECK_IDS, checkOf, laneSegments, priorsFor, weigh } from './index.ts';
import { LIKELIHOOD, likelihood } from './likelihoodTable.ts';
import { expectedInformation } from './nextReading.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const off: MachineState = { engine: 'koeo', plug: 'unplugged' };

let count = 0;
const wire = (
  lane: (typeof LANES)[number],
  place: (typeof PLACES)[number],
  volts: number,
  state = koeo,
): Evidence => ({
  kind: 'wire',
  id: `r${++count}`,
  lane,
  place,
  volts,
  state,
});
const vacuum = (inHg: number, tap: 'manifold' | 'sensor-hose'): Evidence => ({
  kind: 'gauge',
  id: `r${++count}`,
  tap,
  pressureKpa: toKpa(inHg, 'inHg'),
  basis: 'vacuum',
  state: idle,
});
const leaderOf = (readings: Evidence[]) => weigh(caseOf(readings)).causes[0];

// Volts for a pressure, by hand: 5 · (0.0078·P + 0.02).
const volts = (kpaAbs: number) => 5 * (0.0078 * kpaAbs + 0.02);
const goodSupply = () => [wire('reference', 'plug', 4.99), wire('return', 'plug', 0.01)];

test('every row of the table is a distribution over the answers of its check, and none is zero', () => {
  for (const check of CHECK_IDS) {
    const outcomes = Object.keys(checkOf(check).outcomes);
    const { otherwise, given } = LIKELIHOOD[check];
    for (const row of [otherwise, ...Object.values<Record<string, number>>(given)]) {
      expect(Object.keys(row).sort()).toEqual([...outcomes].sort());
      expect(Object.values(row).reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
      expect(Math.min(...Object.values(row))).toBeGreaterThan(0);
    }
    for (const cause of CAUSE_IDS) expect(likelihood(check, outcomes, cause)).toBeCloseTo(1, 9);
  }
});

test.each(FAMILY_IDS)('the starting weights of %s sum to one', (family) => {
  expect([...priorsFor(family).values()].reduce((sum, prior) => sum + prior, 0)).toBeCloseTo(1, 9);
});

test('no ranking without evidence, but a first reading to take', () => {
  const weighing = weigh(caseOf([]));
  expect(weighing.causes).toEqual([]);
  expect(weighing.verdict.decided).toBe(false);
  expect(weighing.next?.answers.length).toBeGreaterThan(1);
});

test('no reference at the plug but 5 V at the unit is the reference wire (common practice)', () => {
  const readings = [wire('reference', 'plug', 0.02), wire('reference', 'unit', 4.99)];
  expect(weigh(caseOf(readings)).verdict).toMatchObject({ decided: true, cause: 'reference-open' });
  expect(laneSegments(caseOf(readings), 'reference').map(({ state }) => state)).toEqual([
    'suspect',
    'suspect',
  ]);
  readings.push(wire('reference', 'connector', 4.98));
  expect(laneSegments(caseOf(readings), 'reference').map(({ state }) => state)).toEqual(['proven', 'faulty']);
});

test('a shift that the raised return explains points at the return, and the sensor is honest', () => {
  const returnVolts = 1;
  const signal = returnVolts + (4.99 - returnVolts) * (0.0078 * 40 + 0.02);
  const readings = [
    wire('reference', 'plug', 4.99, idle),
    wire('return', 'plug', returnVolts, idle),
    wire('signal', 'plug', signal, idle),
    vacuum(fromKpaToInHg(60), 'sensor-hose'),
  ];
  const weighing = weigh(caseOf(readings));
  expect(weighing.causes[0]?.cause).toBe('return-resistance');
  expect(weighing.findings.find(({ check }) => check === 'sensor-vs-gauge-hose')?.outcomes).toEqual([
    'disagree-by-return',
  ]);
});

test('a shifted sensor is only condemned once reference and return are proven at its plug', () => {
  const shifted = [wire('signal', 'plug', volts(80)), wire('signal', 'plug', volts(20), idle)];
  const early = weigh(caseOf(shifted));
  expect(early.verdict.decided).toBe(false);
  const proven = weigh(caseOf([...shifted, ...goodSupply(), vacuum(17.7, 'sensor-hose')]));
  expect(proven.verdict).toMatchObject({ decided: true, class: 'sensor' });
});

test('gauge and sensor agree on low vacuum: the engine, not the sensor (common practice)', () => {
  const readings = [
    ...goodSupply(),
    wire('signal', 'plug', volts(100)),
    wire('signal', 'plug', volts(56), idle),
    vacuum(13, 'manifold'),
  ];
  expect(weigh(caseOf(readings)).verdict).toMatchObject({
    decided: true,
    cause: 'engine-vacuum',
    class: 'physical',
  });
});

test('a gauge on the manifold that disagrees while the one in the hose agrees is the hose', () => {
  const readings = [
    ...goodSupply(),
    wire('signal', 'plug', volts(100)),
    wire('signal', 'plug', volts(97), idle),
    vacuum(20, 'manifold'),
    vacuum(1, 'sensor-hose'),
  ];
  expect(leaderOf(readings)?.cause).toBe('hose');
});

test('reference low when loaded and back with the plug off: the sensor pulls it down', () => {
  const readings = [
    wire('reference', 'plug', 1.2),
    wire('reference', 'plug', 4.99, off),
    wire('return', 'plug', 0.01),
    wire('reference', 'unit', 1.3),
  ];
  expect(weigh(caseOf(readings)).verdict).toMatchObject({ decided: true, cause: 'sensor-loads-reference' });
});

test('where the input is pulled up, 5 V with the plug off is both the bias and a short: it settles nothing', () => {
  const pulledUp = { profile: { ...EXAMPLE_PROFILE, bias: 'pull-up' as const } };
  const readings = [wire('signal', 'plug', 4.98), wire('signal', 'plug', 4.98, off), ...goodSupply()];
  const weighing = weigh(caseOf(readings, pulledUp));
  expect(weighing.findings.find(({ check }) => check === 'signal-unplugged')?.outcomes).toHaveLength(2);
  expect(weighing.verdict.decided).toBe(false);
});

test('one slipped probe does not condemn by itself', () => {
  const readings = [...goodSupply(), wire('signal', 'plug', volts(100)), wire('signal', 'unit', 0)];
  expect(weigh(caseOf(readings)).causes[0]?.share).toBeLessThan(0.97);
});

test('a return read with the plug off is remarked on, and proves nothing', () => {
  const weighing = weigh(caseOf([wire('return', 'plug', 0, off)]));
  expect(weighing.findings).toEqual([]);
  expect(weighing.remarks[0]?.sentence).toContain('plug off');
});

test('coarse instruments: “cannot tell” is a remark that names the limit, never evidence', () => {
  const accuracy = { kind: 'gauge', classPercent: 10, spanKpa: 100, divisionKpa: 5 } as const;
  const coarse = { gauge: { name: 'old gauge', accuracy } };
  const readings = [...goodSupply(), wire('signal', 'plug', volts(40), idle), vacuum(18, 'sensor-hose')];
  const weighing = weigh(caseOf(readings, coarse));
  expect(weighing.findings.map(({ check }) => check)).not.toContain('sensor-vs-gauge-hose');
  expect(weighing.remarks.map(({ sentence }) => sentence).join()).toContain('class of old gauge');
});

test('every cause’s gate refers to checks that can give its answers', () => {
  const anything = weigh(caseOf(goodSupply()));
  expect(anything.causes).toHaveLength(priorsFor('manifold-pressure').size);
  for (const check of CHECK_IDS) {
    expect(expectedInformation(check, priorsFor('manifold-pressure'))).toBeGreaterThan(0);
  }
});

test('whatever is read, the shares stay between 0 and 1 and sum to one', () => {
  const reading = fc.record({
    lane: fc.constantFrom(...LANES),
    place: fc.constantFrom(...PLACES),
    volts: fc.double({ min: -30, max: 60, noNaN: true }),
    state: fc.constantFrom(koeo, idle, off),
  });
  fc.assert(
    fc.property(fc.array(reading, { maxLength: 12 }), (rows) => {
      const { causes } = weigh(caseOf(rows.map((row) => wire(row.lane, row.place, row.volts, row.state))));
      const total = causes.reduce((sum, { share }) => sum + share, 0);
      return (
        causes.length === 0 ||
        (Math.abs(total - 1) < 1e-9 && causes.every(({ share }) => share >= 0 && share <= 1))
      );
    }),
  );
});

function fromKpaToInHg(kpa: number): number {
  return kpa / toKpa(1, 'inHg');
}

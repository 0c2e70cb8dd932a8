import { expect, test } from 'vitest';
import type { Evidence, MachineState } from '../evidence/index.ts';
import { MPX4115A } from '../transfer/index.ts';
import { COMMON_METER, COMMON_VACUUM_GAUGE } from '../uncertainty/index.ts';
import { DECIDING_SHARE, weigh, type CaseFile } from './index.ts';

const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const idle: MachineState = { engine: 'idle', plug: 'connected' };
const wire = (
  lane: 'reference' | 'signal' | 'return',
  volts: number,
  state = koeo,
  place: 'unit' | 'plug' = 'plug',
): Evidence => ({ kind: 'wire', id: `${lane} ${place} ${state.engine} ${volts}`, lane, place, volts, state });
const weighed = (...readings: Evidence[]) => {
  const caseFile: CaseFile = {
    family: 'manifold-pressure',
    profile: MPX4115A,
    ambient: { pressureKpaAbs: 100, expandedUncertaintyKpa: 0.3, source: 'barometer' },
    readings,
    isolation: [],
    sweeps: [],
    meter: COMMON_METER,
    gauge: COMMON_VACUUM_GAUGE,
    pressureUnit: 'kPa',
  };
  return weigh(caseFile);
};
/** 5 · (0.009·P − 0.095) volts. */
const volts = (kpaAbs: number) => 5 * (0.009 * kpaAbs - 0.095);
const shifted = [wire('signal', volts(75)), wire('signal', volts(20), idle)];

test('an undecided verdict names the leader and what is still to show for it', () => {
  const { verdict } = weighed(...shifted, wire('reference', 5));
  expect(verdict.decided).toBe(false);
  expect(verdict.sentence).toContain(
    '“Sensor reads shifted” leads; still to show: return proven at the plug, loaded',
  );
});

test('a requirement that the readings contradict is said to be contradicted, not missing', () => {
  // The engine’s vacuum is low and sensor and gauge agree on it, but with the engine stopped the sensor is 9 kPa out.
  const lowVacuum: Evidence = {
    kind: 'gauge',
    id: 'gauge',
    tap: 'manifold',
    pressureKpa: 42,
    basis: 'vacuum',
    state: idle,
  };
  const { verdict, gate, causes } = weighed(
    wire('signal', volts(91)),
    wire('signal', volts(58), idle),
    wire('return', 0.01),
    lowVacuum,
  );
  expect(causes[0]?.cause).toBe('engine-vacuum');
  expect(gate?.items.map(({ state }) => state)).toEqual(['refuted', 'proven', 'proven']);
  expect(verdict.sentence).toContain('against it: “signal right with the engine stopped” does not hold');
});

test('a decided verdict carries its share, its class and what to do', () => {
  const { verdict, causes, gate } = weighed(
    ...shifted,
    wire('reference', 5),
    wire('return', 0.01),
    wire('signal', volts(75), koeo, 'unit'),
  );
  expect(verdict).toMatchObject({ decided: true, cause: 'sensor-shifted', class: 'sensor' });
  expect(verdict.sentence).toContain('replace the sensor');
  expect(causes[0]?.share).toBeGreaterThanOrEqual(DECIDING_SHARE);
  expect(gate?.met).toBe(true);
});

test('what speaks for a cause speaks against its rivals, strongest first', () => {
  const { causes } = weighed(wire('reference', 0.02), wire('signal', 0.01));
  const [leader] = causes;
  expect(leader?.cause).toBe('reference-open');
  expect(leader?.speaksFor[0]?.sentence).toContain('Reference at the sensor plug is 20 mV: missing.');
  const sensor = causes.find(({ cause }) => cause === 'sensor-shifted');
  expect(sensor?.speaksAgainst.map(({ check }) => check)).toContain('reference-at-plug');
  expect(sensor?.speaksFor).toEqual([]);
});

test('a reading taken twice counts once, and the newer one counts', () => {
  const once = weighed(wire('reference', 5), wire('reference', 0.02));
  const twice = weighed(wire('reference', 0.02), { ...wire('reference', 0.02), id: 'again' });
  expect(once.causes[0]?.share).toBeCloseTo(twice.causes[0]?.share ?? NaN, 12);
});

test('no share is ever certain, however many readings agree', () => {
  const { causes } = weighed(
    wire('reference', 5),
    wire('return', 0.01),
    wire('signal', volts(100)),
    wire('signal', volts(35), idle),
    wire('signal', volts(100), koeo, 'unit'),
  );
  expect(causes[0]?.share).toBeLessThan(0.999);
});

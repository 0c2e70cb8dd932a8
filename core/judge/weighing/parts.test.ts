import { expect, test } from 'vitest';
import { FAMILY_IDS } from '../../machine/family/index.ts';
import { allSites, FAULT_KINDS } from '../../machine/fault/index.ts';
import { EXAMPLE_PROFILE, exampleCase } from '../checks/exampleCase.ts';
import { wiringFor } from '../../machine/wiring/index.ts';
import { Answers } from './prediction/circuitAnswers.ts';
import { between } from './prediction/rows.ts';
import { NOTHING, usualPriors } from '../priors/index.ts';
import { hypothesesFor, quantityGrid } from './index.ts';
import {
  gaugeLikelihood,
  MISTAKEN_SHARE,
  scanLikelihood,
  mistakenVolts,
  voltsLikelihood,
} from './likelihood/readingLikelihood.ts';
import { ohmsLikelihood } from './likelihood/ohmsLikelihood.ts';

const WIRES = ['reference', 'signal', 'return'] as const;
const sensor = { family: 'manifold-pressure', profile: EXAMPLE_PROFILE, wires: WIRES } as const;
const subject = { family: sensor.family, wiring: wiringFor(sensor) };
const koeo = { engine: 'koeo', plug: 'connected' } as const;
const idle = { engine: 'idle', plug: 'connected' } as const;

test('every fault of the catalogue is a hypothesis at each of its sites, and a kind shares its prior among them', () => {
  const all = hypothesesFor(subject);
  const sites = FAULT_KINDS.reduce((sum, kind) => sum + allSites(kind, subject).length, 0);
  const besides = all.filter(({ like, unlisted }) => like !== undefined || unlisted);
  const sound = all.filter(({ class: sort }) => sort === 'nothing');
  expect(sound.map(({ id }) => id)).toEqual(['nothing']);
  expect(all).toHaveLength(sites + sound.length + besides.length);
  expect(besides.map(({ id }) => id)).toEqual([
    'starved:wire-open reference:plug',
    'unlisted:sensor-stuck element',
    'unlisted-circuit',
  ]);
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length);
  expect(all.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1, 12);
  const shareOf = (kind: string) =>
    all.filter(({ id }) => id.startsWith(`${kind} `)).reduce((sum, { prior }) => sum + prior, 0);
  expect(shareOf('wire-open') / shareOf('sensor-stuck')).toBeCloseTo(18 / 6, 9);
});

test('every kind of the catalogue has a prior, and every prior a kind', () => {
  for (const family of FAMILY_IDS)
    expect(Object.keys(usualPriors(family)).sort()).toEqual(
      [NOTHING, ...FAULT_KINDS.map(({ id }) => id)].sort(),
    );
});

test('other priors shift the weight openly', () => {
  const [nothing] = hypothesesFor(subject, {
    ...usualPriors(subject.family),
    'wire-open': 500,
  });
  expect(nothing!.prior).toBeLessThan(hypothesesFor(subject)[0]!.prior / 4);
});

const massBetween = (grid: ReturnType<typeof quantityGrid>, low: number, high: number) =>
  grid.values.reduce((sum, value, i) => (value >= low && value <= high ? sum + grid.weights[i]! : sum), 0);

test('what is usual in a state has most of the weight, and everything that the sensor can show has some', () => {
  const grid = quantityGrid(koeo, exampleCase([]));
  expect(massBetween(grid, -Infinity, Infinity)).toBeCloseTo(1, 12);
  expect(massBetween(grid, 99, 101)).toBeGreaterThan(0.95);
  expect(massBetween(grid, 15, 98)).toBeGreaterThan(0.01);
  // Manifold pressure at idle is a band, not a point.
  const atIdle = quantityGrid(idle, exampleCase([]));
  expect(massBetween(atIdle, 20, 45)).toBeGreaterThan(0.8);
});

test('without an expectation everything is as likely; a hand holds a position where it says', () => {
  const rail = quantityGrid(idle, exampleCase([], { family: 'fuel-rail-pressure' }));
  expect(new Set(rail.weights).size).toBe(1);
  // As long as nobody says how high the workshop lies, it is somewhere between the sea and the hills.
  const anywhere = quantityGrid(koeo, exampleCase([], { ambient: undefined }));
  expect(massBetween(anywhere, 84, 104)).toBeGreaterThan(0.9);
  const pedal = { ...EXAMPLE_PROFILE, measures: 'position', lowest: 0, highest: 100 } as const;
  const held = { ...koeo, stimulus: { kind: 'held', percent: 40 } } as const;
  const grid = quantityGrid(held, exampleCase([], { family: 'pedal', profile: pedal }));
  expect(massBetween(grid, 36, 44)).toBeGreaterThan(0.85);
});

test('a voltage speaks loudest where it is predicted, and a mistaken one never rules anything out', () => {
  const at = (volts: number, grid = 0) => voltsLikelihood(volts, 0.01, mistakenVolts(volts, 5))(2.5, grid);
  expect(at(2.5)).toBeGreaterThan(at(2.52));
  expect(at(2.52)).toBeGreaterThan(at(2.6));
  expect(at(60)).toBeCloseTo((0.4 * MISTAKEN_SHARE) / 14, 12);
  // A slipped probe shows what another wire carries rather than anything.
  expect(at(0)).toBeGreaterThan(20 * at(1));
  expect(at(5)).toBeGreaterThan(20 * at(4));
  expect(at(2.6, 0.1)).toBeGreaterThan(at(2.6));
  // It is a density: over all voltages it sums to what is not mistaken, and a little.
  let sum = 0;
  for (let volts = 0; volts < 5; volts += 0.001) sum += 0.001 * at(volts);
  // Of what a slipped probe shows, half of each peak lies in this range, and 5 of the 14 V of the rest.
  expect(sum).toBeCloseTo(1 - MISTAKEN_SHARE + (0.3 + (0.4 * 5) / 14) * MISTAKEN_SHARE, 3);
});

test('live data speaks for the input that it comes from; a lost signal may show anything', () => {
  const scan = (value: number, volts: number) =>
    scanLikelihood({ value }, 1, EXAMPLE_PROFILE, false)(volts, 0);
  // 2.5 V are 61.5 kPa.
  expect(scan(61.5, 2.5)).toBeGreaterThan(20 * scan(80, 2.5));
  expect(scan(118, 0.02)).toBe(scan(20, 0.02));
  expect(scan(20, 0.02)).toBeLessThan(scan(61.5, 2.5));
});

test('ohms speak by their decades, OL is an answer, and a gauge speaks in its own accuracy', () => {
  const ohms = (read: number | null, predicted: number) => ohmsLikelihood({ ohms: read }, predicted);
  expect(ohms(5, 5)).toBeGreaterThan(ohms(50, 5));
  expect(ohms(null, Infinity)).toBeGreaterThan(ohms(5, Infinity));
  expect(ohms(null, 5)).toBeLessThan(0.01);
  expect(ohms(-3, 5)).toBe(ohms(null, 5));
  const gauge = (kpa: number) => gaugeLikelihood({ pressureKpa: kpa }, 50, 1, 200);
  expect(gauge(50)).toBeGreaterThan(gauge(53));
  expect(gauge(90)).toBeCloseTo(MISTAKEN_SHARE / 200, 12);
});

test('answers are those of the circuit: solved at a few voltages, and on a line between them', () => {
  const hypotheses = hypothesesFor(subject);
  const answers = new Answers(sensor, hypotheses, 100);
  const table = answers.at({ kind: 'wire', lane: 'signal', place: 'plug' }, koeo);
  const of = (id: string) => {
    const h = hypotheses.findIndex((one) => one.id === id);
    return table.rows[table.rowOf[answers.sized.findIndex(({ hypothesis }) => hypothesis === h)]!]!.reads;
  };
  // 4.00 V at 100 kPa, 1.66 V at 40 kPa, a little less behind the sensor's own output resistance.
  for (const [kpa, volts] of [
    [100, 4],
    [40, 1.66],
    [63, 2.557],
  ] as const)
    expect(between(of('nothing'), answers.placeOf(answers.soundVolts(kpa)))).toBeCloseTo(volts, 1);
  expect(between(of('wire-open signal:plug'), 2)).toBeLessThan(0.1);
  // What leaves this wire alone leaves its answer alone.
  expect(of('hose hose')).toBe(of('nothing'));
  // Asked again it is the same table, not a new one.
  expect(answers.at({ kind: 'wire', lane: 'signal', place: 'plug' }, { ...koeo, engine: 'idle' })).toBe(
    table,
  );
});

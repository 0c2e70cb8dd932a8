import { expect, test } from 'vitest';
import type { Ambient } from '../../measure/quantity/index.ts';
import { COMMON_VACUUM_GAUGE } from '../../measure/uncertainty/index.ts';
import { gaugeAgainstSensor } from './index.ts';
import { AMBIENT_PRESSURE } from './gaugePressure.ts';

const ambient: Ambient = { pressureKpaAbs: 100, expandedUncertaintyKpa: 2, source: 'altitude' };
const read = (
  pressureKpa: number,
  basis: 'absolute' | 'gauge' | 'vacuum',
  measures: 'absolute-pressure' | 'gauge-pressure' | 'differential-pressure',
  at: Ambient | undefined = ambient,
) => gaugeAgainstSensor({ pressureKpa, basis }, measures, at, COMMON_VACUUM_GAUGE);

// By hand at an ambient of 100 kPa.
test.each([
  [60, 'vacuum', 'absolute-pressure', 40],
  [-60, 'gauge', 'absolute-pressure', 40],
  [40, 'absolute', 'absolute-pressure', 40],
  [150, 'gauge', 'gauge-pressure', 150],
  [20, 'vacuum', 'gauge-pressure', -20],
  [250, 'absolute', 'gauge-pressure', 150],
  [12, 'gauge', 'differential-pressure', 12],
] as const)('%d kPa %s beside a sensor of %s is %d kPa in its basis', (kpa, basis, measures, expected) => {
  const measured = read(kpa, basis, measures);
  expect(measured.ok && measured.value.value).toBeCloseTo(expected, 9);
});

test('the doubt of ambient comes in only where the two bases differ', () => {
  const sources = (result: ReturnType<typeof read>) =>
    result.ok ? result.value.terms.map(({ source }) => source.code) : [];
  expect(sources(read(60, 'vacuum', 'absolute-pressure'))).toContain(AMBIENT_PRESSURE.code);
  expect(sources(read(40, 'absolute', 'absolute-pressure'))).not.toContain(AMBIENT_PRESSURE.code);
  expect(sources(read(150, 'gauge', 'gauge-pressure'))).not.toContain(AMBIENT_PRESSURE.code);
});

test('a gauge beside a gauge-pressure sensor needs no barometer; one beside an absolute sensor does', () => {
  expect(
    gaugeAgainstSensor(
      { pressureKpa: 150, basis: 'gauge' },
      'gauge-pressure',
      undefined,
      COMMON_VACUUM_GAUGE,
    ),
  ).toMatchObject({
    ok: true,
  });
  expect(
    gaugeAgainstSensor(
      { pressureKpa: 60, basis: 'vacuum' },
      'absolute-pressure',
      undefined,
      COMMON_VACUUM_GAUGE,
    ),
  ).toMatchObject({
    problem: { code: 'needs-ambient' },
  });
});

test('more vacuum than there is air is refused', () => {
  expect(read(120, 'vacuum', 'absolute-pressure')).toMatchObject({
    problem: { code: 'below-absolute-zero' },
  });
});

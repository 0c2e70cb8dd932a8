import { say, verbatim } from '@lettura/core/measure/message';
import { compareValues, fromLimits, measuredValue } from '@lettura/core/measure/uncertainty';
import { expect, test } from 'vitest';
import { pairSaid } from '@lettura/core/judge/checks';
import { inWords } from './index.ts';

const named = (name: string) => say('say.as-it-is', { text: verbatim(name) });
const side = (value: number, source: string, limits: number) =>
  measuredValue(value, [{ source: named(source), standardUncertainty: fromLimits(limits) }]);
const said = (
  [a, aLimits]: [number, number],
  [b, bLimits]: [number, number],
  differenceThatMatters = 3,
): string => {
  const comparison = compareValues(
    side(a, 'meter', aLimits),
    side(b, 'gauge', bLimits),
    differenceThatMatters,
  );
  const matters = Math.abs(comparison.difference) > differenceThatMatters;
  return inWords(
    pairSaid({ a: named('the sensor'), b: named('the gauge'), comparison, matters }, 'absolute-pressure'),
  );
};

test('agreement says by how much, and which is above', () => {
  expect(said([50, 1], [49.5, 1])).toMatch(
    /^✓ Agree\. The sensor is 0\.5 kPa above the gauge \(±1\.6 kPa, En 0\.31\)\.$/u,
  );
  expect(said([49.5, 1], [50, 1])).toContain('below the gauge');
});

test('a difference past the doubt is claimed, and whether it matters is said apart', () => {
  expect(said([60, 1], [50, 1])).toMatch(/^✕ Disagree, and it matters\./u);
  expect(said([52, 0.1], [50, 0.1])).toMatch(/^~ Disagree, but too little to matter\./u);
});

test('what cannot be told names the doubt that limits it, and limits that would do', () => {
  expect(said([52, 1], [50, 5])).toMatch(/cannot tell.*the limit is gauge: ±2\.4 kPa there would do\.$/u);
});

test('where even a perfect instrument would not do alone, it says that', () => {
  expect(said([52, 4.5], [50, 5])).toMatch(/the limit is gauge: even a perfect one would not do alone\.$/u);
});

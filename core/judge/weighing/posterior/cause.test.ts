import { expect, test } from 'vitest';
import { EXAMPLE_SENSORS } from '../../../machine/wiring/exampleSensors.ts';
import { hypothesesFor } from '../hypotheses/hypotheses.ts';
import { causeId, lanesOfCause, parseCause } from './cause.ts';
import { decisionsFor } from './decisions.ts';

test('every cause that any sensor can have is read back from its text as it was', () => {
  const seen = new Set<string>();
  for (const { family, wiring } of EXAMPLE_SENSORS)
    for (const { cause, id } of decisionsFor(hypothesesFor({ family, wiring })).all) {
      seen.add(cause.of);
      expect(parseCause(id)).toEqual(cause);
      expect(causeId(cause)).toBe(id);
      if ('wire' in cause) expect(lanesOfCause(cause)).toEqual([cause.wire]);
      if ('wires' in cause) expect(lanesOfCause(cause)).toEqual(cause.wires);
    }
  expect(seen.size).toBeGreaterThan(15);
});

test.each([
  'gremlins',
  'wire gremlin:first',
  'wire reference',
  'wire reference:first extra',
  'wires-together signal+signal+return',
  'unit-gives-no-reference rail:x',
  'unit-bias-lost signal:pull-up',
  'sensor now',
  '',
])('“%s” is no cause', (id) => expect(parseCause(id)).toBeUndefined());

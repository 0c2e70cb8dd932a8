import { expect, test } from 'vitest';
import { exampleCase, EXAMPLE_PROFILE } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { poweredByItself } from '../../isolation/index.ts';
import { goodSupply, IDLE, KOEO, looked, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { judge, posterior, Weigher, weigherFor } from '../index.ts';

type Readings = CaseFile['readings'][number][];

const alone = poweredByItself({ family: 'manifold-pressure', profile: EXAMPLE_PROFILE, wires: WIRES })!;
/** What the sensor gives with nothing on its output but a meter, fed past its plug, and what its input is pulled with. */
const byItself = (volts: number): CaseFile['isolation'] => [
  { kind: 'between', id: 'alone', from: alone.from, to: alone.to, state: alone.state, volts },
  {
    kind: 'ohms',
    id: 'pull',
    from: { lane: 'signal', place: 'plug' },
    to: 'battery-negative',
    state: { engine: 'key-off', plug: 'unplugged' },
    ohms: 80_000,
  },
];

/** 150 kΩ in the output on an input that its maker pulls down with 80 kΩ, which nobody knows. */
const PASSED = 80 / (150 + 80);
const weak = [
  ...goodSupply(),
  wire('signal', 'plug', 0, PLUG_OFF),
  wire('signal', 'plug', 4 * PASSED),
  wire('signal', 'plug', 1.66 * PASSED, IDLE),
];
const elsewhere = [wire('signal', 'connector', 4 * PASSED), wire('signal', 'unit', 4 * PASSED - 0.001)];
const live = [
  {
    kind: 'scan' as const,
    id: 'live',
    measures: 'absolute-pressure' as const,
    value: (4 * PASSED) / 5 / 0.0078 - 0.02 / 0.0078,
    state: KOEO,
  },
];

const shares = (readings: readonly unknown[]) => {
  const caseFile = exampleCase(readings as Readings, {
    isolation: byItself(3.98),
    observations: [looked('plug-contacts', true)],
  });
  const weigher = new Weigher(caseFile, WIRES);
  const found = posterior(weigher.caseOf(caseFile));
  const of = (id: string) =>
    weigher.hypotheses.reduce((sum, one, h) => sum + (one.id.startsWith(id) ? found.shares[h]! : 0), 0);
  return { weak: of('output-resistance'), contact: of('wire-high-resistance reference:plug') };
};

test('a sensor that is right by itself and drawn down by its input has a resistance in its output', () => {
  const caseFile = exampleCase(weak, {
    isolation: byItself(3.98),
    observations: [looked('plug-contacts', true)],
  });
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  expect(ranked[0]!.decision.id).toBe('sensor');
  const { weak: share, contact } = shares(weak);
  expect(share).toBeGreaterThan(contact);
});

test('the same wire read again elsewhere, and by live data, speaks no second time against what hangs on the maker', () => {
  const before = shares(weak);
  for (const more of [elsewhere, live, [...elsewhere, ...live]]) {
    const after = shares([...weak, ...more]);
    const changed = after.weak / after.contact / (before.weak / before.contact);
    expect(changed).toBeGreaterThan(0.4);
  }
});

test('whatever of a wire was read first, the shares are the same', () => {
  const one = shares([...weak, ...elsewhere, ...live]);
  const other = shares([...live, ...elsewhere.toReversed(), ...weak.toReversed()]);
  expect(other.weak).toBeCloseTo(one.weak, 9);
  expect(other.contact).toBeCloseTo(one.contact, 9);
});

test('what the same wire shows a volt further on is no matter of the maker', () => {
  const broken = [...goodSupply(), wire('signal', 'plug', 4), wire('signal', 'connector', 4)];
  const first = exampleCase([...broken, wire('signal', 'unit', 2.9)] as Readings);
  const { ranked } = judge(weigherFor(first, WIRES), first, WIRES);
  expect(ranked[0]!.decision.id).toMatch(/^wire signal:first|wire-to/u);
});

import { expect, test } from 'vitest';
import { EXAMPLE_SENSORS } from '../wiring/exampleSensors.ts';
import { isolationTests, type IsolationTest } from './index.ts';

const testsFor = (name: string): IsolationTest[] => {
  const { family, profile, companion, wiring } = EXAMPLE_SENSORS.find((one) => one.name.includes(name))!;
  return isolationTests({
    family,
    profile,
    ...(companion && { companion }),
    wires: wiring.wires.map(({ wire }) => wire),
  });
};
const answersOf = (name: string, id: IsolationTest['id']) =>
  testsFor(name).find((one) => one.id === id)!.answers;
/** What reads about so many volts. */
const at = (name: string, id: IsolationTest['id'], volts: number) =>
  answersOf(name, id).find(
    ({ lowestVolts, highestVolts }) => volts >= lowestVolts - 0.02 && volts <= highestVolts + 0.02,
  );

test('unplugged, a pulled-up input at 5 V proves wire and input; 0 V is an open wire or a short to ground', () => {
  expect(at('pulled up', 'unplug', 5)?.sound).toBe(true);
  const nothing = at('pulled up', 'unplug', 0);
  expect(nothing?.sound).toBe(false);
  expect(nothing?.meanings.join()).toMatch(/touches ground \(signal wire\)/u);
  expect(nothing?.meanings.join()).toMatch(/wire open \(signal wire\)/u);
  expect(at('pulled up', 'unplug', 5)?.meanings.join()).not.toContain('open');
});

test('unplugged, a pulled-down input at 0 V is sound, and so is an open wire: this test cannot tell', () => {
  const nothing = at('pulled down', 'unplug', 0);
  expect(nothing?.sound).toBe(true);
  expect(nothing?.meanings.join()).toMatch(/wire open \(signal wire\)/u);
  expect(at('pulled down', 'unplug', 5)?.meanings.join()).toMatch(/reference and signal wires/u);
});

test('bridged to return, a pulled-up signal that stays at 5 V has an open signal or return wire', () => {
  expect(at('pulled up', 'bridge-return', 0.01)?.sound).toBe(true);
  expect(at('pulled up', 'bridge-return', 5)?.meanings.join()).toMatch(/wire open \((signal|return) wire/u);
});

test('bridged to reference, 0 V is an open or dead reference, or an open signal wire', () => {
  const told = at('pulled down', 'bridge-reference', 0)?.meanings.join() ?? '';
  for (const wanted of [/wire open \(reference wire/u, /gives no proper reference/u, /touches ground/u])
    expect(told).toMatch(wanted);
});

test('a substituted 1.6 V is what the unit sees, and live data shows what that stands for', () => {
  const substitute = testsFor('pulled down').find(({ id }) => id === 'substitute')!;
  expect(substitute.answers.find(({ sound }) => sound)?.highestVolts).toBeCloseTo(1.6, 1);
  // (1.6/5 + 0.09) / 0.0085 = 48.2 kPa, a little less over the unit's own ground.
  expect(substitute.liveValue).toBeCloseTo(48.2, 0);
  expect(at('pulled down', 'substitute', 0)?.meanings.join()).toMatch(/wire open \(signal wire\)/u);
});

test.each(EXAMPLE_SENSORS.map(({ name }) => [name] as const))(
  'every test of a %s has one sound answer, no two that overlap, and a caution',
  (name) => {
    for (const { answers, caution, how } of testsFor(name)) {
      expect(answers.filter(({ sound }) => sound)).toHaveLength(1);
      expect(caution.length).toBeGreaterThan(20);
      expect(how.length).toBeGreaterThan(20);
      answers
        .slice(1)
        .forEach(({ lowestVolts }, i) =>
          expect(lowestVolts).toBeGreaterThanOrEqual(answers[i]!.highestVolts),
        );
      for (const { sound, meanings } of answers) if (!sound) expect(meanings.length).toBeGreaterThan(0);
    }
  },
);

test('a body without a reference is not asked to be bridged to one', () =>
  expect(testsFor('hot element').map(({ id }) => id)).not.toContain('bridge-reference'));

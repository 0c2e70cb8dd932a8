import { expect, test } from 'vitest';
import { signalFromValue } from '../../measure/transfer/index.ts';
import { EXAMPLE_SENSORS } from '../../machine/wiring/exampleSensors.ts';
import { answerRead, isolationTests, ohmsFromDrop, shiftByOhms, type IsolationTest } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const rawTestsFor = (name: string) => {
  const { family, profile, companion, wiring } = EXAMPLE_SENSORS.find((one) => one.name.includes(name))!;
  return isolationTests({
    family,
    profile,
    ...(companion && { companion }),
    wires: wiring.wires.map(({ wire }) => wire),
  });
};
const testsFor = (name: string) => coded(rawTestsFor(name));
const answersOf = (name: string, id: IsolationTest['id']) =>
  testsFor(name).find((one) => one.id === id)!.answers;
const meaning = (fault: string, ...wires: readonly string[]): string =>
  `isolation.meaning{name: faults.${fault}, places: [${wires.map((lane) => `site.brief-wire{lane: lane.${lane}}`).join(', ')}]}`;
/** What reads about so many volts. */
const at = (name: string, id: IsolationTest['id'], volts: number) =>
  answersOf(name, id).find(
    ({ lowestVolts, highestVolts }) => volts >= lowestVolts - 0.02 && volts <= highestVolts + 0.02,
  );

test('unplugged, a pulled-up input at 5 V proves wire and input; 0 V is an open wire or a short to ground', () => {
  expect(at('pulled up', 'unplug', 5)?.sound).toBe(true);
  const nothing = at('pulled up', 'unplug', 0);
  expect(nothing?.sound).toBe(false);
  expect(nothing?.meanings).toContain(meaning('wire-touches-ground', 'signal'));
  expect(nothing?.meanings).toContain(meaning('wire-open', 'signal'));
  expect(at('pulled up', 'unplug', 5)?.meanings.join()).not.toContain('faults.wire-open');
});

test('unplugged, a pulled-down input at 0 V is sound, and so is an open wire: this test cannot tell', () => {
  const nothing = at('pulled down', 'unplug', 0);
  expect(nothing?.sound).toBe(true);
  expect(nothing?.meanings).toContain(meaning('wire-open', 'signal'));
  expect(at('pulled down', 'unplug', 5)?.meanings.join()).toContain(
    'site.brief-wires{first: lane.reference, second: lane.signal}',
  );
});

test('bridged to return, a pulled-up signal that stays at 5 V has an open signal or return wire', () => {
  expect(at('pulled up', 'bridge-return', 0.01)?.sound).toBe(true);
  // The meter of 10 MΩ takes the pull-up of 220 kΩ down to 4.89 V.
  expect(at('pulled up', 'bridge-return', 4.89)?.meanings).toContain(
    meaning('wire-open', 'signal', 'return'),
  );
});

test('bridged to reference, 0 V is an open or dead reference, or an open signal wire', () => {
  const told = at('pulled down', 'bridge-reference', 0)?.meanings ?? [];
  expect(told).toContain(meaning('wire-open', 'reference', 'signal'));
  expect(told).toContain(meaning('wire-touches-ground', 'reference', 'signal'));
  expect(told.join()).toContain('faults.control-unit-gives-no-proper');
});

test('a substituted 1.6 V is what the unit sees, and live data shows what that stands for', () => {
  const substitute = testsFor('pulled down').find(({ id }) => id === 'substitute')!;
  expect(substitute.answers.find(({ sound }) => sound)?.highestVolts).toBeCloseTo(1.6, 1);
  // (1.6/5 + 0.09) / 0.0085 = 48.2 kPa, a little less over the unit's own ground.
  expect(substitute.live?.value).toBeCloseTo(48.2, 0);
  expect(at('pulled down', 'substitute', 0)?.meanings).toContain(meaning('wire-open', 'signal'));
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

test('jumped past the signal wire, a signal that is as the sensor says it is sound, whatever it says', () => {
  const { family, profile, wiring } = EXAMPLE_SENSORS.find(({ name }) => name.includes('pulled down'))!;
  const wires = wiring.wires.map(({ wire }) => wire);
  const [first, last] = [profile.lowest, profile.highest].map(
    (value) => signalFromValue(value, profile.nominalReferenceVolts, profile).signalVolts,
  );
  for (const share of [0.2, 0.4, 0.6, 0.8]) {
    const volts = first! + share * (last! - first!);
    const { answers } = isolationTests(
      { family, profile, wires },
      { lowest: volts - 0.1, highest: volts + 0.1 },
    ).find(({ id }) => id === 'jumper')!;
    for (const off of [-0.1, 0, 0.1])
      expect(answerRead(answers, volts + off)?.sound, `${volts + off} V`).toBe(true);
  }
});

test('a body without a reference is not asked to be bridged to one', () =>
  expect(testsFor('hot element').map(({ id }) => id)).not.toContain('bridge-reference'));

test('the reference that comes back past a jumper had an open wire; past an unplugged neighbour, a shorted one', () => {
  const jumped = at('pulled down', 'jumper-reference', 5);
  expect(jumped?.sound).toBe(true);
  expect(jumped?.meanings).toContain(meaning('wire-open', 'reference'));
  const low = at('pulled down', 'jumper-reference', 0.02);
  expect(low?.meanings).toContain(meaning('wire-touches-ground', 'reference'));
  const off = testsFor('pulled down').find(({ id }) => id === 'neighbours-off')!;
  expect(off.answers.find(({ sound }) => sound)?.meanings.join()).toContain(
    'faults.another-sensor-pulls-reference-down',
  );
  expect(off.state.harness?.neighboursOff).toEqual([0]);
});

test('a reading is found among the answers, and one that no circuit gives is not', () => {
  const { answers } = rawTestsFor('pulled up').find(({ id }) => id === 'unplug')!;
  expect(answerRead(answers, 4.85)?.sound).toBe(true);
  expect(coded(answerRead(answers, 0.03))?.meanings).toContain(meaning('wire-touches-ground', 'signal'));
  expect(answerRead(answers, -7)).toBeUndefined();
});

test('4.8 Ω in the return of a pressure sensor at about 7 mA shift its reading by as much as the circuit says', () => {
  const { family, profile, wiring } = EXAMPLE_SENSORS.find(({ name }) => name.includes('pulled down'))!;
  const sensor = { family, profile, wires: wiring.wires.map(({ wire }) => wire) };
  const { milliamps, dropVolts, shift } = shiftByOhms(sensor, 'return', 4.8, 60);
  // By hand: the body of 714 Ω across 5 V draws 7.0 mA; 4.8 Ω · 7.0 mA = 33 mV under everything the sensor says.
  expect(milliamps).toBeCloseTo(6.93, 1);
  expect(dropVolts).toBeCloseTo(0.0333, 3);
  // Lifted by 33 mV at its foot, squeezed by as much over its span: (1 − V/Vs) · 33 mV, over the slope of the curve.
  const share =
    profile.transfer.form === 'ratiometric'
      ? profile.transfer.sharePerUnit * 60 + profile.transfer.shareAtZero
      : NaN;
  const slope = profile.transfer.form === 'ratiometric' ? profile.transfer.sharePerUnit * 5 : NaN;
  expect(shift).toBeCloseTo(((1 - share) * 0.0333) / slope, 1);
  expect(ohmsFromDrop(sensor, 'return', dropVolts)).toBeCloseTo(4.8, 2);
});

test('ohms in a signal wire that carries next to no current shift nothing; an open one leaves the unit its bias', () => {
  const { family, profile, wiring } = EXAMPLE_SENSORS.find(({ name }) => name.includes('pulled down'))!;
  const sensor = { family, profile, wires: wiring.wires.map(({ wire }) => wire) };
  expect(Math.abs(shiftByOhms(sensor, 'signal', 5).shift)).toBeLessThan(0.02);
  expect(shiftByOhms(sensor, 'signal', Infinity).dropVolts).toBeNaN();
});

import { expect, test } from 'vitest';
import { battery, chip, diode, outputStage, regulator, resistor, solveNodes } from './nodalCircuit.ts';

const volts = (...given: Parameters<typeof solveNodes>): number[] => solveNodes(...given)!;

// By hand: 12 V over 1 kΩ and 2 kΩ is 8 V; 10 MΩ beside the lower one takes next to nothing.
test('a divider', () => {
  const divider = [battery(1, 0, 12, 0.005), resistor(1, 2, 1000), resistor(2, 0, 2000)];
  expect(volts(3, divider)[2]).toBeCloseTo(8, 4);
  expect(volts(3, [...divider, resistor(2, 0, 1e7)])[2]).toBeCloseTo(7.9995, 3);
});

// By hand: 5 V behind 0.5 Ω into 1 kΩ; into 1 Ω no more than its limit.
test('a supply is stiff up to its limit, then a current; folding back, a smaller one', () => {
  const supply = { volts: 5, ohms: 0.5, limitAmps: 0.1, foldsTo: 1 };
  const into = (ohms: number, foldsTo = 1) =>
    volts(2, [regulator(1, 0, { ...supply, foldsTo }), resistor(1, 0, ohms)])[1]!;
  expect(into(1000)).toBeCloseTo(4.9975, 2);
  expect(into(1)).toBeCloseTo(0.1, 3);
  expect(into(1, 0.2)).toBeLessThan(0.025);
});

test('a junction holds its knee forwards and lets nothing through backwards', () => {
  const through = (from: number) =>
    volts(3, [battery(1, 0, from, 0.01), resistor(1, 2, 1000), diode(2, 0)])[2]!;
  expect(through(5)).toBeGreaterThan(0.6);
  expect(through(5)).toBeLessThan(0.8);
  expect(through(-5)).toBeCloseTo(-5, 3);
});

test('an output keeps off its rails, gives no more than it can, and sleeps without a supply', () => {
  const stage = {
    wanted: (fed: number) => 0.7 * fed,
    fromBottomVolts: 0.1,
    fromTopVolts: 0.2,
    ohms: 50,
    mostAmps: 0.005,
    startsAtVolts: 3,
    isAsleep: false,
  };
  const output = (fed: number, load: number, wanted = stage.wanted) =>
    volts(3, [
      battery(1, 0, fed, 0.01),
      chip(1, 0, 0.005, 1),
      outputStage(2, 1, 0, { ...stage, wanted }),
      resistor(2, 0, load),
    ])[2]!;
  expect(output(5, 1e6)).toBeCloseTo(3.5, 2);
  expect(output(5, 1e6, () => 9)).toBeCloseTo(4.8, 2);
  expect(output(5, 1e6, () => -9)).toBeCloseTo(0.1, 2);
  expect(output(5, 100)).toBeLessThan(0.5);
  expect(output(1, 1e4)).toBeLessThan(0.1);
});

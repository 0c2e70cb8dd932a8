import { expect, test } from 'vitest';
import { clamp, divider, limitedSupply, Network, source } from './index.ts';

const stage = { output: 1, supply: 2, common: 0, share: 0.5, offsetVolts: 0, outputOhms: 100 };

test.each([
  ['a source of 0 Ω', () => source(5, 0), /A source cannot have ohms = 0/u],
  ['a source of NaN volts', () => source(NaN, 1), /A source cannot have volts = NaN/u],
  [
    'a supply with a limit below nothing',
    () => limitedSupply(5, 1, -1),
    /A supply cannot have limitAmps = -1/u,
  ],
  ['a clamp of infinite ohms', () => clamp(0.5, Infinity), /A clamp cannot have ohms = Infinity/u],
  ['a divider of no ohms', () => divider(0, 0.5, 1), /A divider cannot have ohms = 0/u],
  ['a resistor of NaN ohms', () => new Network(2).addResistor(0, 1, NaN), /No resistor has NaN Ω/u],
  ['a resistor below nothing', () => new Network(2).addResistor(0, 1, -4), /No resistor has -4 Ω/u],
  [
    'a stage with crossed rails',
    () => new Network(3).addStage({ ...stage, lowestShare: 0.9, highestShare: 0.1 }),
    /rails at 0.9 and 0.1/u,
  ],
  [
    'a stage without an output resistance',
    () => new Network(3).addStage({ ...stage, lowestShare: 0, highestShare: 1, outputOhms: 0 }),
    /an output of 0 Ω/u,
  ],
  [
    'a stage driven to no number',
    () => new Network(3).addStage({ ...stage, lowestShare: 0, highestShare: 1, share: NaN }),
    /driven to NaN/u,
  ],
  [
    'breaks that fall',
    () =>
      new Network(2).addConductor(0, 1, {
        breaksVolts: [1, 0],
        slopesSiemens: [1, 1, 1],
        interceptsAmps: [0, 0, 0],
      }),
    /breaks of a conductor/u,
  ],
])('%s is refused, and the part is named', (_what, make, message) => {
  expect(make).toThrow(message);
});

test('a floating point has no voltage, and that is no failure of the solution', () => {
  const network = new Network(3);
  network.addResistor(0, 1, 1000);
  network.addConductor(1, 0, source(5, 10));
  expect(network.solve()).toBe('solved');
  expect(network.volts(2)).toBeNaN();
  expect(network.volts(1)).toBeCloseTo(4.95, 2);
});

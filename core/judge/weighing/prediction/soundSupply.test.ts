import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import { effectsOf } from '../../../machine/fault/index.ts';
import { IDLE, PLUG_OFF, wire, WIRES } from '../exampleWeighing.ts';
import { judge, Weigher, weigherFor } from '../index.ts';

/** A sensor 1.4 kPa off on a unit whose supply is off to the same side: its signal follows both. */
const sound = (supplyVolts: number, offKpa: number) => {
  const signal = (kpa: number) => supplyVolts * (0.0078 * (kpa + offKpa) + 0.02);
  return [
    wire('reference', 'plug', supplyVolts),
    wire('reference', 'plug', supplyVolts, PLUG_OFF),
    wire('reference', 'unit', supplyVolts + 0.001),
    wire('return', 'plug', 0.004),
    wire('signal', 'plug', 0, PLUG_OFF),
    wire('signal', 'plug', signal(100)),
    wire('signal', 'unit', signal(100)),
    wire('signal', 'plug', signal(40), IDLE),
  ];
};

test.each([
  [5.12, 1.4],
  [4.88, -1.4],
  [5.14, 0],
  [4.86, 0],
])('a supply of %s V with a sensor %s kPa off accuses nobody', (supplyVolts, offKpa) => {
  const caseFile = exampleCase(sound(supplyVolts, offKpa));
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  expect(ranked[0]!.decision.id).toBe('nothing');
});

test('a supply of 4.5 V accuses the unit', () => {
  const caseFile = exampleCase(sound(4.5, 0));
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  expect(ranked[0]!.decision.id).toMatch(/^unit-gives-no-reference|^rail-pulled-down|^wire-to-ground ref/u);
  expect(ranked.find(({ decision }) => decision.id === 'nothing')!.share).toBeLessThan(0.01);
});

test('no supply near its nominal volts is weighed as a fault', () => {
  const { answers, hypotheses, weights } = new Weigher(exampleCase([]), WIRES);
  const supplies = answers.sized.flatMap(({ fault, hypothesis }, s) =>
    fault && hypotheses[hypothesis]!.kind?.id === 'unit-gives-no-reference'
      ? effectsOf([fault]).flatMap((effect) =>
          effect.on === 'rail' ? [{ volts: effect.change.volts!, weight: weights[s]! }] : [],
        )
      : [],
  );
  const near = supplies.filter(({ volts }) => Math.abs(volts - 5) < 0.14);
  expect(near.length).toBeGreaterThan(0);
  expect(near.every(({ weight }) => weight === 0)).toBe(true);
  expect(supplies.filter(({ volts, weight }) => volts < 4.8 && weight > 0).length).toBeGreaterThan(20);
});

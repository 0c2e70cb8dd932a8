import fc from 'fast-check';
import { expect, test } from 'vitest';
import { solveNodeVoltages, type Component } from './index.ts';

test('a divider of 1 kΩ over 3 kΩ on 5 V gives 3.75 V', () => {
  const [, top, middle] = solveNodeVoltages(3, [
    { kind: 'source', plus: 1, minus: 0, volts: 5, seriesOhms: 1e-6 },
    { kind: 'resistor', a: 1, b: 2, ohms: 1000 },
    { kind: 'resistor', a: 2, b: 0, ohms: 3000 },
  ]);
  expect(top).toBeCloseTo(5, 6);
  expect(middle).toBeCloseTo(3.75, 6);
});

test('a 10 MΩ meter on 10 MΩ of leakage halves what is there: the ghost voltage', () => {
  const [, , wire] = solveNodeVoltages(3, [
    { kind: 'source', plus: 1, minus: 0, volts: 5, seriesOhms: 1 },
    { kind: 'resistor', a: 1, b: 2, ohms: 10e6 },
    { kind: 'resistor', a: 2, b: 0, ohms: 10e6 },
  ]);
  expect(wire).toBeCloseTo(2.5, 5);
});

test('a node tied to nothing floats: it has no voltage, and the rest is solved', () => {
  const volts = solveNodeVoltages(5, [
    { kind: 'source', plus: 1, minus: 0, volts: 5, seriesOhms: 1 },
    { kind: 'resistor', a: 2, b: 3, ohms: 100 },
  ]);
  expect(volts).toEqual([0, 5, undefined, undefined, undefined]);
});

test('a stage at half its supply drives 2.5 V through its output resistance into a load', () => {
  // By hand: 2.5 V behind 100 Ω into 900 Ω is 2.25 V.
  const volts = solveNodeVoltages(3, [
    { kind: 'source', plus: 1, minus: 0, volts: 5, seriesOhms: 1e-6 },
    {
      kind: 'ratiometric-stage',
      output: 2,
      supply: 1,
      common: 0,
      share: 0.5,
      offsetVolts: 0,
      outputOhms: 100,
    },
    { kind: 'resistor', a: 2, b: 0, ohms: 900 },
  ]);
  expect(volts[2]).toBeCloseTo(2.25, 6);
});

test('a stage whose common is raised by a return resistance carries its output up with it', () => {
  // By hand: 5 V over 100 Ω + 700 Ω puts the common at 0.625 V; output = 0.625 + 0.5 · 4.375 = 2.8125 V unloaded.
  const volts = solveNodeVoltages(4, [
    { kind: 'source', plus: 1, minus: 0, volts: 5, seriesOhms: 1e-6 },
    { kind: 'resistor', a: 1, b: 2, ohms: 700 },
    { kind: 'resistor', a: 2, b: 0, ohms: 100 },
    {
      kind: 'ratiometric-stage',
      output: 3,
      supply: 1,
      common: 2,
      share: 0.5,
      offsetVolts: 0,
      outputOhms: 100,
    },
  ]);
  expect(volts[2]).toBeCloseTo(0.625, 6);
  expect(volts[3]).toBeCloseTo(2.8125, 6);
});

test('currents at every node of a random ladder sum to zero', () => {
  const ohms = fc.double({ min: 0.01, max: 1e6, noNaN: true });
  fc.assert(
    fc.property(fc.array(fc.tuple(ohms, ohms), { minLength: 1, maxLength: 8 }), (rungs) => {
      const parts: Component[] = [{ kind: 'source', plus: 1, minus: 0, volts: 5, seriesOhms: 1 }];
      rungs.forEach(([series, shunt], i) => {
        parts.push({ kind: 'resistor', a: i + 1, b: i + 2, ohms: series });
        parts.push({ kind: 'resistor', a: i + 2, b: 0, ohms: shunt });
      });
      const volts = solveNodeVoltages(rungs.length + 2, parts) as number[];
      return volts.every((v, node) => {
        if (node === 0) return true;
        let amps = 0;
        let largest = 0;
        for (const part of parts) {
          if (part.kind === 'resistor' && (part.a === node || part.b === node)) {
            const other = part.a === node ? part.b : part.a;
            const flow = (v - volts[other]!) / part.ohms;
            amps += flow;
            largest = Math.max(largest, Math.abs(flow), Math.abs(v) / part.ohms);
          } else if (part.kind === 'source' && part.plus === node) {
            amps += (v - part.volts) / part.seriesOhms;
            largest = Math.max(largest, part.volts / part.seriesOhms);
          }
        }
        return Math.abs(amps) <= 1e-9 * largest; // rounding only
      });
    }),
  );
});

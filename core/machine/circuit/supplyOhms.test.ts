import { expect, test } from 'vitest';
import { loadedSupply } from './index.ts';

// By hand: the sensor is 5 V / 7 mA = 714.3 Ω; with 5 Ω in the return, 5 V · 5 / 719.3 = 34.8 mV.
test('5 Ω in the return of a 7 mA sensor lift it by 35 mV: it passes a continuity test and still shifts', () => {
  const loaded = loadedSupply({ referenceVolts: 5, supplyAmps: 0.007, referenceOhms: 0, returnOhms: 5 });
  expect(loaded.returnVolts).toBeCloseTo(0.03476, 5);
  expect(loaded.referenceVolts).toBeCloseTo(5, 6);
});

test('ohms in the reference take from the top, ohms in the return from the bottom, and a sound harness takes nothing', () => {
  const sound = { referenceVolts: 5, supplyAmps: 0.01, referenceOhms: 0, returnOhms: 0 };
  expect(loadedSupply(sound).referenceVolts).toBeCloseTo(5, 6);
  expect(loadedSupply(sound).returnVolts).toBeCloseTo(0, 6);
  // 5 V over 500 Ω + 100 Ω on either side: 0.8333 V lost.
  expect(loadedSupply({ ...sound, referenceOhms: 100 }).referenceVolts).toBeCloseTo(4.1667, 4);
  expect(loadedSupply({ ...sound, returnOhms: 100 }).returnVolts).toBeCloseTo(0.8333, 4);
});

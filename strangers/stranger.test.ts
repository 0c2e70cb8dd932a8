import { drivenStates } from '@lettura/core/judge/weighing';
import { expect, test } from 'vitest';
import { STRANGE_FAMILIES, Stranger, StrangeTechnician } from './index.ts';

const KOEO = { engine: 'koeo', plug: 'connected' } as const;
const SEEDS = Array.from({ length: 33 }, (_, i) => i + 1);

test('the same number is the same machine, and families take turns', () => {
  expect(JSON.stringify(Stranger.drawn(7))).toBe(JSON.stringify(Stranger.drawn(7)));
  expect(new Set(SEEDS.map((seed) => Stranger.drawn(seed).sensor.family))).toEqual(new Set(STRANGE_FAMILIES));
});

test('what is wrong can be seen by the unit, and every reading is a number that a meter shows', () => {
  for (const seed of SEEDS) {
    const one = Stranger.drawn(seed);
    const technician = new StrangeTechnician(one, seed);
    for (const lane of one.sensor.wires)
      for (const place of ['unit', 'connector', 'plug'] as const) {
        const taken = technician.read({ target: { kind: 'wire', lane, place }, state: KOEO }, 1);
        if (!taken || !('volts' in taken)) continue;
        expect(taken.volts).toBeGreaterThan(-1);
        expect(taken.volts).toBeLessThan(15);
      }
  }
});

/** On a machine with nothing wrong, as its maker would have it. */
const sound = SEEDS.map(
  (seed) =>
    new Stranger(
      Stranger.drawn(seed).sensor,
      Stranger.drawn(seed).maker,
      { name: 'nothing', class: 'nothing', isAt: () => true },
      Stranger.drawn(seed).weather,
      'any',
    ),
);

test('a sound machine gives its sensor about five volts, its return about none, and believes what there is', () => {
  for (const one of sound) {
    const { wires, profile, family } = one.sensor;
    if (wires.includes('reference')) {
      expect(one.volts({ lane: 'reference', place: 'plug' }, 'battery-negative', KOEO)).toBeGreaterThan(4.7);
      expect(one.volts({ lane: 'reference', place: 'plug' }, 'battery-negative', KOEO)).toBeLessThan(5.2);
    }
    expect(Math.abs(one.volts({ lane: 'return', place: 'plug' }, 'battery-negative', KOEO))).toBeLessThan(
      0.15,
    );
    for (const state of drivenStates(one.sensor)) {
      const there = one.quantity(state, 'sensor');
      const { value, complains } = one.believes(state);
      if (complains.low || complains.high) continue;
      if (there < profile.lowest || there > profile.highest || family === 'air-flow') continue;
      const range = profile.highest - profile.lowest;
      expect(Math.abs(value - there) / range).toBeLessThan(0.12);
    }
  }
});

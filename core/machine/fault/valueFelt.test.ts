import { expect, test } from 'vitest';
import { EXAMPLE_SENSORS } from '../wiring/exampleSensors.ts';
import { Wiring } from '../wiring/index.ts';
import { allSites, effectsOf, faultAnywhere, faultKind, feltBy, situate, type FaultKindId } from './index.ts';

const map = EXAMPLE_SENSORS.find(({ family }) => family === 'manifold-pressure')!;
const { lowest, highest } = map.profile;
const at = (share: number) => lowest + share * (highest - lowest);

/** By what it meets, along its range, what it reports; both as shares of it. */
function felt(kind: FaultKindId, site: string, size: number, ...shares: number[]): number[] {
  const found = allSites(faultKind(kind), map).find(({ id }) => id === site)!;
  const feels = feltBy(effectsOf([faultAnywhere(faultKind(kind), found, size)]), map.profile);
  return shares.map((share) => (feels(at(share)) - lowest) / (highest - lowest));
}
const close = (found: number[], wanted: number[]) =>
  found.forEach((one, i) => expect(one).toBeCloseTo(wanted[i]!, 6));

// Halfway of a size from 0.08 to 0.92 lies 0.5, and of one from 0.03 to 0.59 lies 0.31.
test('a sensor that goes no farther is right up to a point, and stays there; or down to it', () => {
  close(felt('sensor-stops', 'down', 0.5, 0.1, 0.49, 0.6, 1), [0.1, 0.49, 0.5, 0.5]);
  close(felt('sensor-stops', 'up', 0.5, 0, 0.4, 0.51, 1), [0.5, 0.5, 0.51, 1]);
});

test('a sensor that sticks is right at both ends, and between them stays at one of the places where it jumps', () => {
  close(felt('sensor-sticks', 'down', 0.5, 0.1, 0.3, 0.4, 0.6, 0.7, 1), [0.1, 0.3, 0.31, 0.31, 0.7, 1]);
  close(felt('sensor-sticks', 'up', 0.5, 0.1, 0.3, 0.4, 0.6, 0.7, 1), [0.1, 0.3, 0.69, 0.69, 0.7, 1]);
});

test('what it no longer follows is on its wire, whoever moves it', () => {
  const site = allSites(faultKind('sensor-stops'), map)[0]!;
  const effects = effectsOf([faultAnywhere(faultKind('sensor-stops'), site, 0.5)]);
  const volts = (share: number, wrong = effects) => {
    const wiring = new Wiring(map.wiring);
    situate(wiring, map, wrong, {
      keyOn: true,
      plugged: true,
      trueValue: at(share),
      restingValue: lowest,
      celsius: 25,
    });
    wiring.network.solve();
    return wiring.network.volts(wiring.node('signal', 'plug'));
  };
  expect(volts(0.3)).toBeCloseTo(volts(0.3, []), 6);
  expect(volts(0.7)).toBeCloseTo(volts(0.5, []), 3);
  expect(volts(0.9)).toBeCloseTo(volts(0.7), 9);
});

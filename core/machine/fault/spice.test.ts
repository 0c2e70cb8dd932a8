import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { referenceNetworks } from './reference/spiceNetworks.ts';
import { EXAMPLE_SENSORS } from '../wiring/exampleSensors.ts';
import { FAULT_KINDS } from './index.ts';

interface Reference {
  solver: string;
  networks: { name: string; volts?: Record<string, number> }[];
}
const reference = JSON.parse(
  readFileSync(new URL('reference/spice.json', import.meta.url), 'utf8'),
) as Reference;
const networks = referenceNetworks();

test('every kind of fault that is practised on is among the reference networks, and ngspice solved nearly all of them', () => {
  expect(reference.networks.map(({ name }) => name)).toEqual(networks.map(({ name }) => name));
  const unsolved = reference.networks.filter(({ volts }) => !volts).map(({ name }) => name);
  // With the key off a rail that only leaks is 0/0 to ngspice; here it is 0 V.
  expect(unsolved.every((name) => name.includes('situation 4'))).toBe(true);
  expect(unsolved.length).toBeLessThanOrEqual(8);
  const practisedOn = FAULT_KINDS.filter(({ sites }) =>
    EXAMPLE_SENSORS.some((subject) => sites(subject).length > 0),
  );
  expect(practisedOn.length).toBeGreaterThan(25);
  for (const { id } of practisedOn)
    expect(
      networks.some(({ name }) => name.includes(` ${id} `)),
      id,
    ).toBe(true);
});

test('node voltages are those of ngspice, to 1 mV or 0.1 %', () => {
  const off = networks.flatMap(({ name, wiring: { network } }, i) => {
    expect(network.solve(), name).toBe('solved');
    return Object.entries(reference.networks[i]?.volts ?? {}).flatMap(([node, theirs]) => {
      const ours = network.volts(Number(node));
      // A floating island has no voltage here; there it has whatever the shunt of the deck gives it.
      if (Number.isNaN(ours)) return [];
      return Math.abs(ours - theirs) <= Math.max(1e-3, 1e-3 * Math.abs(theirs))
        ? []
        : [{ name, node, ours, theirs }];
    });
  });
  expect(off).toEqual([]);
});

test('limited regulators, stages at both rails and conducting clamps are among what was compared', () => {
  const met = new Set(
    networks.flatMap(({ wiring: { network } }, i) => {
      network.solve();
      if (!reference.networks[i]?.volts) return [];
      const { conductors, stages } = network.piecesFound();
      const { conductors: shapes } = network.parts();
      return [
        ...conductors.map((piece, c) => `${shapes[c]!.slopesSiemens.length} pieces: ${piece}`),
        ...stages.map((piece) => `stage: ${piece & 3}`),
      ];
    }),
  );
  // A supply that limits, one that holds its voltage, one lifted above it; a clamp that conducts; a stage without
  // supply, at its lower rail, following, at its upper rail.
  for (const piece of ['3 pieces: 0', '3 pieces: 1', '3 pieces: 2', '2 pieces: 1'])
    expect(met).toContain(piece);
  for (const rail of [0, 1, 2, 3]) expect(met).toContain(`stage: ${rail}`);
});

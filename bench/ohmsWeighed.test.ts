import type { OhmsReading } from '@lettura/core/record/evidence';
import type { Lane, MachineState, ProbePoint } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import { weighInStages, weighJob, type JobWeighing } from '@lettura/core/judge/weighing';
import { expect, test } from 'vitest';
import { exampleCase } from '../core/judge/checks/exampleCase.ts';
import { MACHINES } from './index.ts';
import { seededRandom } from './random.ts';

const READ_OHMS = [0, 0.3, 14, 1200, 1e6, null] as const;
const PLUGS = ['connected', 'unplugged'] as const;
/** Pairs of points drawn for each machine; the first one is worked through from end to end. */
const PAIRS = 4;

const caseOf = ({ sensor }: (typeof MACHINES)[number], readings: OhmsReading[]): CaseFile =>
  exampleCase([], {
    family: sensor.family,
    profile: sensor.profile,
    companion: sensor.companion,
    isolation: readings,
  });

/** The first stage of a weighing: its shares, without the search for what to read next. */
function ranked(caseFile: CaseFile, wires: readonly Lane[]): JobWeighing {
  for (const stage of weighInStages(caseFile, wires)) if (stage) return stage;
  throw new Error('A weighing without a ranking.');
}

/** One of each body: machines with as many wires, and the same inside the sensor, differ in numbers. */
const BODIES = [
  ...new Map(
    MACHINES.map((machine) => [`${machine.wiring.sensor.kind} ${machine.wiring.wires.length}`, machine]),
  ).values(),
];

test.each(BODIES.map((machine) => [machine.id, machine] as const))(
  'whatever an ohmmeter reads on the %s, both ways round and with the plug on or off, shares are numbers that sum to one',
  (id, machine) => {
    const wires = machine.wiring.wires.map(({ wire }) => wire);
    const random = seededRandom(id.length);
    const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
    const points: ProbePoint[] = wires.flatMap((lane): ProbePoint[] => [
      { lane, place: 'unit' },
      { lane, place: 'plug' },
    ]);
    for (let drawn = 0; drawn < PAIRS; drawn++) {
      const from: ProbePoint = drawn === 0 ? { lane: wires[0]!, place: 'unit' } : pick(points);
      const to: ProbePoint = drawn === 0 ? { lane: wires[0]!, place: 'plug' } : pick(points);
      if (from === to) continue;
      const state: MachineState = { engine: 'key-off', plug: drawn === 0 ? 'unplugged' : pick(PLUGS) };
      for (const [red, black] of [
        [from, to],
        [to, from],
      ] as const)
        for (const ohms of READ_OHMS) {
          const read: OhmsReading = { kind: 'ohms', id: 'o', from: red, to: black, state, ohms };
          const { causes } = ranked(caseOf(machine, [read]), wires);
          const sum = causes.reduce((all, { share }) => all + share, 0);
          expect(causes.every(({ share }) => Number.isFinite(share) && share >= 0)).toBe(true);
          expect(sum).toBeLessThanOrEqual(1 + 1e-9);
          expect(causes.length).toBeGreaterThan(0);
        }
    }
  },
);

test('0.3 Ω along the reference with key and plug off is weighed to its end, in whole sentences', () => {
  const machine = MACHINES[0]!;
  const wires = machine.wiring.wires.map(({ wire }) => wire);
  const read: OhmsReading = {
    kind: 'ohms',
    id: 'o',
    from: { lane: 'reference', place: 'unit' },
    to: { lane: 'reference', place: 'plug' },
    state: { engine: 'key-off', plug: 'unplugged' },
    ohms: 0.3,
  };
  const weighing = weighJob(caseOf(machine, [read]), wires);
  expect(JSON.stringify(weighing)).not.toMatch(/NaN|undefined|Infinity/u);
  expect(weighing.causes[0]!.share).toBeGreaterThan(0);
});

test('a drop counts by its size: 136 mV and −136 mV along one wire weigh the same', () => {
  const machine = MACHINES[0]!;
  const wires = machine.wiring.wires.map(({ wire }) => wire);
  const weighed = (volts: number) =>
    ranked(
      {
        ...caseOf(machine, []),
        isolation: [
          {
            kind: 'between',
            id: 'd',
            from: { lane: 'return', place: 'unit' },
            to: { lane: 'return', place: 'plug' },
            state: { engine: 'koeo', plug: 'connected' },
            volts,
          },
        ],
      },
      wires,
    ).causes.map(({ cause, share }) => [cause, Number(share.toFixed(9))]);
  expect(weighed(0.136)).toEqual(weighed(-0.136));
});

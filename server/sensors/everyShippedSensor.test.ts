import { MACHINES } from '@lettura/bench';
import { lanesOf } from '@lettura/contract';
import {
  comparisonsIn,
  expectationContext,
  findingsIn,
  pumpPoint,
  pumpSteps,
  type CaseFile,
} from '@lettura/core/judge/checks';
import { expectedReading } from '@lettura/core/judge/expectation';
import { weighJob } from '@lettura/core/judge/weighing';
import { movedState } from '@lettura/core/machine/family';
import { soundReturnVolts } from '@lettura/core/machine/limits';
import type { MachineState } from '@lettura/core/machine/places';
import { ambientFrom, isPressure } from '@lettura/core/measure/quantity';
import { COMMON_VACUUM_GAUGE } from '@lettura/core/measure/uncertainty';
import type { Evidence, WireReading } from '@lettura/core/record/evidence';
import { inWords } from '@lettura/words';
import { expect, test } from 'vitest';
import { exampleCase } from '../../core/judge/checks/exampleCase.ts';
import { SHIPPED_SENSORS } from './shippedSensors.ts';

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
/** A battery while it is charged, and a volt. */
const HIGHEST_SUPPLY_VOLTS = 16;
const AMBIENTS_KPA = [101.3, 74];
/** Not read, and as far off as units are found. */
const REFERENCES_VOLTS = [undefined, 4.75, 5.2];
/** From a minus that leads swapped by mistake show, to the supply of a lamp. */
const SIGNALS_VOLTS = [-0.2, 0, 0.004, 0.3, 0.9, 1.6, 2.2, 2.95, 3.6, 4.3, 4.7, 4.86, 5, 5.2, 12.6];

type Shipped = (typeof SHIPPED_SENSORS)[number];

const read = (id: string, lane: WireReading['lane'], volts: number, state = KOEO): Evidence => ({
  kind: 'wire',
  id,
  lane,
  place: 'plug',
  state,
  volts,
});

function caseOf({ family, profile, companion }: Shipped, kpaAbs: number, readings: Evidence[]): CaseFile {
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: kpaAbs });
  if (!ambient.ok) throw new Error(ambient.problem.code);
  const of = { family, profile, companion, ambient: ambient.value, displacementLitres: 1.6 };
  return exampleCase(readings, of);
}

/** Nothing in it is half a number or half a sentence. */
function isSaid(what: unknown, where: string): void {
  if (typeof what === 'number') expect(Number.isFinite(what), where).toBe(true);
  else if (typeof what === 'string')
    expect(what, where).not.toMatch(/NaN|Infinity|undefined|\[object|e\+\d|[?!,;:]\.|\.\.| {2}| [.,;]/u);
  else if (typeof what === 'object' && what !== null)
    for (const [key, value] of Object.entries(what)) isSaid(value, `${where}.${key}`);
}

const EVERY = SHIPPED_SENSORS.map((sensor) => [sensor.name, sensor] as const);

test.each(EVERY)(
  '%s: what is expected lies within the supply, whatever reference and ambient',
  (_, sensor) => {
    const wires = lanesOf(sensor);
    const moved = movedState(sensor.family);
    for (const kpaAbs of AMBIENTS_KPA)
      for (const volts of REFERENCES_VOLTS) {
        const caseFile = caseOf(sensor, kpaAbs, volts === undefined ? [] : [read('r', 'reference', volts)]);
        const context = expectationContext(caseFile);
        for (const lane of wires)
          for (const state of [KOEO, { ...KOEO, plug: 'unplugged' as const }, moved ?? KOEO]) {
            const expected = expectedReading({ kind: 'wire', lane, place: 'plug' }, state, context);
            if (!expected) continue;
            const highest =
              lane === 'signal' && volts !== undefined ? Math.max(volts, 5) : HIGHEST_SUPPLY_VOLTS;
            expect(expected.lowest, lane).toBeGreaterThanOrEqual(-soundReturnVolts(sensor.profile.measures));
            expect(expected.highest, lane).toBeLessThanOrEqual(highest + 0.15);
            expect(expected.lowest, lane).toBeLessThanOrEqual(expected.highest);
          }
        if (!isPressure(sensor.profile.measures)) continue;
        for (const kpa of pumpSteps(caseFile, kpaAbs, 'inHg', 10)) {
          const { expected } = pumpPoint(caseFile, kpa, COMMON_VACUUM_GAUGE);
          if (expected) expect(expected.highest).toBeLessThanOrEqual((volts ?? 5.1) + 0.15);
        }
      }
  },
);

test.each(EVERY)(
  '%s: whatever its signal reads, all that is said of it is a sentence with numbers',
  (_, sensor) => {
    for (const volts of SIGNALS_VOLTS) {
      const caseFile = caseOf(sensor, 101.3, [
        read('ref', 'reference', 4.98),
        read('ret', 'return', 0.006),
        read('sig', 'signal', volts),
        ...(isPressure(sensor.profile.measures)
          ? [
              read('pump', 'signal', volts, {
                ...KOEO,
                stimulus: {
                  kind: 'pump',
                  kpaAboveAmbient: sensor.profile.measures === 'absolute-pressure' ? -30 : 5,
                },
              }),
            ]
          : []),
      ]);
      isSaid(
        inWords({
          findings: findingsIn(caseFile),
          pairs: comparisonsIn(caseFile, KOEO),
          pump: isPressure(sensor.profile.measures) && pumpPoint(caseFile, 5, COMMON_VACUUM_GAUGE),
        }),
        `${volts} V`,
      );
    }
  },
);

const sortOf = (
  { family, companion, profile }: Pick<Shipped, 'family' | 'companion' | 'profile'>,
  wires: number,
) => [family, companion?.kind, profile.transfer.form, wires].join();
/** Whatever is wrong with these is weighed, and every sentence of it read, in bench/claims.test.ts. */
const SORTS_ON_MACHINES = new Set(MACHINES.map(({ sensor, wiring }) => sortOf(sensor, wiring.wires.length)));
/** One of each other family, body and form of curve: what differs between the others is numbers. */
const OF_EACH_SORT = [...new Map(EVERY.map((one) => [sortOf(one[1], one[1].pins.length), one]))].flatMap(
  ([sort, one]) => (SORTS_ON_MACHINES.has(sort) ? [] : [one]),
);

test.each(OF_EACH_SORT)(
  '%s: weighed, its shares lie within one and nothing shown is half a number',
  (_, sensor) => {
    const caseFile = caseOf(sensor, 101.3, [
      read('ref', 'reference', 4.98),
      read('ret', 'return', 0.006),
      read('sig', 'signal', 0.3),
    ]);
    const weighing = weighJob(caseFile, lanesOf(sensor));
    expect(weighing.causes.reduce((sum, { share }) => sum + share, 0)).toBeLessThan(1 + 1e-9);
    expect(weighing.causes.every(({ share }) => share >= 0)).toBe(true);
    isSaid(inWords(weighing), 'weighing');
  },
);

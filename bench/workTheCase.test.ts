import type { Evidence, MachineState, Target } from '@lettura/core/evidence';
import { ambientFrom } from '@lettura/core/quantity';
import { condemnsAPart, weigh, type CaseFile, type Weighing } from '@lettura/core/reasoning';
import { COMMON_METER, COMMON_VACUUM_GAUGE } from '@lettura/core/uncertainty';
import { expect, test } from 'vitest';
import {
  barometerDisplay,
  BRILL_P4,
  CASE_LETTERS,
  gaugeDisplay,
  liveData,
  meterDisplay,
  practiceMachine,
  type CaseLetter,
} from './index.ts';

/** What each letter hides on the pump engine, as a class of verdict. */
const CLASS_OF: Record<CaseLetter, string> = {
  A: 'wire',
  B: 'nothing-found',
  C: 'sensor',
  D: 'wire',
  E: 'physical',
  F: 'wire',
  G: 'sensor',
  H: 'wire',
};

/** Takes just the readings that the weighing asks for, from the simulated machine, until it decides. */
function workTheCase(letter: CaseLetter, seed: number) {
  const machine = practiceMachine(BRILL_P4, letter, seed);
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: barometerDisplay(machine) });
  if (!ambient.ok) throw new Error(ambient.problem.message);
  const readings: Evidence[] = [];
  const path: Weighing[] = [];
  for (;;) {
    const caseFile: CaseFile = {
      family: 'manifold-pressure',
      profile: BRILL_P4.sensor.profile,
      ambient: ambient.value,
      readings,
      isolation: [],
      sweeps: [],
      meter: COMMON_METER,
      gauge: COMMON_VACUUM_GAUGE,
      pressureUnit: 'kPa',
    };
    const weighing = weigh(caseFile);
    path.push(weighing);
    if (weighing.verdict.decided || !weighing.next) return { weighing, path, readings };
    readings.push(take(weighing.next.target, weighing.next.state, String(readings.length)));
  }

  function take(target: Target, state: MachineState, id: string): Evidence {
    switch (target.kind) {
      case 'wire':
        return {
          ...target,
          id,
          state,
          volts: meterDisplay(
            machine.voltsBetween({ lane: target.lane, place: target.place }, 'battery-negative', state),
            seed,
            1,
          ).volts,
        };
      case 'gauge':
        return {
          ...target,
          id,
          state,
          basis: 'vacuum',
          pressureKpa: gaugeDisplay(machine, state, target.tap, seed)?.pressureKpa ?? NaN,
        };
      case 'scan':
        return {
          kind: 'scan',
          id,
          state,
          measures: 'absolute-pressure',
          value: liveData(machine, state)?.value ?? NaN,
        };
    }
  }
}

test.each(CASE_LETTERS)(
  'in case %s, following the next reading leads to the right class of verdict',
  (letter) => {
    for (let seed = 1; seed <= 25; seed++) {
      const { weighing, readings } = workTheCase(letter, seed);
      expect(weighing.verdict, weighing.verdict.sentence).toMatchObject({
        decided: true,
        class: CLASS_OF[letter],
      });
      expect(readings.length).toBeLessThanOrEqual(12);
    }
  },
);

test.each(CASE_LETTERS)(
  'in case %s, no part is condemned before its supply and return are read good',
  (letter) => {
    for (let seed = 1; seed <= 25; seed++) {
      const { path, readings } = workTheCase(letter, seed);
      path.forEach(({ verdict }, taken) => {
        if (!verdict.decided || !condemnsAPart(verdict.cause)) return;
        const loadedAtPlug = (lane: string) =>
          readings
            .slice(0, taken)
            .flatMap((r) =>
              r.kind === 'wire' && r.lane === lane && r.place === 'plug' && r.state.plug === 'connected'
                ? [r.volts]
                : [],
            );
        expect(Math.max(...loadedAtPlug('reference'))).toBeGreaterThan(4.85);
        expect(Math.min(...loadedAtPlug('return').map(Math.abs))).toBeLessThan(0.06);
        expect(loadedAtPlug('signal').length).toBeGreaterThan(0);
      });
    }
  },
);

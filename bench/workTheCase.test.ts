import type { ThreeWire, Evidence, MachineState, Target } from '@lettura/core/evidence';
import { ambientFrom } from '@lettura/core/quantity';
import { condemnsAPart, weigh, type CaseFile, type Weighing } from '@lettura/core/reasoning';
import { COMMON_METER, COMMON_VACUUM_GAUGE } from '@lettura/core/uncertainty';
import { expect, test } from 'vitest';
import {
  barometerDisplay,
  BRILL_P4,
  gaugeDisplay,
  HIDDEN_FAULTS,
  liveDataDisplay,
  meterDisplay,
  simulatedMachine,
  type HiddenFault,
} from './index.ts';

const CLASS_OF: Record<HiddenFault, string> = {
  none: 'nothing-found',
  'reference-open': 'wire',
  'return-high-resistance': 'wire',
  'signal-open': 'wire',
  'signal-short-to-reference': 'wire',
  'sensor-offset': 'sensor',
  'sensor-stuck': 'sensor',
  'low-vacuum': 'physical',
};

/** Takes just the readings that the weighing asks for, from the simulated machine, until it decides. */
function workTheCase(fault: HiddenFault, seed: number) {
  const machine = simulatedMachine(fault, seed);
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
          volts: meterDisplay(machine.voltsAt(target.lane as ThreeWire, target.place, state), seed, 1).volts,
        };
      case 'gauge':
        return {
          ...target,
          id,
          state,
          basis: 'vacuum',
          pressureKpa: gaugeDisplay(machine, state, seed).pressureKpa,
        };
      case 'scan':
        return {
          kind: 'scan',
          id,
          state,
          measures: 'absolute-pressure',
          value: liveDataDisplay(machine, state)?.pressureKpaAbs ?? NaN,
        };
    }
  }
}

test.each(HIDDEN_FAULTS)(
  'with %s hidden, following the next reading leads to the right class of verdict',
  (fault) => {
    for (let seed = 1; seed <= 25; seed++) {
      const { weighing, readings } = workTheCase(fault, seed);
      expect(weighing.verdict, weighing.verdict.sentence).toMatchObject({
        decided: true,
        class: CLASS_OF[fault],
      });
      expect(readings.length).toBeLessThanOrEqual(12);
    }
  },
);

test.each(HIDDEN_FAULTS)(
  'with %s hidden, no part is condemned before its supply and return are read good',
  (fault) => {
    for (let seed = 1; seed <= 25; seed++) {
      const { path, readings } = workTheCase(fault, seed);
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

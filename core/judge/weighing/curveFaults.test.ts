import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../record/evidence/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import { commonGauge } from '../../machine/family/index.ts';
import { exampleCase, REFRIGERANT_PROFILE } from '../checks/exampleCase.ts';
import type { CaseFile } from '../checks/index.ts';
import { goodSupply, IDLE, KOEO, wire, WIRES } from './exampleWeighing.ts';
import { judge, weigherFor } from './index.ts';

// A sensor that is right in some states and not in others: where its curve stops, where it sticks, and where only a gauge knows better.

const pumped = (kpaAboveAmbient: number): MachineState => ({
  ...KOEO,
  stimulus: { kind: 'pump', kpaAboveAmbient },
});
/** 5 · (0.0078·P + 0.02) volts. */
const soundVolts = (kpaAbs: number): number => 5 * (0.0078 * kpaAbs + 0.02);

function judged(readings: readonly AnyEvidence[], over: Partial<CaseFile> = {}) {
  const caseFile = exampleCase(readings as CaseFile['readings'][number][], over);
  const { ranked, suggestions } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  return {
    leader: ranked[0]!.decision.id,
    share: ranked[0]!.share,
    of: (id: string) => ranked.find(({ decision }) => decision.id === id)?.share ?? 0,
    asked: suggestions.map(({ candidate }) => candidate.target.kind),
  };
}

test('70 kPa with the engine stopped, right on the pump and at idle: the sensor goes no farther', () => {
  const { leader, share } = judged([
    ...goodSupply(),
    wire('signal', 'plug', soundVolts(70)),
    wire('signal', 'plug', soundVolts(70), pumped(-15)),
    wire('signal', 'plug', soundVolts(55), pumped(-45)),
    wire('signal', 'plug', soundVolts(38), IDLE),
  ]);
  expect(leader).toBe('sensor');
  expect(share).toBeGreaterThan(0.9);
});

test('right at both ends of the pump and behind between them: the sensor sticks', () => {
  const { leader, share } = judged([
    ...goodSupply(),
    wire('signal', 'plug', soundVolts(100)),
    wire('signal', 'plug', soundVolts(92), pumped(-15)),
    wire('signal', 'plug', soundVolts(92), pumped(-25)),
    wire('signal', 'plug', soundVolts(40), pumped(-60)),
  ]);
  expect(leader).toBe('sensor');
  expect(share).toBeGreaterThan(0.9);
});

const refrigerant: Partial<CaseFile> = {
  family: 'refrigerant-pressure',
  profile: REFRIGERANT_PROFILE,
  ambient: { pressureKpaAbs: 100, expandedUncertaintyKpa: 0.3, source: 'barometer', airCelsius: 20 },
  gauge: commonGauge('refrigerant-pressure'),
};
/** R-134a rests at about 470 kPa above ambient at 20 °C (DESIGN: its saturation pressure). */
const resting = [...goodSupply(), wire('signal', 'plug', 1.13), wire('signal', 'plug', 2.1, IDLE)];
const atPort = (pressureKpa: number) =>
  ({
    kind: 'gauge',
    id: `g${pressureKpa}`,
    tap: 'service-port',
    pressureKpa,
    basis: 'gauge',
    state: IDLE,
  }) as const;

test('of a refrigerant’s pressure at work only a gauge on the service port knows, and it is asked for', () => {
  const alone = judged(resting, refrigerant);
  expect(alone.leader).toBe('nothing');
  expect(alone.asked).toContain('gauge');
  // 2.1 V is 1,200 kPa.
  const agreed = judged([...resting, atPort(1200)], refrigerant);
  expect(agreed.of('sensor')).toBeLessThan(alone.of('sensor'));
  const apart = judged([...resting, atPort(2100), { ...atPort(2150), id: 'again' }], refrigerant);
  expect(apart.leader).toBe('sensor');
  expect(apart.of('nothing')).toBeLessThan(0.1);
});

import { BRILL_P4_SENSOR } from '@lettura/bench';
import type { Sensor } from '@lettura/contract';
import { toKpa } from '@lettura/core/quantity';
import { MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA, MPX4115A, MPX4250A } from '@lettura/core/transfer';
import type { Database } from '../db/connect.ts';
import { sensorTable } from '../db/schema.ts';

const SEA_LEVEL_KPA = 101.325;

/** Ids are fixed, so that a job keeps its sensor whichever server put it there. */
export const SHIPPED_SENSORS = [
  {
    id: '01935a00-0000-7000-8000-000000000001',
    name: 'MPX4250A absolute, 20–250 kPa',
    source: 'Published data sheet: V = Vs (0.004 P − 0.04)',
    profile: MPX4250A,
  },
  {
    id: '01935a00-0000-7000-8000-000000000002',
    name: 'MPX4115A absolute, 15–115 kPa',
    source: 'Published data sheet: V = Vs (0.009 P − 0.095)',
    profile: MPX4115A,
  },
  { id: '01935a00-0000-7000-8000-000000000003', ...BRILL_P4_SENSOR },
  {
    id: '01935a00-0000-7000-8000-000000000004',
    name: 'Manifold pressure, 3.0 V less 0.1 V per inHg',
    source: 'Common practice: 0 inHg of vacuum at sea level is 3.0 V, 20 inHg is 1.0 V',
    profile: {
      transfer: {
        form: 'linear',
        low: { volts: 0.5, kpaAbs: SEA_LEVEL_KPA - toKpa(25, 'inHg') },
        high: { volts: 3, kpaAbs: SEA_LEVEL_KPA },
      },
      nominalReferenceVolts: 5,
      lowestKpaAbs: 13,
      highestKpaAbs: 119,
      circuitLowVolts: 0.3,
      circuitHighVolts: 4.4,
      toleranceKpa: 2.5,
      differenceThatMattersKpa: MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
      bias: 'pull-up',
    },
  },
  {
    id: '01935a00-0000-7000-8000-000000000005',
    name: 'Tern 2-bar manifold pressure',
    source: 'Invented for the demo',
    profile: {
      transfer: { form: 'linear', low: { volts: 0.5, kpaAbs: 20 }, high: { volts: 4.5, kpaAbs: 200 } },
      nominalReferenceVolts: 5,
      lowestKpaAbs: 20,
      highestKpaAbs: 200,
      circuitLowVolts: 0.25,
      circuitHighVolts: 4.75,
      toleranceKpa: 3,
      differenceThatMattersKpa: MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
      bias: 'pull-up',
    },
  },
] as const satisfies readonly Sensor[];

export async function shipSensors(db: Database): Promise<void> {
  await db
    .insert(sensorTable)
    .values([...SHIPPED_SENSORS])
    .onConflictDoNothing();
}

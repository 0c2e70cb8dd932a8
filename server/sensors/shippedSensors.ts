import { BODY_SENSORS, BRILL_P4_SENSOR, PRESSURE_SENSORS } from '@lettura/bench';
import type { NewSensor } from '@lettura/contract';
import { toKpa } from '@lettura/core/measure/quantity';
import {
  MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
  MPX4115A,
  MPX4250A,
  MPX5010DP,
  MPXV7002DP,
} from '@lettura/core/measure/transfer';
import { SEA_LEVEL_KPA } from '@lettura/core/measure/quantity';
import type { Database } from '../db/connect.ts';
import { sensorTable } from '../db/schema.ts';
import { shipped } from './shippedSensor.ts';

/** Ids are fixed, so that a job keeps its sensor whichever server put it there. */
export const SHIPPED_SENSORS: readonly NewSensor[] = [
  shipped(1, {
    name: 'MPX4250A absolute, 20–250 kPa',
    family: 'manifold-pressure',
    source: 'Published data sheet: V = Vs (0.004 P − 0.04)',
    profile: MPX4250A,
  }),
  shipped(2, {
    name: 'MPX4115A absolute, 15–115 kPa',
    family: 'barometric-pressure',
    source: 'Published data sheet: V = Vs (0.009 P − 0.095)',
    profile: MPX4115A,
  }),
  shipped(3, {
    ...BRILL_P4_SENSOR,
    notes: 'Sits on the inlet manifold without a hose on the Brill P4; on a short hose everywhere else.',
    pins: [
      { terminal: '1', wire: 'reference', colour: 'grey' },
      { terminal: '2', wire: 'return', colour: 'brown-blue' },
      { terminal: '3', wire: 'signal', colour: 'yellow' },
    ],
  }),
  shipped(4, {
    name: 'Manifold pressure, 3.0 V less 0.1 V per inHg',
    family: 'manifold-pressure',
    source: 'Common practice: 0 inHg of vacuum at sea level is 3.0 V, 20 inHg is 1.0 V',
    profile: {
      measures: 'absolute-pressure',
      transfer: {
        form: 'linear',
        low: { volts: 0.5, value: SEA_LEVEL_KPA - toKpa(25, 'inHg') },
        high: { volts: 3, value: SEA_LEVEL_KPA },
      },
      nominalReferenceVolts: 5,
      lowest: 13,
      highest: 119,
      circuitLowVolts: 0.3,
      circuitHighVolts: 4.4,
      tolerance: { form: 'plus-minus', plusMinus: 2.5 },
      differenceThatMatters: MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
      bias: 'pull-up',
    },
  }),
  shipped(6, {
    name: 'MPX5010DP differential, 0–10 kPa',
    family: 'other',
    source: 'Published data sheet: V = Vs (0.09 P + 0.04)',
    profile: MPX5010DP,
  }),
  shipped(7, {
    name: 'MPXV7002DP differential, ±2 kPa',
    family: 'other',
    source: 'Published data sheet: V = Vs (0.2 P + 0.5)',
    profile: MPXV7002DP,
  }),
  ...Object.entries({ ...PRESSURE_SENSORS, ...BODY_SENSORS }).map(([n, sensor]) =>
    shipped(Number(n), sensor),
  ),
];

export async function shipSensors(db: Database): Promise<void> {
  await db
    .insert(sensorTable)
    .values(SHIPPED_SENSORS.map((sensor) => ({ ...sensor, lineageId: sensor.id, version: 1 })))
    .onConflictDoNothing();
}

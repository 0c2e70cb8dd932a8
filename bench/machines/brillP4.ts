import { MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA, type SensorProfile } from '@lettura/core/transfer';

/** Invented: a pump-station engine with a three-wire manifold pressure sensor and a pulled-down input. */
export const BRILL_P4_SENSOR = {
  name: 'Corvel MS-3 manifold pressure',
  family: 'manifold-pressure' as const,
  source: 'Invented for the demo',
  profile: {
    measures: 'absolute-pressure',
    transfer: { form: 'ratiometric', sharePerUnit: 0.0078, shareAtZero: 0.02 },
    nominalReferenceVolts: 5,
    lowest: 15,
    highest: 115,
    circuitLowVolts: 0.3,
    circuitHighVolts: 4.75,
    tolerance: { form: 'plus-minus', plusMinus: 1.8 },
    differenceThatMatters: MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
    bias: 'pull-down',
  } satisfies SensorProfile,
};

export const BRILL_P4 = {
  name: 'Brill P4 pump engine',
  sensor: BRILL_P4_SENSOR,
  ambientKpaAbs: 100.9,
  /** Shown in live data instead of a signal past a circuit limit. */
  substitutedKpaAbs: 118,
  supplyMilliamps: 7,
  sensorOutputOhms: 100,
  biasOhms: 470_000,
  segmentOhms: 0.08,
  contactOhms: 0.02,
} as const;

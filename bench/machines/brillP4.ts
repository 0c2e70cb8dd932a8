import { MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA } from '@lettura/core/measure/transfer';
import { wiringFor } from '@lettura/core/machine/wiring';
import type { BenchMachine, CaseFault } from '../benchMachine.ts';
import { manifold } from '../quantities.ts';
import type { BenchSensor } from '../sensors/usualSensor.ts';

/** Invented: a pump-station engine with a three-wire manifold pressure sensor and a pulled-down input. */
export const BRILL_P4_SENSOR = {
  name: 'Corvel MS-3 manifold pressure',
  family: 'manifold-pressure',
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
  },
} satisfies BenchSensor;

const ANYWHERE = ['first', 'second'] as const;
const openAnywhere = (wire: 'reference' | 'signal') =>
  ANYWHERE.map((joint): CaseFault => ({ kind: 'wire-open', site: `${wire}:${joint}` }));

export const BRILL_P4: BenchMachine = {
  id: 'brill-p4',
  name: 'Brill P4 pump engine',
  sensor: BRILL_P4_SENSOR,
  wiring: wiringFor({ profile: BRILL_P4_SENSOR.profile, wires: ['reference', 'signal', 'return'] }),
  litres: 2.4,
  ambientKpaAbs: 100.9,
  quantity: manifold,
  substituted: 118,
  // SAE J2012 names, from memory.
  codes: { signal: { low: 'P0107', high: 'P0108' } },
  referenceCode: 'P0641',
  cases: {
    A: openAnywhere('signal'),
    B: [],
    C: [{ kind: 'sensor-stuck', site: 'element', from: 0.33, to: 0.62 }],
    D: openAnywhere('reference'),
    E: [{ kind: 'low-vacuum', site: 'engine', from: 0.4, to: 0.7 }],
    // 45 to 110 Ω of 2 to 5000 Ω in decades.
    F: ANYWHERE.map((joint): CaseFault => ({
      kind: 'wire-high-resistance',
      site: `return:${joint}`,
      from: 0.4,
      to: 0.51,
    })),
    G: [{ kind: 'sensor-shifted', site: 'up', from: 0.25, to: 0.55 }],
    H: [{ kind: 'wires-together', site: 'reference+signal', from: 0, to: 0.2 }],
  },
};

import { toKpa } from '../quantity/index.ts';
import type { GaugeAccuracy, Instrument, MeterAccuracy } from './instrumentTerms.ts';

/** Common practice: what stands in a good workshop. The instruments' own papers overrule these. */
export const COMMON_METER: Instrument<MeterAccuracy> = {
  name: 'meter',
  assumed: true,
  accuracy: { kind: 'meter', percentOfReading: 0.5, counts: 2, displayCounts: 6000 },
};
export const COMMON_VACUUM_GAUGE: Instrument<GaugeAccuracy> = {
  name: 'gauge',
  assumed: true,
  accuracy: {
    kind: 'gauge',
    classPercent: 1.6,
    spanKpa: toKpa(30, 'inHg'),
    divisionKpa: toKpa(0.5, 'inHg'),
  },
};
/** The high side of a gauge set for refrigerant, from memory: 0 to 35 bar in steps of half a bar. */
export const COMMON_SERVICE_GAUGE: Instrument<GaugeAccuracy> = {
  name: 'gauge',
  assumed: true,
  accuracy: { kind: 'gauge', classPercent: 1.6, spanKpa: 3500, divisionKpa: 50 },
};

/** SAE J1979, service 01, item 0B: manifold absolute pressure in steps of 1 kPa. */
export const SCAN_STEP_KPA = 1;

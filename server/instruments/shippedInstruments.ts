import { newInstrument } from '@lettura/contract';
import { fromKpa, toKpa } from '@lettura/core/measure/quantity';
import { COMMON_METER, COMMON_VACUUM_GAUGE, SCAN_STEP_KPA } from '@lettura/core/measure/uncertainty';
import type { Database } from '../db/connect.ts';
import { instrumentTable } from '../db/schema.ts';

const id = (n: number): string => `01935a00-0000-7000-8000-0000000010${String(n).padStart(2, '0')}`;
const INH = fromKpa(COMMON_VACUUM_GAUGE.accuracy.spanKpa, 'inHg').toFixed(0);

/** What stands in a good workshop (common practice), without calibration dates: the paper has those. */
export const SHIPPED_INSTRUMENTS = [
  {
    id: id(1),
    name: 'Workshop meter',
    sort: 'meter',
    accuracy: COMMON_METER.accuracy,
    lowest: -600,
    highest: 600,
  },
  {
    id: id(2),
    name: `Vacuum gauge, 0–${INH} inHg`,
    sort: 'gauge',
    accuracy: COMMON_VACUUM_GAUGE.accuracy,
    lowest: -COMMON_VACUUM_GAUGE.accuracy.spanKpa,
    highest: 0,
  },
  {
    id: id(3),
    name: 'Hand pump with gauge',
    sort: 'hand-pump',
    accuracy: { kind: 'gauge', classPercent: 2.5, spanKpa: toKpa(60, 'inHg'), divisionKpa: toKpa(1, 'inHg') },
    lowest: -toKpa(30, 'inHg'),
    highest: toKpa(30, 'inHg'),
  },
  {
    id: id(4),
    name: 'Live data, standard items',
    sort: 'live-data',
    accuracy: { kind: 'live-data', step: SCAN_STEP_KPA },
    lowest: 0,
    highest: 255,
  },
].map((instrument) => newInstrument.parse(instrument));

export async function shipInstruments(db: Database): Promise<void> {
  await db
    .insert(instrumentTable)
    .values(
      SHIPPED_INSTRUMENTS.map((instrument) => ({ ...instrument, lineageId: instrument.id, version: 1 })),
    )
    .onConflictDoNothing();
}

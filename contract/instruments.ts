import { say } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id } from './ids.ts';
import { plainText } from './text.ts';

export const INSTRUMENT_SORTS = ['meter', 'gauge', 'hand-pump', 'live-data'] as const;
export type InstrumentSort = (typeof INSTRUMENT_SORTS)[number];

const accuracy = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('meter'),
    percentOfReading: z.number().min(0).max(20),
    counts: z.int().min(0).max(1000),
    displayCounts: z.int().min(200).max(2_000_000),
  }),
  z.strictObject({
    kind: z.literal('gauge'),
    classPercent: z.number().min(0.01).max(20),
    spanKpa: z.number().min(0.01).max(400_000),
    divisionKpa: z.number().min(0.0001).max(100_000),
    readTo: z.enum(['division', 'half', 'quarter']).optional(),
  }),
  z.strictObject({ kind: z.literal('live-data'), step: z.number().min(0.0001).max(1000) }),
]);

const day = z.iso.date();

const described = {
  name: plainText(80).min(1, refusal(say('refusal.give-instrument-name'))),
  sort: z.enum(INSTRUMENT_SORTS),
  accuracy,
  /** What it can show: volts for a meter, kPa for a gauge or pump. */
  lowest: z.number().min(-1000).max(400_000),
  highest: z.number().min(-1000).max(400_000),
  calibratedOn: day.optional(),
  calibrationDue: day.optional(),
  notes: plainText(500),
  /** No longer offered; readings taken with it keep it. */
  retired: z.boolean(),
};

const ACCURACY_OF = {
  meter: 'meter',
  gauge: 'gauge',
  'hand-pump': 'gauge',
  'live-data': 'live-data',
} as const satisfies Record<InstrumentSort, string>;

/** A changed instrument is a new one that replaces the old: readings keep the accuracy they were taken with. */
export const newInstrument = z
  .strictObject({
    id,
    ...described,
    notes: described.notes.default(''),
    retired: described.retired.default(false),
    replaces: id.optional(),
  })
  .refine(({ sort, accuracy: given }) => ACCURACY_OF[sort] === given.kind, {
    error: refusal(say('refusal.accuracy-statement-does-not-belong')),
    path: ['accuracy'],
  })
  .refine(({ lowest, highest }) => lowest < highest, {
    error: refusal(say('refusal.range-must-run-from-lower')),
    path: ['highest'],
  })
  .refine(
    ({ calibratedOn, calibrationDue }) => !calibratedOn || !calibrationDue || calibratedOn <= calibrationDue,
    { error: refusal(say('refusal.cannot-due-before-was-calibrated')), path: ['calibrationDue'] },
  );
export const instrument = z.strictObject({
  id,
  ...described,
  lineageId: id,
  version: z.int().min(1),
});
export type NewInstrument = z.infer<typeof newInstrument>;
export type Instrument = z.infer<typeof instrument>;

/** Both dates as the calendar has them; on the day itself it is still good. */
export const calibrationOverdue = (
  { calibrationDue }: Pick<Instrument, 'calibrationDue'>,
  today: string,
): boolean => calibrationDue !== undefined && calibrationDue < today;

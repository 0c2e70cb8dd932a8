import type { JobSheet, Workshop } from '@lettura/contract';
import { PRESSURE_UNITS } from '@lettura/core/measure/quantity';
import { LANGUAGES } from '@lettura/words';
import { z } from 'zod';

/** For whom a report is written: language, units and the clock of whoever asks for it. */
export const reportReader = z.strictObject({
  language: z.enum(LANGUAGES).default('en'),
  absolute: z.enum(PRESSURE_UNITS).default('kPa'),
  vacuum: z.enum(PRESSURE_UNITS).default('inHg'),
  timeZone: z
    .string()
    .max(60)
    .refine((zone) => {
      try {
        return Boolean(new Intl.DateTimeFormat('en-GB', { timeZone: zone }));
      } catch {
        return false;
      }
    })
    .default('UTC'),
});
export type ReportReader = z.infer<typeof reportReader>;

/** All that a report says, and to whom. */
export interface ReportAsked {
  sheet: JobSheet;
  workshop: Workshop;
  reader: ReportReader;
  /** By the id of a recording: its pictures. One that is missing is too long to be drawn. */
  pictures: Readonly<Record<string, string[]>>;
  /** When it is made. */
  atInstant: string;
  version: string;
}

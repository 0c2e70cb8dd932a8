import { MONITOR_IDS } from '@lettura/core/record/onBoard';
import { z } from 'zod';
import { instant } from './ids.ts';
import { troubleCode } from './troubleCode.ts';

const MOST_CODES = 400;
const codes = z.array(troubleCode).max(MOST_CODES);
const monitors = z.array(z.enum(MONITOR_IDS));

/** What one control unit of a vehicle says of itself; a part that it does not answer is left out. */
export const unitReport = z.strictObject({
  /** As it answers on the bus. */
  unit: z.string().max(8),
  vehicleNumber: z.string().max(40).optional(),
  stored: codes.optional(),
  pending: codes.optional(),
  /** That only the unit itself clears, once its self-test has passed. */
  permanent: codes.optional(),
  readiness: z
    .strictObject({
      lampOn: z.boolean(),
      storedCodes: z.int().min(0).max(127),
      ignition: z.enum(['spark', 'compression']),
      finished: monitors,
      unfinished: monitors,
    })
    .optional(),
  /** What it saw when a code was set. */
  freezeFrame: z
    .strictObject({
      code: troubleCode,
      /** By item of live data, in its unit. */
      values: z.array(z.strictObject({ item: z.int().min(0).max(0xff), value: z.number() })).max(32),
    })
    .optional(),
});

/** More do not answer to a tester. */
export const MOST_UNITS = 16;

export const vehicleReport = z.strictObject({
  readAt: instant,
  simulated: z.boolean(),
  units: z.array(unitReport).min(1).max(MOST_UNITS),
});
export type VehicleReport = z.infer<typeof vehicleReport>;

/** Clearing loses readiness and freeze frame: it is asked for by somebody who was told. */
export const clearingAsked = z.strictObject({ consequencesRead: z.literal(true) });

/** Why a unit did not clear its codes, as far as it says. */
export const CLEARING_REFUSALS = [
  'not-now',
  'locked',
  'busy',
  'no-such-service',
  'no-answer',
  'other',
] as const;
export const clearing = z.strictObject({
  clearedAt: instant,
  /** Those that say that they cleared. */
  cleared: z.array(z.string().max(8)).max(16),
  refused: z.array(z.strictObject({ unit: z.string().max(8), why: z.enum(CLEARING_REFUSALS) })).max(16),
});
export type Clearing = z.infer<typeof clearing>;

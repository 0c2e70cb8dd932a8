import { BIASES, isMonotone, type SensorProfile } from '@lettura/core/transfer';
import { z } from 'zod';
import { id } from './ids.ts';

const volts = z.number().min(-1).max(16);
const kpaAbs = z.number().min(0).max(1000);
const linePoint = z.strictObject({ volts, kpaAbs });

const MOST_TABLE_POINTS = 500;

const transfer = z.discriminatedUnion('form', [
  z
    .strictObject({ form: z.literal('linear'), low: linePoint, high: linePoint })
    .refine(({ low, high }) => low.kpaAbs < high.kpaAbs && low.volts !== high.volts, {
      error: 'The two points must differ in volts, and the low point must have the lower pressure.',
    }),
  z.strictObject({
    form: z.literal('ratiometric'),
    sharePerKpa: z
      .number()
      .min(-1)
      .max(1)
      .refine((share) => share !== 0, { error: 'The signal must change with pressure.' }),
    shareAtZero: z.number().min(-2).max(2),
  }),
  z
    .strictObject({
      form: z.literal('table'),
      points: z.array(linePoint).min(3).max(MOST_TABLE_POINTS).readonly(),
      ratiometric: z.boolean(),
    })
    .refine(({ points }) => isMonotone(points), {
      error: 'The points must rise or fall all the way, with no two at the same volts or pressure.',
      path: ['points'],
    }),
]);

export const sensorProfile = z
  .strictObject({
    transfer,
    nominalReferenceVolts: z.number().min(3).max(16),
    lowestKpaAbs: kpaAbs,
    highestKpaAbs: kpaAbs,
    circuitLowVolts: volts,
    circuitHighVolts: volts,
    toleranceKpa: z.number().positive().max(200),
    differenceThatMattersKpa: z.number().positive().max(200),
    bias: z.enum(BIASES),
  })
  .refine((profile) => profile.lowestKpaAbs < profile.highestKpaAbs, {
    error: 'The range must run from a lower to a higher pressure.',
    path: ['highestKpaAbs'],
  })
  .refine((profile) => profile.circuitLowVolts < profile.circuitHighVolts, {
    error: 'The circuit-low limit must be below the circuit-high limit.',
    path: ['circuitHighVolts'],
  }) satisfies z.ZodType<SensorProfile>;

export const newSensor = z.strictObject({
  id,
  name: z.string().trim().min(1).max(120),
  /** Where the curve comes from: data sheet, known-good part, workshop. */
  source: z.string().trim().min(1).max(200),
  profile: sensorProfile,
});
export const sensor = newSensor;
export type Sensor = z.infer<typeof sensor>;

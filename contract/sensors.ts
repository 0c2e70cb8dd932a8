import { say } from '@lettura/core/measure/message';
import { FAMILY_IDS } from '@lettura/core/machine/family';
import { MEASURAND_NAMES } from '@lettura/core/measure/quantity';
import {
  BIASES,
  HOT_ELEMENT_EXPONENTS,
  isCurve,
  isMonotonePolynomial,
  type SensorProfile,
} from '@lettura/core/measure/transfer';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id } from './ids.ts';
import { companion, pins } from './sensorParts.ts';
import { plainText } from './text.ts';

const volts = z.number().min(-1).max(16);
/** In the unit of what is measured: kPa, %, ° or g/s. */
const value = z.number().min(-1000).max(400_000);
const width = z.number().positive().max(200_000);
const curvePoint = z.strictObject({ volts, value });

export const MOST_TABLE_POINTS = 10_000;

const transfer = z.discriminatedUnion('form', [
  z
    .strictObject({ form: z.literal('linear'), low: curvePoint, high: curvePoint })
    .refine(({ low, high }) => low.value < high.value && low.volts !== high.volts, {
      error: refusal(say('refusal.two-points-must-differ-in')),
    }),
  z.strictObject({
    form: z.literal('ratiometric'),
    sharePerUnit: z
      .number()
      .min(-1)
      .max(1)
      .refine((share) => Math.abs(share) > 1e-9, {
        error: refusal(say('refusal.signal-must-change-with-value')),
      }),
    shareAtZero: z.number().min(-2).max(2),
  }),
  z
    .strictObject({
      form: z.literal('table'),
      points: z.array(curvePoint).min(3).max(MOST_TABLE_POINTS).readonly(),
      ratiometric: z.boolean(),
    })
    .refine(({ points }) => isCurve(points), {
      error: refusal(say('refusal.value-may-stand-in-two')),
      path: ['points'],
    }),
  z
    .strictObject({
      form: z.literal('polynomial'),
      coefficients: z.array(z.number().min(-1e9).max(1e9)).min(2).max(8).readonly(),
      fromVolts: volts,
      toVolts: volts,
      ratiometric: z.boolean(),
    })
    .refine(
      ({ coefficients, fromVolts, toVolts }) => isMonotonePolynomial(coefficients, fromVolts, toVolts),
      {
        error: refusal(say('refusal.polynomial-must-rise-fall-all')),
        path: ['coefficients'],
      },
    ),
  z.strictObject({
    form: z.literal('hot-element'),
    a: z.number().min(0).max(256),
    b: z.number().min(1e-6).max(256),
    n: z.number().min(HOT_ELEMENT_EXPONENTS.lowest).max(HOT_ELEMENT_EXPONENTS.highest),
  }),
]);

const percent = z.number().positive().max(100);
const tolerance = z.discriminatedUnion('form', [
  z.strictObject({ form: z.literal('plus-minus'), plusMinus: width }),
  z.strictObject({ form: z.literal('of-span'), percent }),
  z.strictObject({ form: z.literal('of-value'), percent, atLeast: z.number().min(0).max(200_000) }),
  z.strictObject({
    form: z.literal('temperature-band'),
    plusMinus: width,
    multipliers: z
      .array(z.strictObject({ celsius: z.number().min(-100).max(300), factor: z.number().min(1).max(100) }))
      .min(1)
      .max(20)
      .refine((points) => points.every(({ celsius }, i) => i === 0 || celsius > points[i - 1]!.celsius), {
        error: refusal(say('refusal.temperatures-must-rise')),
      })
      .readonly(),
  }),
]);

const rising = (error: string) =>
  z
    .strictObject({ lowest: volts, highest: volts })
    .refine(({ lowest, highest }) => lowest < highest, { error });

export const sensorProfile = z
  .strictObject({
    measures: z.enum(MEASURAND_NAMES),
    transfer,
    nominalReferenceVolts: z.number().min(3).max(16),
    lowest: value,
    highest: value,
    circuitLowVolts: volts,
    circuitHighVolts: volts,
    tolerance,
    differenceThatMatters: width,
    bias: z.enum(BIASES),
    outputVolts: rising(refusal(say('refusal.output-must-run-from-lower'))).optional(),
    supplyVolts: rising(refusal(say('refusal.supply-must-run-from-lower'))).optional(),
    fitUncertaintyVolts: z.number().min(0).max(16).optional(),
    fittedTo: z.array(curvePoint).min(2).max(MOST_TABLE_POINTS).readonly().optional(),
  })
  .refine((profile) => profile.lowest < profile.highest, {
    error: refusal(say('refusal.range-must-run-from-lower')),
    path: ['highest'],
  })
  .refine((profile) => profile.circuitLowVolts < profile.circuitHighVolts, {
    error: refusal(say('refusal.circuitlow-limit-must-below-circuithigh')),
    path: ['circuitHighVolts'],
  }) satisfies z.ZodType<SensorProfile>;

/** What a sensor is, apart from its id: also what stands in a file. */
const described = {
  name: plainText(120).min(1, refusal(say('refusal.give-sensor-name'))),
  family: z.enum(FAMILY_IDS),
  /** Where the curve comes from: data sheet, known-good part, workshop. */
  source: plainText(200).min(1, refusal(say('refusal.say-where-curve-comes-from'))),
  /** What the workshop knows of it. */
  notes: plainText(2000),
  profile: sensorProfile,
  companion: companion.optional(),
  pins,
};
/** Whoever writes a sensor may leave these out; whoever reads one gets them. */
const written = { ...described, notes: described.notes.default(''), pins: pins.default([]) };
export const fileSensor = z.strictObject({ id, ...written });

/** A changed sensor is a new one that replaces the old: jobs keep the version they were done with. */
export const newSensor = z.strictObject({ id, ...written, replaces: id.optional() });
export const sensor = z.strictObject({
  id,
  ...described,
  /** The same for all versions of one sensor: the id of its first. */
  lineageId: id,
  version: z.int().min(1),
});
export type NewSensor = z.infer<typeof newSensor>;
export type Sensor = z.infer<typeof sensor>;

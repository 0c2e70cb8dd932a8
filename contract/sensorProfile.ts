import { say } from '@lettura/core/measure/message';
import { MEASURAND_NAMES } from '@lettura/core/measure/quantity';
import {
  BIASES,
  HOT_ELEMENT_EXPONENTS,
  isCurve,
  isMonotonePolynomial,
  isPulseCurve,
  PULSE_HERTZ,
  PULSE_PERCENT,
  VALUE_STEPS,
  type SensorProfile,
} from '@lettura/core/measure/transfer';
import { z } from 'zod';
import { refusal } from './refusal.ts';

const volts = z.number().min(-1).max(16);
/** In the unit of what is measured: kPa, %, ° or g/s. */
const value = z.number().min(-1000).max(400_000);
const width = z.number().positive().max(200_000);
const stepPoint = z.strictObject({ step: z.number().int().min(VALUE_STEPS[0]).max(VALUE_STEPS[1]), value });
const curvePoint = z.strictObject({ volts, value });

const hertzPoint = z.strictObject({ hertz: z.number().min(PULSE_HERTZ[0]).max(PULSE_HERTZ[1]), value });
const dutyPoint = z.strictObject({
  upPercent: z.number().min(PULSE_PERCENT[0]).max(PULSE_PERCENT[1]),
  value,
});
const TURNS = { error: refusal(say('refusal.pulses-must-rise-or-fall')), path: ['points'] };

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
  z
    .strictObject({ form: z.literal('telegrams'), low: stepPoint, high: stepPoint })
    .refine(({ low, high }) => low.value < high.value && low.step !== high.step, {
      error: refusal(say('refusal.two-steps-must-differ')),
    }),
  z
    .strictObject({
      form: z.literal('frequency'),
      points: z.array(hertzPoint).min(2).max(MOST_TABLE_POINTS).readonly(),
    })
    .refine(isPulseCurve, TURNS),
  z
    .strictObject({
      form: z.literal('duty'),
      points: z.array(dutyPoint).min(2).max(MOST_TABLE_POINTS).readonly(),
    })
    .refine(isPulseCurve, TURNS),
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

import { say } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id } from './ids.ts';
import { plainText } from './text.ts';

/** The vehicle or machine that a job is about. */
export const newVehicle = z.strictObject({
  id,
  name: plainText(120).min(1, refusal(say('refusal.name-vehicle-machine'))),
  /** Of the engine: a flow meter is judged by it. */
  displacementLitres: z.number().min(0.05).max(100).optional(),
});
export const vehicle = newVehicle;
export type Vehicle = z.infer<typeof vehicle>;

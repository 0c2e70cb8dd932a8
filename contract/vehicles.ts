import { z } from 'zod';
import { id } from './ids.ts';

/** The vehicle or machine that a job is about. */
export const newVehicle = z.strictObject({
  id,
  name: z.string().trim().min(1, 'Name the vehicle or machine.').max(120),
});
export const vehicle = newVehicle;
export type Vehicle = z.infer<typeof vehicle>;

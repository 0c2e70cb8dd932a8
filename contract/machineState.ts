import { ENGINE_STATES, LANES, PLACES, PLUG_STATES, type MachineState } from '@lettura/core/machine/places';
import { say } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id } from './ids.ts';

const stimulus = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('pump'),
    kpaAboveAmbient: z.number().min(-110).max(1000),
    /** The gauge that showed it; left out where nobody said. */
    instrumentId: id.optional(),
  }),
  z.strictObject({ kind: z.literal('held'), percent: z.number().min(0).max(100) }),
  z.strictObject({ kind: z.literal('full-travel') }),
  z.strictObject({ kind: z.literal('valve-open') }),
]);

export const probePoint = z.union([
  z.enum(['battery-positive', 'battery-negative']),
  z.strictObject({ lane: z.enum(LANES), place: z.enum([...PLACES, 'pin']) }),
]);

const attachment = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('jumper'), from: probePoint, to: probePoint }),
  z.strictObject({ kind: z.literal('meter'), from: probePoint, to: probePoint }),
  z.strictObject({ kind: z.literal('test-light'), from: probePoint, to: probePoint }),
  z.strictObject({ kind: z.literal('voltage-source'), at: probePoint, volts: z.number().min(-30).max(60) }),
]);

const MOST_ATTACHMENTS = 8;
export const harnessWork = z.strictObject({
  attachments: z
    .array(attachment)
    .max(MOST_ATTACHMENTS)
    .refine(
      (all) =>
        (['voltage-source', 'test-light', 'meter'] as const).every(
          (kind) => all.filter((one) => one.kind === kind).length <= 1,
        ),
      { error: refusal(say('refusal.one-of-each-clipped-on')) },
    ),
  neighboursOff: z.array(z.number().int().min(0).max(20)).max(20),
  wiggled: z.boolean(),
});

/** The state that a reading was taken in, as the server keeps it and as a browser remembers it. */
export const machineState = z.strictObject({
  engine: z.enum(ENGINE_STATES),
  plug: z.enum(PLUG_STATES),
  stimulus: stimulus.optional(),
  harness: harnessWork.optional(),
}) satisfies z.ZodType<MachineState>;

import { say } from '@lettura/core/measure/message';
import { FAMILY_IDS } from '@lettura/core/machine/family';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id } from './ids.ts';
import { companion, pins } from './sensorParts.ts';
import { plainText } from './text.ts';
import { sensorProfile } from './sensorProfile.ts';

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

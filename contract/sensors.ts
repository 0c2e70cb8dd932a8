import { say } from '@lettura/core/measure/message';
import type { Companion } from '@lettura/core/measure/companion';
import { isSent, type SensorProfile } from '@lettura/core/measure/transfer';
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
/** Two tracks are told apart by their volts, and a line that a value is sent on has none that tell anything. */
const sendsOneValue = ({
  profile,
  companion: other,
}: {
  profile: SensorProfile;
  companion?: Companion | undefined;
}): boolean => !isSent(profile) || other?.kind !== 'second-track';
const ONE_VALUE = { error: refusal(say('refusal.telegrams-beside-second-track')), path: ['companion'] };
export const fileSensor = z.strictObject({ id, ...written }).refine(sendsOneValue, ONE_VALUE);

/** A changed sensor is a new one that replaces the old: jobs keep the version they were done with. */
export const newSensor = z
  .strictObject({ id, ...written, replaces: id.optional() })
  .refine(sendsOneValue, ONE_VALUE);
export const sensor = z.strictObject({
  id,
  ...described,
  /** The same for all versions of one sensor: the id of its first. */
  lineageId: id,
  version: z.int().min(1),
});
export type NewSensor = z.infer<typeof newSensor>;
export type Sensor = z.infer<typeof sensor>;

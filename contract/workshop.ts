import { say } from '@lettura/core/measure/message';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { plainText } from './text.ts';

/** A picture for the head of a page is no photograph. */
export const MOST_PICTURE_LETTERS = 400_000;

/** Who made a report: the head of its first page. */
const described = {
  name: plainText(120),
  /** As it stands on an envelope, line by line. */
  address: plainText(500),
  /** PNG or JPEG by their first bytes, as a data URL; left out where there is none. */
  picture: z
    .string()
    .max(MOST_PICTURE_LETTERS, refusal(say('refusal.picture-too-large')))
    .regex(
      /^data:image\/(?:png;base64,iVBORw0KGgo|jpeg;base64,\/9j\/)[A-Za-z0-9+/]+={0,2}$/u,
      refusal(say('refusal.picture-png-jpeg')),
    )
    .optional(),
};

export const workshop = z.strictObject({ ...described, revision: z.int() });
export type Workshop = z.infer<typeof workshop>;

/** `revision` is the one the change was made from: a change made elsewhere meanwhile is not overwritten. */
export const workshopChange = z.strictObject({
  ...described,
  revision: z.int().min(0).max(2_147_483_646),
});
export type WorkshopChange = z.infer<typeof workshopChange>;

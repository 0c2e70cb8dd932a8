import { z } from 'zod';
import { message } from './messages.ts';

export const feedStatus = z.strictObject({
  state: z.enum(['connecting', 'live', 'lost']),
  /** As it names itself. */
  instrument: z.string().max(80).optional(),
  /** What is wrong, or worth a look. */
  message: message.optional(),
});
export type FeedStatus = z.infer<typeof feedStatus>;

export const feedSample = z.strictObject({
  /** Counts up by one: a gap is seen, and a browser that dropped out says how far it got. */
  number: z.int().min(1),
  /** By the server's clock, in milliseconds since 1970. */
  atMs: z.number(),
  /** By channel; null where it was over its range or no number. */
  values: z.array(z.number().nullable()).max(16),
});
export type FeedSample = z.infer<typeof feedSample>;

/** One event of a feed's stream. */
export const feedEvent = z.strictObject({
  status: feedStatus,
  samples: z.array(feedSample),
  /** Samples that are lost for good, because nobody fetched them in time. */
  missed: z.int().min(0),
  /** The server's clock now: the age of a value is counted by it. */
  nowMs: z.number(),
});
export type FeedEvent = z.infer<typeof feedEvent>;

/** A bench meter or logger, and the live data of a control unit. */
export const FEED_KINDS = ['meter', 'live-data'] as const;
export type FeedKind = (typeof FEED_KINDS)[number];

/** So many meters are followed at once. */
export const MOST_METERS = 9;

export const feedInfo = z.strictObject({
  /** Of the first of its kind its name, then `meter-2` and so on. */
  id: z.string().regex(/^(meter|live-data)(-[2-9])?$/u),
  kind: z.enum(FEED_KINDS),
  name: z.string(),
  /** Where it is followed, as it was set; none of a stand-in. */
  address: z.string().max(300).optional(),
  /** A stand-in that shows invented values. */
  simulated: z.boolean(),
  channels: z.array(z.strictObject({ name: z.string(), unit: z.string() })).max(16),
  status: feedStatus,
  /** It can be asked for codes, and not only listened to. */
  readsCodes: z.literal(true).optional(),
});
export type FeedInfo = z.infer<typeof feedInfo>;

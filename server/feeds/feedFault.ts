import { say, verbatim, type Message } from '@lettura/core/measure/message';

/** What went wrong with an instrument, to be worded by whoever shows it. */
export class FeedFault extends Error {
  readonly said: Message;
  constructor(said: Message) {
    super(JSON.stringify(said));
    this.said = said;
  }
}

/** Codes of the operating system that somebody at the bench can do something about. */
const TOLD: Readonly<Record<string, Message>> = {
  ECONNREFUSED: say('feed.nobody-listens'),
  EHOSTUNREACH: say('feed.no-way-there'),
  ENETUNREACH: say('feed.no-way-there'),
  ENOTFOUND: say('feed.no-such-name'),
  ECONNRESET: say('feed.connection-closed'),
  // What is left of a device that was pulled out while it was written to.
  EIO: say('feed.connection-closed'),
  ENXIO: say('feed.connection-closed'),
};

/** Of any error: its own words, or those of the operating system where nobody has better ones. */
export function feedFaultOf(error: unknown): Message {
  if (error instanceof FeedFault) return error.said;
  const { code = '', message = '' } = error as NodeJS.ErrnoException;
  return TOLD[code] ?? say('feed.failed', { reason: verbatim(message) });
}

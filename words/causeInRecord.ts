import { NOT_PROVEN, type JobVerdict } from '@lettura/contract';
import { titleOf } from '@lettura/core/judge/weighing';
import { say, type Message } from '@lettura/core/measure/message';

/** What a verdict on record names. */
export const recordedCause = (cause: JobVerdict['cause']): Message =>
  cause === NOT_PROVEN ? say('ui.not-proven-yet') : titleOf(cause);

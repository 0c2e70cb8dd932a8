import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';

/** Whether address and body name one and the same: what is sent to one job is never written onto another. */
export const sameInBody = (
  what: 'job' | 'recording',
  inPath: string,
  inBody: string,
): Result<void, 'unknown-reference'> =>
  inPath === inBody
    ? ok(undefined)
    : fail(
        'unknown-reference',
        say('server.address-body-name-different-s', { what }),
        say('server.send-belongs', { what }),
      );

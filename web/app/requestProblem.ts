import { plain, say, verbatim, type Message } from '@lettura/core/measure/message';
import { problemDetails } from '@lettura/contract';
import type { Problem } from '@lettura/core/measure/problem';

export interface RequestProblem extends Problem {
  /** Whether the same request may go through later, unchanged. */
  passing: boolean;
}

const UPGRADE_REQUIRED = 426;

/** Whatever a request fails with, as a problem with a next step. */
export function requestProblem(error: unknown): RequestProblem {
  const { status, data } = (error ?? {}) as { status?: number | string; data?: unknown };
  const parsed = problemDetails.safeParse(asJson(data));
  if (parsed.success) {
    const { type, detail, next, status: code } = parsed.data;
    // What an older page sends is kept until it is reloaded, and then sent as the newer one would.
    const passing = code >= 500 || code === UPGRADE_REQUIRED;
    return { code: type.split(':').at(-1) ?? type, message: asItIs(detail), next: asItIs(next), passing };
  }
  if (typeof status === 'number' && status < 500) {
    return {
      code: 'refused',
      message: say('app.server-refused', { status: plain(status) }),
      next: say('app.reload-page-try-again'),
      passing: false,
    };
  }
  return {
    code: 'server-away',
    message: say('app.server-does-not-answer'),
    next: say('app.check-network-you-entered-kept'),
    passing: true,
  };
}

/** Worded by the server already, which knows what it refused. */
const asItIs = (text: string): Message => say('say.as-it-is', { text: verbatim(text) });

/** Problem details come as text: their media type is not plain JSON. */
function asJson(data: unknown): unknown {
  if (typeof data !== 'string') return data;
  try {
    return JSON.parse(data);
  } catch {
    return undefined;
  }
}

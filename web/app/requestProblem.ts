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
    return { code: type.split(':').at(-1) ?? type, message: detail, next, passing };
  }
  if (typeof status === 'number' && status < 500) {
    return {
      code: 'refused',
      message: `The server refused this (${status}).`,
      next: 'Reload the page and try again.',
      passing: false,
    };
  }
  return {
    code: 'server-away',
    message: 'The server does not answer.',
    next: 'Check the network. What you entered is kept here.',
    passing: true,
  };
}

/** Problem details come as text: their media type is not plain JSON. */
function asJson(data: unknown): unknown {
  if (typeof data !== 'string') return data;
  try {
    return JSON.parse(data);
  } catch {
    return undefined;
  }
}

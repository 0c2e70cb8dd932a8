import { fixed, say } from '@lettura/core/measure/message';
import type { Problem } from '@lettura/core/measure/problem';
import { type ProblemCode } from './problem.ts';

/** What the reading of the request itself found wrong. */
export function ofRequest(error: unknown): Problem<ProblemCode> | undefined {
  const { type, limit, statusCode, code } = error as {
    type?: string;
    limit?: number;
    statusCode?: number;
    code?: unknown;
  };
  if (type === 'entity.too.large')
    return {
      code: 'body-too-large',
      message: say('server.request-over-kb', { limit: fixed((limit ?? 0) / 1024, 0, 'kB') }),
      next: say('server.shorten-text-send-again'),
    };
  // A body that says it is compressed and is not: zlib's own codes, and brotli's.
  const broken = /^(Z_|ERR_|ERR__ERROR)/u.test(String(code)) && statusCode === 400;
  if (
    broken ||
    type === 'entity.parse.failed' ||
    type === 'encoding.unsupported' ||
    type === 'charset.unsupported'
  )
    return {
      code: 'malformed-json',
      message: say('server.body-could-not-read-json'),
      next: say('server.send-json-object-utf-8'),
    };
  if (type === 'request.aborted' || type === 'request.size.invalid')
    return { code: 'bad-request', message: say('server.request-broke-off'), next: say('server.send-again') };
  if (error instanceof URIError || statusCode === 404)
    return {
      code: 'not-found',
      message: say('server.there-nothing-address'),
      next: say('server.check-address'),
    };
  if (statusCode === 416)
    return {
      code: 'range-not-satisfiable',
      message: say('server.file-no-such-part'),
      next: say('server.ask-all'),
    };
  if (statusCode === 412)
    return {
      code: 'precondition-failed',
      message: say('server.file-not-request-expects'),
      next: say('server.ask-again-without-conditions'),
    };
  if (statusCode !== undefined && statusCode >= 400 && statusCode < 500)
    return {
      code: 'bad-request',
      message: say('server.request-cannot-answered'),
      next: say('server.check-sent'),
    };
  return undefined;
}

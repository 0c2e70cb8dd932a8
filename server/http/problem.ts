import { problemType, type ProblemDetails } from '@lettura/contract';
import type { Message } from '@lettura/core/measure/message';
import type { Problem } from '@lettura/core/measure/problem';
import { ENGLISH, LANGUAGES, wordsFor } from '@lettura/words';
import type { Response } from 'express';

const STATUS = {
  'malformed-json': [400, 'The request is not JSON'],
  'invalid-request': [400, 'Something in the request is not as it should be'],
  'foreign-host': [421, 'Asked for under a name that is not this server’s'],
  'foreign-origin': [403, 'Not for pages from elsewhere'],
  'other-version': [426, 'Asked for in another version of this interface'],
  'bad-request': [400, 'The request cannot be answered'],
  'range-not-satisfiable': [416, 'There is no such part'],
  'precondition-failed': [412, 'It is not what was expected'],
  'not-found': [404, 'Not found'],
  'id-conflict': [409, 'This id is taken by something else'],
  'changed-elsewhere': [409, 'It was changed elsewhere'],
  'job-changed': [409, 'The job was changed elsewhere'],
  'workshop-changed': [409, 'The workshop was changed elsewhere'],
  'job-deleted': [410, 'The job was deleted'],
  'body-too-large': [413, 'The request is too large'],
  'damaged-recording': [422, 'The recording does not hold what it says'],
  'unknown-reference': [422, 'The request names something that does not exist'],
  'sensor-does-not-fit': [422, 'What was read does not fit this sensor'],
  'moved-too-often': [422, 'The job was moved too often'],
  'gate-not-met': [422, 'The proof for this verdict is not complete'],
  'corrected-elsewhere': [409, 'It was corrected elsewhere'],
  'wrong-correction': [422, 'This does not correct that'],
  'no-vehicle': [503, 'No vehicle answers'],
  'database-busy': [503, 'The database is busy'],
  'database-away': [503, 'The database does not answer'],
  'server-fault': [500, 'The server made a mistake'],
} as const;
export type ProblemCode = keyof typeof STATUS;

export function sendProblem(
  res: Response,
  { code, message, next }: Problem<ProblemCode>,
  errors?: readonly { path: string; message: Message }[],
): void {
  const asked = res.req.acceptsLanguages([...LANGUAGES]);
  const words = wordsFor({
    ...ENGLISH,
    language: LANGUAGES.find((one) => one === asked) ?? ENGLISH.language,
  });
  const [status, title] = STATUS[code];
  const body: ProblemDetails = {
    type: problemType(code),
    title,
    status,
    detail: words.say(message),
    next: words.say(next),
    ...(errors
      ? { errors: errors.map(({ path, message: what }) => ({ path, message: words.say(what) })) }
      : {}),
  };
  res.status(status).type('application/problem+json').send(JSON.stringify(body));
}

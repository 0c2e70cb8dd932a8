import { list, say, verbatim, type Message } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import { z } from 'zod';
import { refusalOf } from './refusal.ts';
import { type JobFile, JOB_FILE_FORMAT, JOB_FILE_VERSION, jobFile } from './jobFile.ts';

/** Reads one line of a file of jobs; what is wrong is said with its place. */
export function readJobLine(text: string, line: number): Result<JobFile, 'invalid-request'> {
  const refuse = (what: Message) =>
    fail(
      'invalid-request',
      say('refusal.in-line', { line, what }),
      say('server.nothing-taken-in-correct-file'),
    );
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : '';
    return refuse(say('server.not-json-file', { reason: verbatim(reason.slice(0, 200)) }));
  }
  const head = z.looseObject({ format: z.unknown(), version: z.unknown() }).safeParse(json);
  if (!head.success || head.data.format !== JOB_FILE_FORMAT)
    return refuse(say('server.file-does-not-say-format', { format: verbatim(JOB_FILE_FORMAT) }));
  if (head.data.version !== JOB_FILE_VERSION)
    return refuse(
      say('server.file-schema-version-program-reads', {
        found: verbatim(JSON.stringify(head.data.version) ?? '–'),
        reads: JOB_FILE_VERSION,
      }),
    );
  const read = jobFile.safeParse(json);
  if (read.success) return ok(read.data);
  const first = read.error.issues[0]!;
  const path = first.path.map((step) =>
    typeof step === 'number' ? say('refusal.number', { number: step + 1 }) : verbatim(String(step)),
  );
  return refuse(
    say('server.at', {
      path: list(path, 'commas'),
      isNamed: path.length > 0,
      what: refusalOf(first.message),
    }),
  );
}

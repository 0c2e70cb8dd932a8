import { fixed, list, say, verbatim, type Message } from '@lettura/core/measure/message';
import { fail, ok, type Problem } from '@lettura/core/measure/problem';
import { z } from 'zod';
import { refusalOf } from './refusal.ts';
import {
  type SensorFile,
  type FileFault,
  MOST_FILE_BYTES,
  SENSOR_FILE_FORMAT,
  SENSOR_FILE_VERSION,
  sensorFile,
} from './sensorFile.ts';

export type FileReading =
  | { ok: true; value: SensorFile }
  | {
      ok: false;
      problem: Problem<'too-large' | 'not-json' | 'wrong-format' | 'faults'>;
      faults: FileFault[];
    };

const refuse = (
  code: 'too-large' | 'not-json' | 'wrong-format' | 'faults',
  message: Message,
  next: Message,
  faults: FileFault[] = [],
): FileReading => ({ ...fail(code, message, next), faults });

/** Reads a file of sensors: all of it, or a list of what is wrong and where. */
export function readSensorFile(text: string): FileReading {
  if (text.length > MOST_FILE_BYTES) return tooLarge(text.length);
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    const reason = error instanceof Error ? error.message : 'not JSON';
    return refuse(
      'not-json',
      say('server.not-json-file', { reason: verbatim(reason) }),
      say('server.choose-file-exported-here'),
    );
  }
  const head = z.looseObject({ format: z.unknown(), version: z.unknown() }).safeParse(json);
  if (!head.success || head.data.format !== SENSOR_FILE_FORMAT) {
    return refuse(
      'wrong-format',
      say('server.file-does-not-say-format', { format: verbatim(SENSOR_FILE_FORMAT) }),
      say('server.choose-file-sensors-exported-here'),
    );
  }
  if (head.data.version !== SENSOR_FILE_VERSION) {
    return refuse(
      'wrong-format',
      say('server.file-schema-version-program-reads', {
        found: verbatim(JSON.stringify(head.data.version) ?? '–'),
        reads: SENSOR_FILE_VERSION,
      }),
      say('server.export-again-program-writes-version'),
    );
  }
  const read = sensorFile.safeParse(json);
  if (read.success) return ok(read.data);
  const faults = read.error.issues.map((issue) => ({
    where: placeOf(issue.path, json),
    what: refusalOf(issue.message),
  }));
  return refuse(
    'faults',
    say('server.wrong-file-nothing-imported', { faults: faults.length }),
    say('server.correct-listed-choose-file-again'),
    faults,
  );
}

export function tooLarge(bytes: number): FileReading {
  return refuse(
    'too-large',
    say('server.file-mb-mb-most', {
      size: fixed(bytes / 1024 / 1024, 0, 'MB'),
      most: fixed(MOST_FILE_BYTES / 1024 / 1024, 0, 'MB'),
    }),
    say('server.split-into-several-files'),
  );
}

/** `sensor 3, “Tern”: profile, tolerance, percent`, counted from one as people do. */
function placeOf(path: readonly PropertyKey[], json: unknown): Message {
  const [among, index, ...rest] = path;
  if (among !== 'sensors' || typeof index !== 'number')
    return path.length > 0
      ? say('refusal.place', { path: verbatim(path.join(', ')) })
      : say('refusal.in-the-file');
  const name = (json as { sensors: { name?: unknown }[] }).sensors[index]?.name;
  const isNamed = typeof name === 'string';
  const inside = rest.map((step) =>
    typeof step === 'number' ? say('refusal.number', { number: step + 1 }) : verbatim(String(step)),
  );
  return say('refusal.in-sensor', {
    number: index + 1,
    isNamed,
    name: verbatim(isNamed ? name.slice(0, 40) : ''),
    isInside: inside.length > 0,
    inside: list(inside, 'commas'),
  });
}

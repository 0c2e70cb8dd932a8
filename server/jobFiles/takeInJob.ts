import { say, verbatim } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import type { Instrument, JobFile, Sensor } from '@lettura/contract';
import { eq } from 'drizzle-orm';
import type { Database } from '../db/connect.ts';
import type { Actor } from '../http/actor.ts';
import { sameRecord } from '../db/recordOnce.ts';
import { instrumentTable, jobTable, sensorTable } from '../db/schema.ts';
import { instrumentStore } from '../instruments/instrumentStore.ts';
import { jobStore } from '../jobs/jobStore.ts';
import { holdsItsNumbers } from '../recordings/recordingStore.ts';
import { sensorStore } from '../sensors/sensorStore.ts';
import { vehicleStore } from '../vehicles/vehicleStore.ts';
import { jobFileOf } from './writeJobFile.ts';
import { conflict, addLines } from './addLines.ts';
import { takeInVersion } from './takeInVersion.ts';

/** What the file of one job came to. */
export interface TakenIn {
  outcome: 'added' | 'grown' | 'known';
  otherwiseHere: boolean;
}
type Refused = 'id-conflict' | 'damaged-recording';

/**
 * Takes in a job with all of its record. What is here already stays as it is: lines that are lacking are added, and a line
 * that says something else under the same id refuses the file. Verdicts were proven where they were given.
 *
 * @param db a transaction: whoever refuses a file undoes what was taken in before
 */
export async function takeInJob(
  db: Database,
  file: JobFile,
  actor: Actor,
): Promise<Result<TakenIn, Refused>> {
  const { author } = actor;
  const machine = await vehicleStore(db).record(file.vehicle, actor);
  if (!machine.ok) return machine;
  const parts = await takeInParts(db, file, author);
  if (!parts.ok) return parts;
  for (const { data, samples, channels, name } of file.recordings)
    if (!(await holdsItsNumbers(Buffer.from(data, 'base64'), samples, channels.length)))
      return fail(
        'damaged-recording',
        say('server.recording-named-not-what-it-says', { name: verbatim(name) }),
        say('server.nothing-taken-in-correct-file'),
      );

  const before = await jobFileOf(db, file.job.id);
  const { deletedAt, ...opened } = file.job;
  if (!before.ok) {
    const job = await jobStore(db).record(opened, actor);
    if (!job.ok) return conflict(file.job.id);
  }
  const added = await addLines(db, file, before.ok ? before.value : undefined, author);
  if (!added.ok) return added;
  // Nothing can be written on a deleted job, and so it is deleted last.
  if (!before.ok && deletedAt)
    await db
      .update(jobTable)
      .set({ deletedAt: new Date(deletedAt) })
      .where(eq(jobTable.id, file.job.id));
  if (!before.ok) return ok({ outcome: 'added', otherwiseHere: false });
  return ok({
    outcome: added.value > 0 ? 'grown' : 'known',
    otherwiseHere: !sameRecord(before.value.job, file.job),
  });
}

/** Sensor and instruments in the very versions that the job was done with. */
async function takeInParts(
  db: Database,
  { sensor, instruments }: JobFile,
  author: string,
): Promise<Result<true, 'id-conflict'>> {
  const insertSensor = (row: Sensor) =>
    db
      .insert(sensorTable)
      .values({ ...row, author })
      .onConflictDoNothing()
      .returning({ id: sensorTable.id });
  const insertInstrument = (row: Instrument) =>
    db
      .insert(instrumentTable)
      .values({ ...row, author })
      .onConflictDoNothing()
      .returning({ id: instrumentTable.id });
  const sensors = sensorStore(db);
  const taken = await takeInVersion(sensor, (id) => sensors.find(id), insertSensor);
  if (!taken.ok) return taken;
  const kept = instrumentStore(db);
  for (const one of instruments) {
    const found = await takeInVersion(one, (id) => kept.find(id), insertInstrument);
    if (!found.ok) return found;
  }
  return ok(true);
}

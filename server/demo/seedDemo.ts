import { ENGLISH, wordsFor } from '@lettura/words';
import type { Problem } from '@lettura/core/measure/problem';
import { newReading, type NewReading } from '@lettura/contract';
import { toKpa } from '@lettura/core/measure/quantity';
import type { MachineState } from '@lettura/core/machine/places';
import { count } from 'drizzle-orm';
import { v7 } from 'uuid';
import type { Database } from '../db/connect.ts';
import { LOCAL_ACTOR } from '../http/actor.ts';
import { jobTable } from '../db/schema.ts';
import { jobStore } from '../jobs/jobStore.ts';
import { readingStore } from '../readings/readingStore.ts';
import { SHIPPED_SENSORS } from '../sensors/shippedSensors.ts';
import { vehicleStore } from '../vehicles/vehicleStore.ts';
import { verdictStore } from '../verdicts/verdictStore.ts';
import { recordingStore } from '../recordings/recordingStore.ts';
import { demoSweep } from './demoSweep.ts';
import { DEMO_JOBS, type DemoJob } from './demoJobs.ts';

const HOUR_MS = 3_600_000;
const MINUTE_MS = 60_000;

/** Fills an empty database through the same stores as the API, so that demo data obeys every rule. */
export async function seedDemo(db: Database): Promise<void> {
  const [jobs] = await db.select({ jobs: count() }).from(jobTable);
  if (jobs && jobs.jobs > 0) return;
  for (const job of DEMO_JOBS) await seedJob(db, job);
}

async function seedJob(db: Database, demo: DemoJob): Promise<void> {
  const openedMs = Date.now() - demo.openedHoursAgo * HOUR_MS;
  const sensor = SHIPPED_SENSORS.find(({ name }) => name === demo.sensor);
  if (!sensor) throw new Error(`The demo names a sensor that is not shipped: ${demo.sensor}`);
  const vehicleId = v7({ msecs: openedMs });
  const jobId = v7({ msecs: openedMs });
  const { displacementLitres } = demo;
  must(
    await vehicleStore(db).record(
      {
        id: vehicleId,
        name: demo.vehicle,
        ...(displacementLitres === undefined ? {} : { displacementLitres }),
      },
      LOCAL_ACTOR,
    ),
  );
  must(
    await jobStore(db).record(
      {
        id: jobId,
        vehicleId,
        sensorId: sensor.id,
        complaint: demo.complaint,
        codes: demo.codes,
        history: demo.history,
        openedAt: new Date(openedMs).toISOString(),
        ...(demo.practiceSeed === undefined
          ? {}
          : { bench: { caseLetter: 'F' as const, seed: demo.practiceSeed } }),
      },
      LOCAL_ACTOR,
    ),
  );
  let takenMs = openedMs;
  for (const reading of readingsOf(demo)) {
    takenMs += 2 * MINUTE_MS;
    const stamped = {
      ...reading,
      id: v7({ msecs: takenMs }),
      jobId,
      takenAt: new Date(takenMs).toISOString(),
    };
    must(await readingStore(db).record(newReading.parse(stamped), LOCAL_ACTOR));
  }
  if (demo.sweep) {
    takenMs += 4 * MINUTE_MS;
    const taken = { jobId, takenAt: new Date(takenMs).toISOString() };
    must(await recordingStore(db).record(demoSweep(demo.sweep, taken), LOCAL_ACTOR));
  }
  if (demo.verdict) {
    const decidedAt = new Date(takenMs + 5 * MINUTE_MS).toISOString();
    must(await verdictStore(db).record({ id: v7(), jobId, decidedAt, ...demo.verdict }, LOCAL_ACTOR));
  }
}

type Unstamped<T> = T extends unknown ? Omit<T, 'id' | 'jobId' | 'takenAt'> : never;

function readingsOf({ ambient, readings }: DemoJob): Unstamped<NewReading>[] {
  const taken = readings.map((reading): Unstamped<NewReading> => {
    const plug = 'plug' in reading && reading.plug ? reading.plug : 'connected';
    const stimulus = 'stimulus' in reading && reading.stimulus ? { stimulus: reading.stimulus } : {};
    const state: MachineState = { engine: reading.engine ?? 'koeo', plug, ...stimulus };
    const enteredText = reading.typed;
    if ('lane' in reading) {
      const { lane, place, volts } = reading;
      return { kind: 'wire', state, enteredText, lane, place, volts };
    }
    if ('along' in reading) {
      const { along: lane, volts } = reading;
      const [from, to] = [{ lane, place: 'unit' } as const, { lane, place: 'plug' } as const];
      return { kind: 'between', state, enteredText, from, to, volts };
    }
    if ('tap' in reading) {
      const pressureKpa = toKpa(reading.vacuumInHg, 'inHg');
      return { kind: 'gauge', state, enteredText, tap: reading.tap, pressureKpa, basis: 'vacuum' };
    }
    const live = { kind: 'scan', state, enteredText } as const;
    return 'scanKpaAbs' in reading
      ? { ...live, measures: 'absolute-pressure', value: reading.scanKpaAbs }
      : { ...live, measures: 'air-flow', value: reading.flowGramsPerSecond };
  });
  return ambient ? [{ kind: 'ambient', ambient, enteredText: ambient.source }, ...taken] : taken;
}

/** Demo data that the rules refuse is a mistake in the demo. */
function must(result: { ok: true } | { ok: false; problem: Problem }): void {
  if (!result.ok) throw new Error(wordsFor(ENGLISH).say(result.problem.message));
}

import { deflateRawSync } from 'node:zlib';
import { machineById, practiceMachine, recordSweep } from '@lettura/bench';
import type { NewRecording } from '@lettura/contract';
import { analyseSweep } from '@lettura/core/recording/sweep';
import { v7 } from 'uuid';
import type { DemoJob } from './demoJobs.ts';

const SEED = 5;

/** A recording of the demo: swept on a simulated machine, analysed and packed as the browser does it. */
export function demoSweep(
  { machineId, caseLetter }: NonNullable<DemoJob['sweep']>,
  taken: Pick<NewRecording, 'jobId' | 'takenAt'>,
): NewRecording {
  const machine = machineById(machineId);
  const { recording, uses } = recordSweep(
    practiceMachine(machine, caseLetter, SEED),
    { engine: 'koeo', plug: 'connected' },
    SEED,
  );
  const { seconds, channels } = recording;
  const { profile, companion } = machine.sensor;
  const columns = [seconds, ...channels.map(({ values }) => values)];
  return {
    ...taken,
    id: v7({ msecs: Date.parse(taken.takenAt) }),
    name: 'Slow travel, up and down',
    source: 'bench',
    channels: channels.map(({ name, unit }, i) => ({ name, unit, use: uses[i] ?? 'other' })),
    samples: seconds.length,
    durationSeconds: seconds.at(-1) ?? 0,
    marks: [],
    note: '',
    findings: analyseSweep(recording, { profile, companion, uses }),
    data: deflateRawSync(Buffer.concat(columns.map((column) => Buffer.from(column.buffer)))).toString(
      'base64',
    ),
  };
}

import { isPlain, type AnyEvidence } from '@lettura/core/record/evidence';
import { commonGauge } from '@lettura/core/machine/family';
import { isPulses, type MachineState } from '@lettura/core/machine/places';
import { ambientFrom } from '@lettura/core/measure/quantity';
import type { CaseFile } from '@lettura/core/judge/checks';
import { startingAfter, USUAL_WEIGHTS } from '@lettura/core/judge/priors';
import { COMMON_METER } from '@lettura/core/measure/uncertainty';
import type { Instrument } from './instruments.ts';
import type { Job } from './jobs.ts';
import { isWithdrawn, type RecordingInfo } from './recordings.ts';
import { beforeLastWork, lastEpisode, type Episode } from './episodes.ts';
import { isTakenReading, type Reading, type TakenReading } from './readings.ts';
import type { Sensor } from './sensors.ts';
import type { Vehicle } from './vehicles.ts';

export interface JobRecord {
  job: Pick<Job, 'codes' | 'starting' | 'displacementLitres'>;
  readings: readonly Reading[];
  sensor: Pick<Sensor, 'profile' | 'family' | 'companion'>;
  vehicle: Pick<Vehicle, 'displacementLitres'>;
  instruments: readonly Instrument[];
  recordings: readonly Pick<RecordingInfo, 'name' | 'channels' | 'findings' | 'revision' | 'takenAt'>[];
}

/**
 * A job's record as the reasoning wants it: the same on the server, which guards the gate, and on the screen. What was read
 * before the last work on the machine was read on another machine, and is left out.
 *
 * @param which the machine as it is now, or as it was before the last work on it, all earlier readings together
 */
export function caseFileOf(
  { job, readings, sensor, vehicle, instruments, recordings }: JobRecord,
  which: 'now' | 'before-last-work' = 'now',
): CaseFile {
  const present = which === 'now' ? lastEpisode(readings) : beforeLastWork(readings);
  const standing = present.readings;
  const isFirst = present.works.length === 0;
  const ambient = present.ambient && ambientFrom(present.ambient.ambient);
  const byId = new Map(instruments.map((instrument) => [instrument.id, instrument]));
  const observations = new Map(
    standing
      .filter((reading) => reading.kind === 'observation')
      .map(({ id, observation, holds }) => [observation, { id, observation, holds }]),
  );
  const measured = standing.filter(isTakenReading).map((reading) => withInstrument(reading, byId));
  return {
    family: sensor.family,
    profile: sensor.profile,
    companion: sensor.companion,
    displacementLitres: job.displacementLitres ?? vehicle.displacementLitres,
    ambient: ambient?.ok ? ambient.value : undefined,
    readings: measured.filter(isPlain),
    isolation: measured.filter((reading) => !isPlain(reading)),
    observations: [...observations.values()],
    // Codes were stored by the machine as it came.
    codes: isFirst ? job.codes : [],
    starting: startingAfter(
      job.starting ?? USUAL_WEIGHTS,
      present.works.map(({ work }) => work),
      sensor.family,
    ),
    sweeps: recordings
      .filter((one) => !isWithdrawn(one) && isWithin(one.takenAt, present))
      .map(({ name, channels, findings }) => ({
        name,
        // A channel that could not be read is no witness, whatever it was said to be.
        uses: channels.map(({ use }, i) =>
          findings.some(({ kind, channel }) => kind === 'question' && channel === i) ? 'other' : use,
        ),
        findings,
      })),
    meter: COMMON_METER,
    gauge: commonGauge(sensor.family),
  };
}

const isWithin = (instant: string, { fromInstant, untilInstant }: Episode): boolean =>
  (fromInstant === undefined || instant >= fromInstant) &&
  (untilInstant === undefined || instant < untilInstant);

/** Without what only the record needs: when and how it was typed is no evidence, and would make one reading look like two. */
function evidenceOf(reading: TakenReading): AnyEvidence {
  const {
    jobId: _jobId,
    takenAt: _takenAt,
    enteredText: _enteredText,
    supersedes: _supersedes,
    instrumentId: _instrumentId,
    ...evidence
  } = reading;
  return evidence;
}

function withInstrument(given: TakenReading, byId: ReadonlyMap<string, Instrument>): AnyEvidence {
  const reading = { ...evidenceOf(given), state: withPumpGauge(given.state, byId) };
  if (!given.instrumentId) return reading;
  const taken = byId.get(given.instrumentId);
  if (!taken) return reading;
  const { name, accuracy } = taken;
  if ((reading.kind === 'wire' || isPulses(reading)) && accuracy.kind === 'meter')
    return { ...reading, meter: { name, accuracy } };
  if (reading.kind === 'gauge' && accuracy.kind === 'gauge') return { ...reading, gauge: { name, accuracy } };
  if (reading.kind === 'scan' && accuracy.kind === 'live-data') return { ...reading, step: accuracy.step };
  return reading;
}

function withPumpGauge(state: TakenReading['state'], byId: ReadonlyMap<string, Instrument>): MachineState {
  const { stimulus } = state;
  const shown =
    stimulus?.kind === 'pump' && stimulus.instrumentId ? byId.get(stimulus.instrumentId) : undefined;
  if (stimulus?.kind !== 'pump' || shown?.accuracy.kind !== 'gauge') return state;
  const gauge = { name: shown.name, accuracy: shown.accuracy };
  return { ...state, stimulus: { ...stimulus, gauge } };
}

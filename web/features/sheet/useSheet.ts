import {
  caseFileOf,
  lanesOf,
  lastEpisode,
  standingReadings,
  type AmbientReading,
  type JobSheet,
  type StandingReading,
} from '@lettura/contract';
import type { Lane } from '@lettura/core/machine/places';
import type { CaseFile } from '@lettura/core/judge/checks';
import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import { useJobSheetQuery, useListInstrumentsQuery } from '../../app/api.ts';
import { useBenchJob, type BenchJob } from '../bench/index.ts';
import { selectOutbox } from '../outbox/index.ts';
import { inOrder } from './inOrder.ts';

/** Another browser may work on the same job: what it records appears here within this time. */
const POLL_MS = 4000;

export interface Sheet extends JobSheet {
  /** Read on the machine as it is now, since the last work on it, and still counting. */
  standing: readonly StandingReading[];
  /** The last one given, also before a repair. */
  ambient: AmbientReading | undefined;
  /** Neither replaced nor taken back, of whichever time. */
  countingIds: ReadonlySet<string>;
  /** Whether work was done after which everything has to be read again. */
  isRepaired: boolean;
  /** Entered here, not confirmed by the server yet. */
  unsentIds: ReadonlySet<string>;
  /** The simulated machine with what was done to it; left out for a real one. */
  bench: BenchJob | undefined;
  caseFile: CaseFile;
  /** The wires of this body. */
  lanes: readonly Lane[];
}

/** A job with everything that follows from its record; readings count from the moment they are entered. */
export function useSheet(jobId: string): { sheet: Sheet | undefined; error: unknown; away: boolean } {
  const { data, error } = useJobSheetQuery(jobId, {
    pollingInterval: POLL_MS,
    skipPollingIfUnfocused: true,
    // Not whether it is being fetched: each look at the server would draw the whole sheet anew.
    selectFromResult: ({ data: found, error: wrong }) => ({ data: found, error: wrong }),
  });
  const record = useWithUnsent(data, jobId);
  const caseFile = useCaseFile(record);
  const bench = useBenchJob(record);
  const { sensor, job } = data ?? {};
  const lanes = useMemo(
    () => sensor && lanesOf({ ...sensor, pins: job?.pins ?? sensor.pins }),
    [sensor, job?.pins],
  );
  const sheet = useMemo(
    (): Sheet | undefined => record && caseFile && lanes && { ...record, bench, caseFile, lanes },
    [record, bench, caseFile, lanes],
  );
  return { sheet, error: data ? undefined : error, away: data !== undefined && error !== undefined };
}

type OwnRecord = Omit<Sheet, 'bench' | 'caseFile' | 'lanes'>;

/** The record as the server has it, and what was entered here since. */
function useWithUnsent(data: JobSheet | undefined, jobId: string): OwnRecord | undefined {
  const { entries } = useSelector(selectOutbox);
  const { data: library } = useListInstrumentsQuery();
  return useMemo(() => {
    if (!data) return undefined;
    const known = new Set(data.readings.map(({ id }) => id));
    const unsent = entries
      .filter(({ reading, refused }) => reading.jobId === jobId && !refused && !known.has(reading.id))
      .map(({ reading }) => reading);
    const readings = [...data.readings, ...unsent];
    const present = lastEpisode(readings);
    return {
      ...data,
      readings,
      // An unsent reading may have been taken with one that the job does not know yet.
      instruments: [...data.instruments, ...(library ?? [])],
      standing: present.readings,
      ambient: present.ambient,
      countingIds: new Set(standingReadings(readings).map(({ id }) => id)),
      isRepaired: present.works.length > 0,
      unsentIds: new Set(unsent.map(({ id }) => id)),
    };
  }, [data, entries, jobId, library]);
}

/** The same object as long as it says the same: a reading says nothing new once the server has it too. */
function useCaseFile(record: OwnRecord | undefined): CaseFile | undefined {
  const said = useMemo(() => record && inOrder(caseFileOf(record)), [record]);
  return useMemo(() => (said === undefined ? undefined : (JSON.parse(said) as CaseFile)), [said]);
}

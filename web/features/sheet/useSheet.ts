import { caseFileOf, lanesOf, standingReadings, type JobSheet } from '@lettura/contract';
import type { Lane } from '@lettura/core/evidence';
import type { CaseFile } from '@lettura/core/reasoning';
import { useMemo } from 'react';
import { useSelector } from 'react-redux';
import { useJobSheetQuery, useListInstrumentsQuery } from '../../app/api.ts';
import { selectUnits } from '../../app/preferences.ts';
import { selectOutbox } from '../outbox/index.ts';

/** Another browser may work on the same job: what it records appears here within this time. */
const POLL_MS = 4000;

export interface Sheet extends JobSheet {
  standing: ReturnType<typeof standingReadings>;
  /** Entered here, not confirmed by the server yet. */
  unsentIds: ReadonlySet<string>;
  caseFile: CaseFile;
  /** The wires of this body. */
  lanes: readonly Lane[];
}

/** A job with everything that follows from its record; readings count from the moment they are entered. */
export function useSheet(jobId: string): { sheet: Sheet | undefined; error: unknown } {
  const { data, error } = useJobSheetQuery(jobId, {
    pollingInterval: POLL_MS,
    skipPollingIfUnfocused: true,
    // Not whether it is being fetched: each look at the server would draw the whole sheet anew.
    selectFromResult: ({ data: found, error: wrong }) => ({ data: found, error: wrong }),
  });
  const { entries } = useSelector(selectOutbox);
  const { data: library } = useListInstrumentsQuery();
  const units = useSelector(selectUnits);
  const sheet = useMemo((): Sheet | undefined => {
    if (!data) return undefined;
    const known = new Set(data.readings.map(({ id }) => id));
    const unsent = entries
      .filter(({ reading, refused }) => reading.jobId === jobId && !refused && !known.has(reading.id))
      .map(({ reading }) => reading);
    const readings = [...data.readings, ...unsent];
    // An unsent reading may have been taken with one that the job does not know yet.
    const instruments = [...data.instruments, ...(library ?? [])];
    const caseFile = caseFileOf({ ...data, readings, instruments }, units.absolute);
    return {
      ...data,
      readings,
      instruments,
      standing: standingReadings(readings),
      unsentIds: new Set(unsent.map(({ id }) => id)),
      caseFile,
      lanes: lanesOf({ ...data.sensor, pins: data.job.pins ?? data.sensor.pins }),
    };
  }, [data, entries, jobId, library, units]);
  return { sheet, error: data ? undefined : error };
}

import type { NewReading } from '@lettura/contract';
import { quickEntry, type Entry } from '@lettura/core/entry';
import type { Problem } from '@lettura/core/problem';
import { ambientFrom, toKpaAbs, type AmbientSource, type ReadingWarning } from '@lettura/core/quantity';
import { useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { v7 } from 'uuid';
import { selectUnits } from '../../app/preferences.ts';
import { placeInWords, valueInWords } from '../../ui/inWords.ts';
import { readingQueued } from '../outbox/index.ts';
import { entryDone, selectInHand } from './sheetSlice.ts';
import type { Sheet } from './useSheet.ts';

/** What the last thing done was, so that it can be undone at once. */
export interface Done {
  message: string;
  warnings: ReadingWarning[];
  undo: () => void;
}

type Unstamped<T> = T extends unknown ? Omit<T, 'id' | 'jobId' | 'takenAt' | 'enteredText'> : never;

/** Entering, correcting, taking back and putting back: everything that adds a line to the record. */
export function useEntry(sheet: Sheet) {
  const jobId = sheet.job.id;
  const { state, selected, correcting } = useSelector(selectInHand(jobId));
  const units = useSelector(selectUnits);
  const dispatch = useDispatch();
  const [problem, setProblem] = useState<Problem>();
  const [done, setDone] = useState<Done>();

  const queue = (reading: Unstamped<NewReading>, enteredText: string): NewReading => {
    const stamped = {
      ...reading,
      id: v7(),
      jobId,
      takenAt: new Date().toISOString(),
      enteredText,
    };
    dispatch(readingQueued(stamped));
    return stamped;
  };

  const record = (reading: Unstamped<NewReading>, enteredText: string, warnings: ReadingWarning[]) => {
    const supersedes = correcting ? { supersedes: correcting } : {};
    const entered = queue({ ...reading, ...supersedes }, enteredText);
    dispatch(entryDone(jobId));
    setProblem(undefined);
    const message = `${placeInWords(entered)}: ${valueInWords(entered, units)}`;
    const replaced = sheet.readings.find(({ id }) => id === correcting);
    const undo = () => (replaced ? putBack(replaced, entered) : takeBack(entered));
    setDone({ message, warnings, undo });
  };

  const takeBack = (reading: NewReading) => {
    const withdrawal = queue(
      { kind: 'withdrawal', supersedes: reading.id },
      `take back ${reading.enteredText}`,
    );
    setDone({
      message: `Taken back: ${placeInWords(reading)}, ${valueInWords(reading, units)}`,
      warnings: [],
      undo: () => putBack(reading, withdrawal),
    });
  };

  /** The same value as a new line in place of `instead`, since the record only grows. */
  const putBack = (reading: NewReading, instead: NewReading) => {
    dispatch(readingQueued({ ...reading, id: v7(), supersedes: instead.id }));
    setDone(undefined);
  };

  return {
    problem,
    done,
    dismissDone: () => setDone(undefined),
    clearProblem: () => setProblem(undefined),
    takeBack,
    /** Reads what was typed and records it; refused text stays where it is, with what to do. */
    enter(text: string): boolean {
      const entry = quickEntry(text, { selected, pressureUnit: units.absolute, gaugeUnit: units.vacuum });
      const refused = entry.ok ? physicalProblem(entry.value, sheet) : entry.problem;
      if (refused || !entry.ok) {
        setProblem(refused);
        return false;
      }
      const { warnings, ...value } = entry.value;
      if (value.kind === 'ambient') {
        record(
          { kind: 'ambient', ambient: { source: 'barometer', stationKpaAbs: value.stationKpaAbs } },
          text,
          warnings,
        );
      } else {
        record({ ...value, state }, text, warnings);
      }
      return true;
    },
    enterAmbient(ambient: AmbientSource, text: string) {
      record({ kind: 'ambient', ambient }, text, []);
    },
  };
}

export type EntryActions = ReturnType<typeof useEntry>;

/** What a number alone cannot show: more vacuum than there is air, or an ambient that no road has. */
export function physicalProblem(entry: Entry, { caseFile }: Pick<Sheet, 'caseFile'>): Problem | undefined {
  if (entry.kind === 'ambient') {
    const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: entry.stationKpaAbs });
    return ambient.ok ? undefined : ambient.problem;
  }
  if (entry.kind === 'gauge' && caseFile.ambient) {
    const kpaAbs = toKpaAbs(entry, caseFile.ambient.pressureKpaAbs);
    return kpaAbs.ok ? undefined : kpaAbs.problem;
  }
  return undefined;
}

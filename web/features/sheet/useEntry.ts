import { say } from '@lettura/core/measure/message';
import { isTakenReading, type NewReading, type WorkDone } from '@lettura/contract';
import { betweenEntry, quickEntry, type Entry } from '@lettura/core/record/entry';
import {
  keyOn,
  sameDrive,
  sameTarget,
  spotOf,
  type ProbePoint,
  type Target,
} from '@lettura/core/machine/places';
import type { FollowUp } from '@lettura/core/record/followUp';
import type { ObservationId } from '@lettura/core/record/observation';
import type { Problem } from '@lettura/core/measure/problem';
import {
  ambientFrom,
  toKpaAbs,
  type AmbientSource,
  type ReadingWarning,
} from '@lettura/core/measure/quantity';
import { useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { v7 } from 'uuid';
import { selectInstruments, selectUnits } from '../../app/preferences.ts';
import { followUpInWords, placeInWords, upperFirst, valueInWords } from '../../ui/inWords.ts';
import { readingQueued } from '../outbox/index.ts';
import { isAt } from './atPoint.ts';
import { entryDefaults } from './entryDefaults.ts';
import { instrumentInHand, rangeWarning } from './instrumentInHand.ts';
import { lastDone } from './lastDone.ts';
import { entryDone } from './sheetSlice.ts';
import { useInHand } from './useInHand.ts';
import type { Sheet } from './useSheet.ts';
import { t } from '../../ui/words.ts';

type Unstamped<T> = T extends unknown ? Omit<T, 'id' | 'jobId' | 'takenAt' | 'enteredText'> : never;

/**
 * Entering, correcting, taking back and putting back: everything that adds a line to the record.
 *
 * @param newest all that is known, which may not be drawn yet: a second tap replaces what the first one entered
 */
export function useEntry(jobId: string, newest: () => Sheet) {
  const { state, selected, correcting } = useInHand(jobId);
  const units = useSelector(selectUnits);
  const chosen = useSelector(selectInstruments);
  const dispatch = useDispatch();
  const [problem, setProblem] = useState<Problem>();
  const [done] = useState(lastDone);
  const setDone = done.set;

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
    const replaced = newest().readings.find(({ id }) => id === correcting);
    const inItsPlace = replaced && isSamePlace(replaced, reading as NewReading) ? replaced : undefined;
    // Read somewhere else after all: the old line is taken back, and the new one stands by itself.
    if (replaced && !inItsPlace)
      queue(
        { kind: 'withdrawal', supersedes: replaced.id },
        t('ui-sheet.take-back-4', { enteredText: replaced.enteredText }),
      );
    const entered = queue({ ...reading, ...(inItsPlace ? { supersedes: inItsPlace.id } : {}) }, enteredText);
    dispatch(entryDone(jobId));
    setProblem(undefined);
    const message = `${placeInWords(entered)}: ${valueInWords(entered, units)}`;
    const run = () => (inItsPlace ? putBack(inItsPlace, entered) : takeBack(entered));
    setDone({ message, warnings, undo: { label: t('ui-sheet.undo'), run } });
  };

  const takeBack = (reading: NewReading) => {
    queue({ kind: 'withdrawal', supersedes: reading.id }, `take back ${reading.enteredText}`);
    setDone({
      message: t('ui-sheet.taken-back', {
        place: placeInWords(reading),
        value: valueInWords(reading, units),
      }),
      warnings: [],
      undo: { label: t('ui-sheet.put-back'), run: () => putBack(reading) },
    });
  };

  /** The same value as a new line, in place of a correction where there was one: the record only grows. */
  const putBack = ({ supersedes: _before, ...reading }: NewReading, correction?: NewReading) => {
    const line = { ...reading, id: v7(), ...(correction ? { supersedes: correction.id } : {}) } as NewReading;
    dispatch(readingQueued(line));
    setDone({
      message: t('ui-sheet.back-again', { place: placeInWords(line), value: valueInWords(line, units) }),
      warnings: [],
    });
  };

  const recordMeasured = (
    entry: Exclude<Entry, { kind: 'ambient' }>,
    inState: RecordedState,
    text: string,
  ) => {
    const taken = instrumentInHand(entry.kind, newest().instruments, chosen);
    const { warnings, ...value } = entry;
    record({ ...value, state: inState, ...(taken ? { instrumentId: taken.id } : {}) }, text, [
      ...warnings,
      ...(entry.kind === 'ohms' && keyOn(inState) ? [LIVE_CIRCUIT] : []),
      ...(taken ? rangeWarning(entry, taken) : []),
    ]);
  };

  /** A new barometer reading leaves the air as warm as it was. */
  const recordBarometer = (
    { stationKpaAbs, warnings }: Extract<Entry, { kind: 'ambient' }>,
    text: string,
  ) => {
    const airCelsius = newest().caseFile.ambient?.airCelsius;
    const air = airCelsius === undefined ? {} : { airCelsius };
    record({ kind: 'ambient', ambient: { source: 'barometer', stationKpaAbs, ...air } }, text, warnings);
  };

  /** Something looked at; a new answer to the same question takes the place of the old one. */
  const enterObservation = (observation: ObservationId, holds: boolean) => {
    const before = newest().standing.findLast(
      (one) => one.kind === 'observation' && one.observation === observation,
    );
    const entered = queue(
      { kind: 'observation', observation, holds, ...(before ? { supersedes: before.id } : {}) },
      holds ? t('ui-sheet.as-it-should-be-2') : t('ui-sheet.not-should'),
    );
    setProblem(undefined);
    setDone({
      message: `${placeInWords(entered)} ${upperFirst(valueInWords(entered, units))}`,
      warnings: [],
      undo: { label: t('ui-sheet.undo'), run: () => (before ? putBack(before, entered) : takeBack(entered)) },
    });
  };

  /** One reading of one point, whatever is selected; anything else that was typed is not taken for it. */
  const enterAt = (target: Target, inState: RecordedState, text: string, elsewhere: Problem): boolean => {
    const entry = quickEntry(text, entryDefaults(newest().caseFile, target, units));
    const value = entry.ok ? entry.value : undefined;
    if (value === undefined || value.kind === 'ambient' || !isAt(spotOf(value), target)) {
      setProblem(entry.ok ? elsewhere : entry.problem);
      return false;
    }
    const refused = physicalProblem(value, newest());
    if (refused) {
      setProblem(refused);
      return false;
    }
    recordMeasured(value, inState, text);
    return true;
  };

  return {
    problem,
    enterObservation,
    done,
    /** One press of the key: what the bar offers, or that there is nothing more. */
    undo() {
      const last = done.now();
      if (last?.undo) last.undo.run();
      else
        setDone({
          message: t('ui-sheet.there-nothing-more-undo-every'),
          warnings: [],
        });
    },
    clearProblem: () => setProblem(undefined),
    takeBack,
    /** Reads what was typed and records it; refused text stays where it is, with what to do. */
    enter(text: string): boolean {
      const entry = quickEntry(text, entryDefaults(newest().caseFile, selected, units));
      const refused = entry.ok ? physicalProblem(entry.value, newest()) : entry.problem;
      if (refused || !entry.ok) {
        setProblem(refused);
        return false;
      }
      if (entry.value.kind === 'ambient') recordBarometer(entry.value, text);
      else recordMeasured(entry.value, state, text);
      return true;
    },
    /** A signal at the plug in a state of its own: a step of a pump table. */
    enterSignal(inState: RecordedState, text: string): boolean {
      return enterAt({ kind: 'wire', lane: 'signal', place: 'plug' }, inState, text, NOT_VOLTS);
    },
    /** A reading at a point and in a state of its own: the same test again. */
    repeat: (target: Target, inState: RecordedState, text: string) =>
      enterAt(target, inState, text, NOT_THERE),
    /** Something done to the machine. */
    enterWork({
      text,
      ...work
    }: Omit<WorkDone, 'id' | 'jobId' | 'takenAt' | 'enteredText' | 'kind'> & { text: string }) {
      record({ kind: 'work', ...work }, text.slice(0, MOST_LETTERS), []);
    },
    /** Codes, readiness or the road after the work. */
    enterFollowUp(followUp: FollowUp) {
      const text = followUpInWords({ followUp }).slice(0, MOST_LETTERS);
      record({ kind: 'follow-up', followUp }, text, []);
    },
    /** What the engine has to draw, by the figures of its live data. */
    enterEngineFlow(figures: EngineFlowFigures, inState: RecordedState, text: string) {
      // The same engine in the same state: new figures take the place of the old ones.
      const before = newest().standing.findLast(
        (one) => one.kind === 'engine-flow' && sameDrive(one.state, inState),
      );
      const entered = queue(
        { kind: 'engine-flow', ...figures, state: inState, ...(before ? { supersedes: before.id } : {}) },
        text,
      );
      setProblem(undefined);
      setDone({
        message: `${placeInWords(entered)}: ${valueInWords(entered, units)}`,
        warnings: [],
        undo: {
          label: t('ui-sheet.undo'),
          run: () => (before ? putBack(before, entered) : takeBack(entered)),
        },
      });
    },
    /** Volts or ohms between two points, in a state of its own. */
    enterBetween(
      kind: 'between' | 'ohms',
      [from, to]: readonly [ProbePoint, ProbePoint],
      inState: RecordedState,
      text: string,
    ): Problem | undefined {
      const entry = betweenEntry(kind, from, to, text);
      if (!entry.ok) return entry.problem;
      if (entry.value.kind !== 'ambient') recordMeasured(entry.value, inState, text);
      return undefined;
    },
    enterAmbient(ambient: AmbientSource, text: string) {
      record({ kind: 'ambient', ambient }, text, []);
    },
  };
}

const LIVE_CIRCUIT: ReadingWarning = {
  code: 'live-circuit',
  message: say('app.ohms-key-mean-nothing-not'),
};

/** As many as a line of the record keeps of what was typed. */
const MOST_LETTERS = 200;

const NOT_THERE: Problem = {
  code: 'not-there',
  message: say('app.repeat-is-of-its-own-point'),
  next: say('app.type-value-alone'),
};

const NOT_VOLTS: Problem = {
  code: 'not-volts',
  message: say('app.step-pump-table-takes-signal'),
  next: say('app.type-volts-meter-shows-them'),
};

/** A correction stays where the reading was taken. */
function isSamePlace(old: NewReading, now: NewReading): boolean {
  if (old.kind === 'ambient' || now.kind === 'ambient') return old.kind === now.kind;
  if (!isTakenReading(old) || !isTakenReading(now)) return false;
  return sameTarget(spotOf(old), spotOf(now));
}

/** What speed and density are worked out from. */
export type EngineFlowFigures = Omit<
  Extract<Unstamped<NewReading>, { kind: 'engine-flow' }>,
  'kind' | 'state' | 'supersedes'
>;

/** The state as a reading carries it to the server. */
export type RecordedState = Extract<NewReading, { kind: 'wire' }>['state'];

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

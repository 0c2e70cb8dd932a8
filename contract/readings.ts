import { say } from '@lettura/core/measure/message';
import {
  GAUGE_TAPS,
  LANES,
  PLACES,
  samePoint,
  SIGNAL_LANES,
  spotOf,
  type ProbePoint,
} from '@lettura/core/machine/places';
import { OBSERVATION_IDS } from '@lettura/core/record/observation';
import { COMPLAINT_ANSWERS } from '@lettura/core/record/followUp';
import { MONITOR_IDS } from '@lettura/core/record/onBoard';
import { MOST_UNITS, unitReport } from './onBoard.ts';
import { WORK_IDS } from '@lettura/core/record/workDone';
import { HIGHEST_HERTZ, MEASURAND_NAMES, PRESSURE_BASES } from '@lettura/core/measure/quantity';
import { z } from 'zod';
import { refusal } from './refusal.ts';
import { id, instant } from './ids.ts';
import { troubleCode } from './troubleCode.ts';
import { machineState, probePoint } from './machineState.ts';
import { ambientSource } from './ambientSource.ts';

const common = {
  id,
  jobId: id,
  takenAt: instant,
  /** As typed or shown, so that nothing is lost in reading it. */
  enteredText: z.string().max(200),
  /** A correction names the reading it replaces; both stay on record. */
  supersedes: id.optional(),
};
/** What took it; left out where nobody said. */
const instrumentId = id.optional();

const partNumber = z.string().trim().max(80).optional();

/** What was looked at after work on the machine, beside the same tests again. */
export const followUp = z.discriminatedUnion('what', [
  /** Read again; none is an answer as well. */
  z.strictObject({ what: z.literal('codes'), codes: z.array(troubleCode).max(20) }),
  z.strictObject({
    what: z.literal('readiness'),
    unfinished: z.array(z.enum(MONITOR_IDS)).max(MONITOR_IDS.length),
  }),
  z.strictObject({
    what: z.literal('road-test'),
    complaint: z.enum(COMPLAINT_ANSWERS),
    loadPercent: z.number().min(0).max(200).optional(),
    revsRpm: z.number().min(0).max(20_000).optional(),
    gear: z.string().trim().max(20).optional(),
    coolantCelsius: z.number().min(-60).max(200).optional(),
  }),
  /** A day on which it is to be looked at again. */
  z.strictObject({ what: z.literal('recheck'), onDate: z.iso.date() }),
  /** A vehicle that was asked by a tester. */
  z.strictObject({ what: z.literal('vehicle'), units: z.array(unitReport).min(1).max(MOST_UNITS) }),
]);

const twoPoints = ({ from, to }: { from: ProbePoint; to: ProbePoint }) => !samePoint(from, to);
const ONE_POINT = { error: refusal(say('refusal.both-probes-are-on-one')) };

/** One line of a job's record. Append-only: corrected or withdrawn by a later line, never changed. */
export const newReading = z.discriminatedUnion('kind', [
  z.strictObject({
    ...common,
    kind: z.literal('wire'),
    state: machineState,
    lane: z.enum(LANES),
    place: z.enum(PLACES),
    volts: z.number().min(-30).max(60),
    instrumentId,
  }),
  z.strictObject({
    ...common,
    kind: z.literal('gauge'),
    state: machineState,
    tap: z.enum(GAUGE_TAPS),
    pressureKpa: z.number().min(-110).max(400_000),
    basis: z.enum(PRESSURE_BASES),
    instrumentId,
  }),
  z.strictObject({
    ...common,
    kind: z.literal('scan'),
    state: machineState,
    measures: z.enum(MEASURAND_NAMES),
    /** In the measurand's unit. */
    value: z.number().min(-1000).max(400_000),
    instrumentId,
  }),
  /** Live data in volts, of one input of the unit. */
  z.strictObject({
    ...common,
    kind: z.literal('live-volts'),
    state: machineState,
    lane: z.enum(SIGNAL_LANES),
    volts: z.number().min(-30).max(60),
    instrumentId,
  }),
  z
    .strictObject({
      ...common,
      kind: z.literal('between'),
      state: machineState,
      from: probePoint,
      to: probePoint,
      volts: z.number().min(-30).max(60),
      instrumentId,
    })
    .refine(twoPoints, ONE_POINT),
  z
    .strictObject({
      ...common,
      kind: z.literal('ohms'),
      state: machineState,
      from: probePoint,
      to: probePoint,
      /** Null for OL. */
      ohms: z.number().min(0).max(1e9).nullable(),
      instrumentId,
    })
    .refine(twoPoints, ONE_POINT),
  /** What a meter counts on the signal: 0, or 100 percent, where it stands. */
  z.strictObject({
    ...common,
    kind: z.literal('frequency'),
    state: machineState,
    lane: z.literal('signal'),
    place: z.enum(PLACES),
    hertz: z.number().min(0).max(HIGHEST_HERTZ),
    instrumentId,
  }),
  z.strictObject({
    ...common,
    kind: z.literal('duty'),
    state: machineState,
    lane: z.literal('signal'),
    place: z.enum(PLACES),
    upPercent: z.number().min(0).max(100),
    instrumentId,
  }),
  /** What the engine has to draw, by speed and density. */
  z.strictObject({
    ...common,
    kind: z.literal('engine-flow'),
    state: machineState,
    displacementLitres: z.number().min(0.05).max(50),
    revsPerMinute: z.number().min(50).max(15_000),
    manifoldKpaAbs: z.number().min(1).max(500),
    airCelsius: z.number().min(-60).max(200),
    fillingPercent: z.number().min(5).max(200),
    instrumentId,
  }),
  /** Something looked at rather than measured. */
  z.strictObject({
    ...common,
    kind: z.literal('observation'),
    observation: z.enum(OBSERVATION_IDS),
    /** As it should be. */
    holds: z.boolean(),
  }),
  /** Something done to the machine: what is read after it may be another value. */
  z.strictObject({
    ...common,
    kind: z.literal('work'),
    work: z.enum(WORK_IDS),
    /** Which part, and where. */
    at: z.string().trim().max(200).optional(),
    oldPart: partNumber,
    newPart: partNumber,
    who: z.string().trim().max(120).optional(),
    note: z.string().trim().max(1000).optional(),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('follow-up'),
    followUp,
    note: z.string().trim().max(1000).optional(),
  }),
  z.strictObject({ ...common, kind: z.literal('ambient'), ambient: ambientSource }),
  z.strictObject({ ...common, kind: z.literal('withdrawal'), supersedes: id }),
]);
export type NewReading = z.infer<typeof newReading>;

export const reading = newReading;
export type Reading = NewReading;

/** Read with an instrument, at a point and in a state. */
export type TakenReading = Extract<Reading, { state: unknown }>;
export const isTakenReading = (row: Reading): row is TakenReading => 'state' in row;

/** What a line is about: a correction may change anything else. */
export const subjectOf = (row: Reading): unknown[] => [
  row.kind,
  isTakenReading(row) ? spotOf(row) : undefined,
  'observation' in row ? row.observation : undefined,
  'followUp' in row ? row.followUp.what : undefined,
];

/** The instruments that a line of the record names. */
export function instrumentsNamed(row: Reading): string[] {
  const taker = 'instrumentId' in row ? row.instrumentId : undefined;
  const pump =
    'state' in row && row.state.stimulus?.kind === 'pump' ? row.state.stimulus.instrumentId : undefined;
  return [taker, pump].filter((one) => one !== undefined);
}

/** What still counts: neither replaced nor withdrawn. In the order taken. */
export function standingReadings(rows: readonly Reading[]): Exclude<Reading, { kind: 'withdrawal' }>[] {
  const replaced = new Set(rows.flatMap(({ supersedes }) => (supersedes ? [supersedes] : [])));
  return rows
    .filter((row) => row.kind !== 'withdrawal')
    .filter((row) => !replaced.has(row.id))
    .sort((a, b) => a.takenAt.localeCompare(b.takenAt) || a.id.localeCompare(b.id));
}

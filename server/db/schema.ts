import type { Companion } from '@lettura/core/measure/companion';
import type { FamilyId } from '@lettura/core/machine/family';
import type { SensorProfile } from '@lettura/core/measure/transfer';
import type {
  FormerSubject,
  Instrument,
  InstrumentSort,
  Job,
  JobVerdict,
  Pin,
  Reading,
  RecordingInfo,
} from '@lettura/contract';
import { sql } from 'drizzle-orm';
import {
  bigserial,
  boolean,
  check,
  customType,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  uniqueIndex,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'date', precision: 3 });
const recordedAt = () => instant('recorded_at').notNull().defaultNow();
/** Who wrote the row; rows from before there was a name are of the only user there was. */
const author = () => text().notNull().default('local');

export const vehicleTable = pgTable('vehicle', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  displacementLitres: doublePrecision('displacement_litres'),
  author: author(),
  recordedAt: recordedAt(),
});

/** Every row is one version; a change is a new row of the same lineage, so that a job keeps what it was done with. */
const versioned = {
  id: uuid().primaryKey(),
  lineageId: uuid('lineage_id').notNull(),
  version: integer().notNull(),
  name: text().notNull(),
  notes: text().notNull().default(''),
  author: author(),
  recordedAt: recordedAt(),
};

export const sensorTable = pgTable(
  'sensor',
  {
    ...versioned,
    family: text().$type<FamilyId>().notNull(),
    source: text().notNull(),
    profile: jsonb().$type<SensorProfile>().notNull(),
    companion: jsonb().$type<Companion>(),
    pins: jsonb().$type<readonly Pin[]>().notNull().default([]),
  },
  (t) => [uniqueIndex('sensor_version').on(t.lineageId, t.version)],
);

export const instrumentTable = pgTable(
  'instrument',
  {
    ...versioned,
    sort: text().$type<InstrumentSort>().notNull(),
    accuracy: jsonb().$type<Instrument['accuracy']>().notNull(),
    lowest: doublePrecision().notNull(),
    highest: doublePrecision().notNull(),
    calibratedOn: date('calibrated_on', { mode: 'string' }),
    calibrationDue: date('calibration_due', { mode: 'string' }),
    retired: boolean().notNull().default(false),
  },
  (t) => [uniqueIndex('instrument_version').on(t.lineageId, t.version)],
);

export const jobTable = pgTable('job', {
  id: uuid().primaryKey(),
  vehicleId: uuid('vehicle_id')
    .notNull()
    .references(() => vehicleTable.id),
  sensorId: uuid('sensor_id')
    .notNull()
    .references(() => sensorTable.id),
  complaint: text().notNull(),
  codes: text().array().notNull(),
  history: text().notNull(),
  pins: jsonb().$type<readonly Pin[]>(),
  /** Left out while they are the usual ones. */
  starting: jsonb().$type<NonNullable<Job['starting']>>(),
  displacementLitres: doublePrecision('displacement_litres'),
  notAsKnownGood: boolean('not_as_known_good').notNull().default(false),
  bench: jsonb().$type<NonNullable<Job['bench']>>(),
  formerly: jsonb().$type<readonly FormerSubject[]>().notNull().default([]),
  openedAt: instant('opened_at').notNull(),
  deletedAt: instant('deleted_at'),
  revision: integer().notNull().default(1),
  /** Who changed, deleted or restored it last. */
  changedBy: text('changed_by').notNull().default('local'),
  author: author(),
  recordedAt: recordedAt(),
});

/** What a line of the record says beyond what every line has. */
export type ReadingPayload<R extends Reading = Reading> = R extends Reading
  ? Omit<R, 'id' | 'jobId' | 'kind' | 'takenAt' | 'enteredText' | 'supersedes' | 'instrumentId'>
  : never;

/** Append-only: a correction or a withdrawal is a new row. Volts and kPa as measured; anything else is derived. */
export const readingTable = pgTable(
  'reading',
  {
    id: uuid().primaryKey(),
    sequence: bigserial({ mode: 'number' }).notNull(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobTable.id),
    kind: text().$type<Reading['kind']>().notNull(),
    takenAt: instant('taken_at').notNull(),
    enteredText: text('entered_text').notNull(),
    supersedes: uuid().references((): AnyPgColumn => readingTable.id),
    instrumentId: uuid('instrument_id').references(() => instrumentTable.id),
    /** What was read, by kind, as the contract has it: values carry their unit in their name. */
    payload: jsonb().$type<ReadingPayload>().notNull(),
    author: author(),
    recordedAt: recordedAt(),
  },
  (t) => [
    index('reading_by_job').on(t.jobId, t.sequence),
    index('reading_by_superseded')
      .on(t.supersedes)
      .where(sql`${t.supersedes} is not null`),
    check('reading_payload_is_an_object', sql`jsonb_typeof(${t.payload}) = 'object'`),
  ],
);

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' });

/** Append-only as well. Numbers as they came, deflated: what they mean stands beside them. */
export const recordingTable = pgTable(
  'recording',
  {
    id: uuid().primaryKey(),
    sequence: bigserial({ mode: 'number' }).notNull(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobTable.id),
    name: text().notNull(),
    takenAt: instant('taken_at').notNull(),
    source: text().$type<RecordingInfo['source']>().notNull(),
    channels: jsonb().$type<RecordingInfo['channels']>().notNull(),
    samples: integer().notNull(),
    durationSeconds: doublePrecision('duration_seconds').notNull(),
    findings: jsonb().$type<RecordingInfo['findings']>().notNull(),
    marks: jsonb().$type<RecordingInfo['marks']>().notNull().default([]),
    note: text().notNull().default(''),
    deflated: bytes().notNull(),
    author: author(),
    recordedAt: recordedAt(),
  },
  (t) => [index('recording_by_job').on(t.jobId, t.sequence)],
);

/** What a recording is read as; the last line counts. */
export const recordingRevisionTable = pgTable(
  'recording_revision',
  {
    id: uuid().primaryKey(),
    sequence: bigserial({ mode: 'number' }).notNull(),
    recordingId: uuid('recording_id')
      .notNull()
      .references(() => recordingTable.id),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobTable.id),
    revisedAt: instant('revised_at').notNull(),
    withdrawn: boolean().notNull(),
    channels: jsonb().$type<RecordingInfo['channels']>().notNull(),
    findings: jsonb().$type<RecordingInfo['findings']>().notNull(),
    /** Null where it stays as it was said last. */
    name: text(),
    note: text(),
    marks: jsonb().$type<RecordingInfo['marks']>(),
    author: author(),
    recordedAt: recordedAt(),
  },
  (t) => [index('revision_by_recording').on(t.recordingId, t.sequence)],
);

/** The head of the reports: one row, or none yet. */
export const workshopTable = pgTable(
  'workshop',
  {
    id: integer().primaryKey(),
    name: text().notNull(),
    address: text().notNull(),
    /** As a data URL. */
    picture: text(),
    revision: integer().notNull(),
    changedBy: text('changed_by').notNull().default('local'),
    changedAt: instant('changed_at').notNull(),
  },
  (t) => [check('workshop_is_one', sql`${t.id} = 1`)],
);

export const verdictTable = pgTable(
  'verdict',
  {
    id: uuid().primaryKey(),
    sequence: bigserial({ mode: 'number' }).notNull(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => jobTable.id),
    decidedAt: instant('decided_at').notNull(),
    cause: text().$type<JobVerdict['cause']>().notNull(),
    note: text().notNull(),
    author: author(),
    recordedAt: recordedAt(),
  },
  (t) => [index('verdict_by_job').on(t.jobId, t.sequence)],
);

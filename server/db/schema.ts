import type { AmbientSource } from '@lettura/core/measure/quantity';
import type {
  EngineState,
  GaugeTap,
  HarnessWork,
  Lane,
  Place,
  PlugState,
  ProbePoint,
  Stimulus,
} from '@lettura/core/machine/places';
import type { ObservationId } from '@lettura/core/record/observation';
import type { Companion } from '@lettura/core/measure/companion';
import type { FamilyId } from '@lettura/core/machine/family';
import type { Measurand, PressureBasis } from '@lettura/core/measure/quantity';
import type { SensorProfile } from '@lettura/core/measure/transfer';
import type {
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

export const vehicleTable = pgTable('vehicle', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  displacementLitres: doublePrecision('displacement_litres'),
  recordedAt: recordedAt(),
});

/** Every row is one version; a change is a new row of the same lineage, so that a job keeps what it was done with. */
const versioned = {
  id: uuid().primaryKey(),
  lineageId: uuid('lineage_id').notNull(),
  version: integer().notNull(),
  name: text().notNull(),
  notes: text().notNull().default(''),
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
  bench: jsonb().$type<NonNullable<Job['bench']>>(),
  openedAt: instant('opened_at').notNull(),
  deletedAt: instant('deleted_at'),
  revision: integer().notNull().default(1),
  recordedAt: recordedAt(),
});

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
    engineState: text('engine_state').$type<EngineState>(),
    plugState: text('plug_state').$type<PlugState>(),
    stimulus: jsonb().$type<Stimulus>(),
    harness: jsonb().$type<HarnessWork>(),
    fromPoint: jsonb('from_point').$type<ProbePoint>(),
    toPoint: jsonb('to_point').$type<ProbePoint>(),
    /** Left out for OL. */
    ohms: doublePrecision(),
    lane: text().$type<Lane>(),
    place: text().$type<Place>(),
    volts: doublePrecision(),
    tap: text().$type<GaugeTap>(),
    pressureKpa: doublePrecision('pressure_kpa'),
    pressureBasis: text('pressure_basis').$type<PressureBasis>(),
    /** Of live data; absolute pressure in rows from before other families. */
    measures: text().$type<Measurand>(),
    liveValue: doublePrecision('live_value'),
    instrumentId: uuid('instrument_id').references(() => instrumentTable.id),
    observation: text().$type<ObservationId>(),
    /** Of an observation: as it should be. */
    holds: boolean(),
    ambient: jsonb().$type<AmbientSource>(),
    recordedAt: recordedAt(),
  },
  (t) => [
    index('reading_by_job').on(t.jobId, t.sequence),
    index('reading_by_superseded')
      .on(t.supersedes)
      .where(sql`${t.supersedes} is not null`),
    check(
      'reading_has_its_value',
      sql`case ${t.kind}
        when 'wire' then ${t.volts} is not null and ${t.lane} is not null and ${t.place} is not null
        when 'gauge' then ${t.pressureKpa} is not null and ${t.pressureBasis} is not null and ${t.tap} is not null
        when 'scan' then ${t.pressureKpa} is not null
          or (${t.liveValue} is not null and ${t.measures} is not null)
        when 'between' then ${t.volts} is not null and ${t.fromPoint} is not null and ${t.toPoint} is not null
        when 'ohms' then ${t.fromPoint} is not null and ${t.toPoint} is not null
        when 'observation' then ${t.observation} is not null and ${t.holds} is not null
        when 'ambient' then ${t.ambient} is not null
        when 'withdrawal' then ${t.supersedes} is not null
        else false end`,
    ),
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
    recordedAt: recordedAt(),
  },
  (t) => [index('revision_by_recording').on(t.recordingId, t.sequence)],
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
    recordedAt: recordedAt(),
  },
  (t) => [index('verdict_by_job').on(t.jobId, t.sequence)],
);

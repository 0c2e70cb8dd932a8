import type { AmbientSource } from '@lettura/core/quantity';
import type { EngineState, GaugeTap, Lane, Place, PlugState } from '@lettura/core/evidence';
import type { PressureBasis } from '@lettura/core/quantity';
import type { SensorProfile } from '@lettura/core/transfer';
import type { Job, JobVerdict, Reading } from '@lettura/contract';
import { sql } from 'drizzle-orm';
import {
  bigserial,
  check,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  uuid,
  type AnyPgColumn,
} from 'drizzle-orm/pg-core';

const instant = (name: string) => timestamp(name, { withTimezone: true, mode: 'date', precision: 3 });
const recordedAt = () => instant('recorded_at').notNull().defaultNow();

export const vehicleTable = pgTable('vehicle', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  recordedAt: recordedAt(),
});

export const sensorTable = pgTable('sensor', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  source: text().notNull(),
  profile: jsonb().$type<SensorProfile>().notNull(),
  recordedAt: recordedAt(),
});

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
    lane: text().$type<Lane>(),
    place: text().$type<Place>(),
    volts: doublePrecision(),
    tap: text().$type<GaugeTap>(),
    pressureKpa: doublePrecision('pressure_kpa'),
    pressureBasis: text('pressure_basis').$type<PressureBasis>(),
    ambient: jsonb().$type<AmbientSource>(),
    recordedAt: recordedAt(),
  },
  (t) => [
    index('reading_by_job').on(t.jobId, t.sequence),
    check(
      'reading_has_its_value',
      sql`case ${t.kind}
        when 'wire' then ${t.volts} is not null and ${t.lane} is not null and ${t.place} is not null
        when 'gauge' then ${t.pressureKpa} is not null and ${t.pressureBasis} is not null and ${t.tap} is not null
        when 'scan' then ${t.pressureKpa} is not null
        when 'ambient' then ${t.ambient} is not null
        when 'withdrawal' then ${t.supersedes} is not null
        else false end`,
    ),
  ],
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

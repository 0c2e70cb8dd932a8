-- What a kind of reading says beyond what every line has becomes one payload: a new kind is a new payload, and no new columns.
ALTER TABLE "reading" DROP CONSTRAINT "reading_has_its_value";
--> statement-breakpoint
ALTER TABLE "instrument" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "changed_by" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "recording_revision" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "sensor" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "verdict" ADD COLUMN "author" text DEFAULT 'local' NOT NULL;
--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "payload" jsonb;
--> statement-breakpoint
-- The record is append-only; this says the same in another form, once.
ALTER TABLE "reading" DISABLE TRIGGER reading_append_only;
--> statement-breakpoint
UPDATE "reading" SET "payload" =
  CASE WHEN kind IN ('wire', 'gauge', 'scan', 'between', 'ohms')
    THEN jsonb_build_object('state',
      jsonb_build_object('engine', engine_state, 'plug', plug_state)
      || CASE WHEN stimulus IS NULL THEN '{}' ELSE jsonb_build_object('stimulus', stimulus) END
      || CASE WHEN harness IS NULL THEN '{}' ELSE jsonb_build_object('harness', harness) END)
    ELSE '{}'
  END
  || CASE kind
    WHEN 'wire' THEN jsonb_build_object('lane', lane, 'place', place, 'volts', volts)
    WHEN 'gauge' THEN jsonb_build_object('tap', tap, 'pressureKpa', pressure_kpa, 'basis', pressure_basis)
    -- From before other families live data was absolute pressure, in a column of its own.
    WHEN 'scan' THEN jsonb_build_object('measures', coalesce(measures, 'absolute-pressure'),
                                        'value', coalesce(live_value, pressure_kpa))
    WHEN 'between' THEN jsonb_build_object('from', from_point, 'to', to_point, 'volts', volts)
    -- No ohms are OL, and stay null.
    WHEN 'ohms' THEN jsonb_build_object('from', from_point, 'to', to_point, 'ohms', ohms)
    WHEN 'observation' THEN jsonb_build_object('observation', observation, 'holds', holds)
    WHEN 'ambient' THEN jsonb_build_object('ambient', ambient)
    ELSE '{}'
  END;
--> statement-breakpoint
ALTER TABLE "reading" ENABLE TRIGGER reading_append_only;
--> statement-breakpoint
ALTER TABLE "reading" ALTER COLUMN "payload" SET NOT NULL;
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "engine_state";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "plug_state";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "stimulus";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "harness";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "from_point";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "to_point";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "ohms";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "lane";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "place";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "volts";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "tap";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "pressure_kpa";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "pressure_basis";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "measures";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "live_value";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "observation";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "holds";
--> statement-breakpoint
ALTER TABLE "reading" DROP COLUMN "ambient";
--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_payload_is_an_object" CHECK (jsonb_typeof("reading"."payload") = 'object');

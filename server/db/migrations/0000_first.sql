CREATE TABLE "job" (
	"id" uuid PRIMARY KEY NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"sensor_id" uuid NOT NULL,
	"complaint" text NOT NULL,
	"codes" text[] NOT NULL,
	"history" text NOT NULL,
	"bench" jsonb,
	"opened_at" timestamp (3) with time zone NOT NULL,
	"deleted_at" timestamp (3) with time zone,
	"revision" integer DEFAULT 1 NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "reading" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"job_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"taken_at" timestamp (3) with time zone NOT NULL,
	"entered_text" text NOT NULL,
	"supersedes" uuid,
	"engine_state" text,
	"plug_state" text,
	"lane" text,
	"place" text,
	"volts" double precision,
	"tap" text,
	"pressure_kpa" double precision,
	"pressure_basis" text,
	"ambient" jsonb,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "reading_has_its_value" CHECK (case "reading"."kind"
        when 'wire' then "reading"."volts" is not null and "reading"."lane" is not null and "reading"."place" is not null
        when 'gauge' then "reading"."pressure_kpa" is not null and "reading"."pressure_basis" is not null and "reading"."tap" is not null
        when 'scan' then "reading"."pressure_kpa" is not null
        when 'ambient' then "reading"."ambient" is not null
        when 'withdrawal' then "reading"."supersedes" is not null
        else false end)
);
--> statement-breakpoint
CREATE TABLE "sensor" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"source" text NOT NULL,
	"profile" jsonb NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "vehicle" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "verdict" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"job_id" uuid NOT NULL,
	"decided_at" timestamp (3) with time zone NOT NULL,
	"cause" text NOT NULL,
	"note" text NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_sensor_id_sensor_id_fk" FOREIGN KEY ("sensor_id") REFERENCES "public"."sensor"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_supersedes_reading_id_fk" FOREIGN KEY ("supersedes") REFERENCES "public"."reading"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "verdict" ADD CONSTRAINT "verdict_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "reading_by_job" ON "reading" USING btree ("job_id","sequence");--> statement-breakpoint
CREATE INDEX "verdict_by_job" ON "verdict" USING btree ("job_id","sequence");
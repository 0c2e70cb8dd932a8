CREATE TABLE "instrument" (
	"id" uuid PRIMARY KEY NOT NULL,
	"lineage_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"name" text NOT NULL,
	"notes" text DEFAULT '' NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"sort" text NOT NULL,
	"accuracy" jsonb NOT NULL,
	"lowest" double precision NOT NULL,
	"highest" double precision NOT NULL,
	"calibrated_on" date,
	"calibration_due" date,
	"retired" boolean DEFAULT false NOT NULL
);
--> statement-breakpoint
ALTER TABLE "reading" DROP CONSTRAINT "reading_has_its_value";--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "pins" jsonb;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "stimulus" jsonb;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "measures" text;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "live_value" double precision;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "instrument_id" uuid;--> statement-breakpoint
ALTER TABLE "sensor" ADD COLUMN "lineage_id" uuid;--> statement-breakpoint
ALTER TABLE "sensor" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "sensor" ADD COLUMN "notes" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "sensor" ADD COLUMN "family" text DEFAULT 'manifold-pressure' NOT NULL;--> statement-breakpoint
-- Until now every sensor was the first version of itself, of one family, and counted in kPa absolute.
ALTER TABLE "sensor" ALTER COLUMN "version" DROP DEFAULT;--> statement-breakpoint
ALTER TABLE "sensor" ALTER COLUMN "family" DROP DEFAULT;--> statement-breakpoint
UPDATE "sensor" SET
  "lineage_id" = "id",
  "profile" = ("profile" - 'lowestKpaAbs' - 'highestKpaAbs' - 'toleranceKpa' - 'differenceThatMattersKpa') || jsonb_build_object(
    'measures', 'absolute-pressure',
    'lowest', "profile" -> 'lowestKpaAbs',
    'highest', "profile" -> 'highestKpaAbs',
    'tolerance', jsonb_build_object('form', 'plus-minus', 'plusMinus', "profile" -> 'toleranceKpa'),
    'differenceThatMatters', "profile" -> 'differenceThatMattersKpa',
    'transfer', case "profile" -> 'transfer' ->> 'form'
      when 'ratiometric' then ("profile" -> 'transfer') - 'sharePerKpa'
        || jsonb_build_object('sharePerUnit', "profile" -> 'transfer' -> 'sharePerKpa')
      when 'linear' then ("profile" -> 'transfer') || jsonb_build_object(
        'low', jsonb_build_object('volts', "profile" #> '{transfer,low,volts}', 'value', "profile" #> '{transfer,low,kpaAbs}'),
        'high', jsonb_build_object('volts', "profile" #> '{transfer,high,volts}', 'value', "profile" #> '{transfer,high,kpaAbs}'))
      else ("profile" -> 'transfer') || jsonb_build_object('points', (
        select jsonb_agg(jsonb_build_object('volts', p -> 'volts', 'value', p -> 'kpaAbs') order by n)
        from jsonb_array_elements("profile" #> '{transfer,points}') with ordinality as points (p, n)))
    end);--> statement-breakpoint
ALTER TABLE "sensor" ALTER COLUMN "lineage_id" SET NOT NULL;--> statement-breakpoint
ALTER TABLE "sensor" ADD COLUMN "companion" jsonb;--> statement-breakpoint
ALTER TABLE "sensor" ADD COLUMN "pins" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "vehicle" ADD COLUMN "displacement_litres" double precision;--> statement-breakpoint
CREATE UNIQUE INDEX "instrument_version" ON "instrument" USING btree ("lineage_id","version");--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_instrument_id_instrument_id_fk" FOREIGN KEY ("instrument_id") REFERENCES "public"."instrument"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "sensor_version" ON "sensor" USING btree ("lineage_id","version");--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_has_its_value" CHECK (case "reading"."kind"
        when 'wire' then "reading"."volts" is not null and "reading"."lane" is not null and "reading"."place" is not null
        when 'gauge' then "reading"."pressure_kpa" is not null and "reading"."pressure_basis" is not null and "reading"."tap" is not null
        when 'scan' then "reading"."pressure_kpa" is not null
          or ("reading"."live_value" is not null and "reading"."measures" is not null)
        when 'ambient' then "reading"."ambient" is not null
        when 'withdrawal' then "reading"."supersedes" is not null
        else false end);
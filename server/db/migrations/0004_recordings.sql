CREATE TABLE "recording" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"job_id" uuid NOT NULL,
	"name" text NOT NULL,
	"taken_at" timestamp (3) with time zone NOT NULL,
	"source" text NOT NULL,
	"channels" jsonb NOT NULL,
	"samples" integer NOT NULL,
	"duration_seconds" double precision NOT NULL,
	"findings" jsonb NOT NULL,
	"deflated" "bytea" NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "recording" ADD CONSTRAINT "recording_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "recording_by_job" ON "recording" USING btree ("job_id","sequence");--> statement-breakpoint
CREATE TRIGGER recording_append_only BEFORE UPDATE OR DELETE ON "recording" FOR EACH ROW EXECUTE FUNCTION refuse_change();

CREATE TABLE "recording_revision" (
	"id" uuid PRIMARY KEY NOT NULL,
	"sequence" bigserial NOT NULL,
	"recording_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revised_at" timestamp (3) with time zone NOT NULL,
	"withdrawn" boolean NOT NULL,
	"channels" jsonb NOT NULL,
	"findings" jsonb NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "recording_revision" ADD CONSTRAINT "recording_revision_recording_id_recording_id_fk" FOREIGN KEY ("recording_id") REFERENCES "public"."recording"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recording_revision" ADD CONSTRAINT "recording_revision_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "revision_by_recording" ON "recording_revision" USING btree ("recording_id","sequence");--> statement-breakpoint
CREATE TRIGGER recording_revision_append_only BEFORE UPDATE OR DELETE ON "recording_revision" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER recording_revision_not_emptied BEFORE TRUNCATE ON "recording_revision" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER revision_on_open_job BEFORE INSERT ON "recording_revision" FOR EACH ROW EXECUTE FUNCTION refuse_deleted_job();

ALTER TABLE "recording_revision" ADD COLUMN "name" text;--> statement-breakpoint
ALTER TABLE "recording_revision" ADD COLUMN "note" text;--> statement-breakpoint
ALTER TABLE "recording_revision" ADD COLUMN "marks" jsonb;
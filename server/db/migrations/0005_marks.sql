ALTER TABLE "recording" ADD COLUMN "marks" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "recording" ADD COLUMN "note" text DEFAULT '' NOT NULL;
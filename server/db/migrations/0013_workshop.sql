CREATE TABLE "workshop" (
	"id" integer PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"address" text NOT NULL,
	"picture" text,
	"revision" integer NOT NULL,
	"changed_by" text DEFAULT 'local' NOT NULL,
	"changed_at" timestamp (3) with time zone NOT NULL,
	CONSTRAINT "workshop_is_one" CHECK ("workshop"."id" = 1)
);

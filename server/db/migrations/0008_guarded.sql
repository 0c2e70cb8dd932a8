-- What the server checks before it writes may have changed by the time it writes: these hold within the same transaction.
-- A line of the record goes only onto a job that is there, and keeps it from being deleted until the line stands.
CREATE FUNCTION refuse_deleted_job() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE deleted timestamptz;
BEGIN
  SELECT deleted_at INTO deleted FROM job WHERE id = NEW.job_id FOR SHARE;
  IF deleted IS NOT NULL THEN
    RAISE EXCEPTION 'The job was deleted.' USING ERRCODE = 'LT410';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER reading_on_open_job BEFORE INSERT ON "reading" FOR EACH ROW EXECUTE FUNCTION refuse_deleted_job();
--> statement-breakpoint
CREATE TRIGGER verdict_on_open_job BEFORE INSERT ON "verdict" FOR EACH ROW EXECUTE FUNCTION refuse_deleted_job();
--> statement-breakpoint
CREATE TRIGGER recording_on_open_job BEFORE INSERT ON "recording" FOR EACH ROW EXECUTE FUNCTION refuse_deleted_job();
--> statement-breakpoint
-- One reading is corrected or taken back once: two people who correct the same one at the same time are told apart.
CREATE FUNCTION refuse_second_correction() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_advisory_xact_lock(hashtextextended(NEW.supersedes::text, 0));
  IF EXISTS (SELECT 1 FROM reading WHERE supersedes = NEW.supersedes AND id <> NEW.id) THEN
    RAISE EXCEPTION 'The reading was corrected already.' USING ERRCODE = 'LT409';
  END IF;
  RETURN NEW;
END $$;
--> statement-breakpoint
CREATE TRIGGER reading_corrected_once BEFORE INSERT ON "reading" FOR EACH ROW WHEN (NEW.supersedes IS NOT NULL)
  EXECUTE FUNCTION refuse_second_correction();
--> statement-breakpoint
-- Emptying a table is a change of every row of it.
CREATE TRIGGER reading_not_emptied BEFORE TRUNCATE ON "reading" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER verdict_not_emptied BEFORE TRUNCATE ON "verdict" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER recording_not_emptied BEFORE TRUNCATE ON "recording" FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

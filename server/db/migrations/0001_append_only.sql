-- Readings and verdicts are a record: a correction is a new row. The database itself refuses anything else.
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'The table % is append-only.', TG_TABLE_NAME USING ERRCODE = 'restrict_violation';
END $$;
--> statement-breakpoint
CREATE TRIGGER reading_append_only BEFORE UPDATE OR DELETE ON "reading" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER verdict_append_only BEFORE UPDATE OR DELETE ON "verdict" FOR EACH ROW EXECUTE FUNCTION refuse_change();

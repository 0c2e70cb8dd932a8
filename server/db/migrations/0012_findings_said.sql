-- What a recording shows was kept as an English sentence; from now on it is a code with its values. Sentences that are known
-- become theirs, and every other stays word for word, as what was said at the time.
CREATE FUNCTION pg_temp.amount(written text) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT jsonb_build_object(
    'fixed', split_part(written, ' ', 1)::numeric,
    'decimals', length(split_part(split_part(written, ' ', 1), '.', 2)),
    'unit', split_part(written, ' ', 2))
$$;
--> statement-breakpoint
CREATE FUNCTION pg_temp.channel_said(name text) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT CASE
    WHEN name = 'The signal' THEN '{"code": "sweep.the-signal"}'
    WHEN name IN ('Track 1', 'Track 2')
      THEN jsonb_build_object('code', 'sweep.track', 'values', jsonb_build_object('number', right(name, 1)::int))
    ELSE jsonb_build_object('code', 'sweep.channel',
      'values', jsonb_build_object('name', jsonb_build_object('verbatim', name)))
  END
$$;
--> statement-breakpoint
-- The place was shown in the unit of whoever recorded; the finding has it in the sensor's own.
CREATE FUNCTION pg_temp.place_said(written text, finding jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT CASE WHEN coalesce(written, '') = '' OR NOT finding ? 'position'
    THEN '{"list": [], "joined": "commas"}'
    ELSE jsonb_build_object('code', 'sweep.at', 'values', jsonb_build_object('position', jsonb_build_object(
      'value', finding->'position',
      'measures', CASE
        WHEN written ~ '%$' THEN 'position'
        WHEN written ~ '°$' THEN 'angle'
        WHEN written ~ 'g/s$' THEN 'air-flow'
        WHEN written ~ 'gauge$' THEN 'gauge-pressure'
        WHEN written ~ 'diff$' THEN 'differential-pressure'
        ELSE 'absolute-pressure'
      END,
      'as', 'with-basis')))
  END
$$;
--> statement-breakpoint
CREATE FUNCTION pg_temp.sentence_said(finding jsonb) RETURNS jsonb LANGUAGE plpgsql IMMUTABLE AS $$
DECLARE
  said text := finding->>'sentence';
  part text[];
BEGIN
  IF said = 'Nothing was moved in this recording: it proves no travel.' THEN
    RETURN '{"code": "sweep.nothing-moved-recording-proves-no"}';
  END IF;
  part := regexp_match(said, '^(.+?) drops out( at .+?)?: ([\d.]+ m?s) at (-?[\d.]+ V) instead of (-?[\d.]+ V), ([\d.]+ s) into the recording\.$');
  IF part IS NOT NULL THEN
    RETURN jsonb_build_object('code', 'sweep.drops-out-instead-into-recording', 'values', jsonb_build_object(
      'name', pg_temp.channel_said(part[1]), 'place', pg_temp.place_said(part[2], finding),
      'lasting', pg_temp.amount(part[3]), 'farthestValue', pg_temp.amount(part[4]),
      'courseValue', pg_temp.amount(part[5]), 'clock', pg_temp.amount(part[6])));
  END IF;
  part := regexp_match(said, '^The tracks do not belong together( at .+?)?: ([\d.]+ %) of the reference apart, ([\d.]+ s) into the recording\.$');
  IF part IS NOT NULL THEN
    RETURN jsonb_build_object('code', 'sweep.tracks-do-not-belong-together', 'values', jsonb_build_object(
      'place', pg_temp.place_said(part[1], finding), 'percent', pg_temp.amount(part[2]), 'clock', pg_temp.amount(part[3])));
  END IF;
  part := regexp_match(said, '^Nothing was recorded for ([\d.]+ m?s), ([\d.]+ s) into the recording\.$');
  IF part IS NOT NULL THEN
    RETURN jsonb_build_object('code', 'sweep.nothing-recorded-into-recording', 'values', jsonb_build_object(
      'lasting', pg_temp.amount(part[1]), 'clock', pg_temp.amount(part[2])));
  END IF;
  part := regexp_match(said, '^The reference does not hold: (-?[\d.]+ V), ([\d.]+ s) into the recording\.$');
  IF part IS NOT NULL THEN
    RETURN jsonb_build_object('code', 'sweep.reference-does-not-hold-into', 'values', jsonb_build_object(
      'volts', pg_temp.amount(part[1]), 'clock', pg_temp.amount(part[2])));
  END IF;
  part := regexp_match(said, '^Live data follows the wire ([\d.]+ s) late\.$');
  IF part IS NOT NULL THEN
    RETURN jsonb_build_object('code', 'sweep.live-data-follows-wire-late',
      'values', jsonb_build_object('seconds', pg_temp.amount(part[1])));
  END IF;
  RETURN jsonb_build_object('code', 'say.at-the-time',
    'values', jsonb_build_object('text', jsonb_build_object('verbatim', said)));
END
$$;
--> statement-breakpoint
CREATE FUNCTION pg_temp.findings_said(findings jsonb) RETURNS jsonb LANGUAGE sql IMMUTABLE AS $$
  SELECT coalesce(jsonb_agg(
    CASE WHEN jsonb_typeof(one->'sentence') = 'string'
      THEN jsonb_set(one, '{sentence}', pg_temp.sentence_said(one))
      ELSE one
    END ORDER BY place), '[]')
  FROM jsonb_array_elements(findings) WITH ORDINALITY AS of(one, place)
$$;
--> statement-breakpoint
-- The record is append-only; this says the same in another form, once.
ALTER TABLE "recording" DISABLE TRIGGER USER;
--> statement-breakpoint
ALTER TABLE "recording_revision" DISABLE TRIGGER USER;
--> statement-breakpoint
UPDATE "recording" SET "findings" = pg_temp.findings_said("findings");
--> statement-breakpoint
UPDATE "recording_revision" SET "findings" = pg_temp.findings_said("findings");
--> statement-breakpoint
ALTER TABLE "recording" ENABLE TRIGGER USER;
--> statement-breakpoint
ALTER TABLE "recording_revision" ENABLE TRIGGER USER;

ALTER TABLE "reading" DROP CONSTRAINT "reading_has_its_value";--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "observation" text;--> statement-breakpoint
ALTER TABLE "reading" ADD COLUMN "holds" boolean;--> statement-breakpoint
ALTER TABLE "reading" ADD CONSTRAINT "reading_has_its_value" CHECK (case "reading"."kind"
        when 'wire' then "reading"."volts" is not null and "reading"."lane" is not null and "reading"."place" is not null
        when 'gauge' then "reading"."pressure_kpa" is not null and "reading"."pressure_basis" is not null and "reading"."tap" is not null
        when 'scan' then "reading"."pressure_kpa" is not null
          or ("reading"."live_value" is not null and "reading"."measures" is not null)
        when 'between' then "reading"."volts" is not null and "reading"."from_point" is not null and "reading"."to_point" is not null
        when 'ohms' then "reading"."from_point" is not null and "reading"."to_point" is not null
        when 'observation' then "reading"."observation" is not null and "reading"."holds" is not null
        when 'ambient' then "reading"."ambient" is not null
        when 'withdrawal' then "reading"."supersedes" is not null
        else false end);
ALTER TABLE "job_summary" ADD COLUMN "changed_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "job_words" ADD COLUMN "number" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX "job_event_odometer" ON "job_event" USING btree ("garage_id","job_id") WHERE "job_event"."type" in ('job-opened', 'handed-over', 'break-in-set', 'odometer-read');--> statement-breakpoint
CREATE INDEX "job_event_added" ON "job_event" USING btree ("garage_id","job_id") WHERE "job_event"."type" = 'step-added';--> statement-breakpoint
CREATE INDEX "job_summary_changed" ON "job_summary" USING btree ("garage_id","changed_at");--> statement-breakpoint
CREATE INDEX "job_words_number" ON "job_words" USING btree ("garage_id","number");--> statement-breakpoint
-- Words are looked up by their index only where nothing has to be kept from who asks: the function itself says of which garage.
CREATE FUNCTION jobs_with_words(wanted tsquery, most integer) RETURNS TABLE (job_id uuid, number integer, words text)
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public AS $$
BEGIN
  RETURN QUERY EXECUTE 'select j.job_id, j.number, j.words from job_words j where j.garage_id = $1 and j.found @@ $2 order by j.number desc limit $3'
    USING nullif(current_setting('eldrin.garage', true), '')::uuid, wanted, most;
END $$;
--> statement-breakpoint
REVOKE ALL ON FUNCTION jobs_with_words FROM PUBLIC;

CREATE FUNCTION job_event_is_append_only() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION 'job_event is append only: % refused', TG_OP;
END $$;
--> statement-breakpoint
CREATE TRIGGER job_event_append_only BEFORE UPDATE OR DELETE ON "job_event"
  FOR EACH ROW EXECUTE FUNCTION job_event_is_append_only();

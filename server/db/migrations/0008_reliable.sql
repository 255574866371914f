CREATE TABLE "issued_paper" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"number" integer NOT NULL,
	CONSTRAINT "issued_paper_number" UNIQUE("garage_id","kind","number")
);
--> statement-breakpoint
CREATE TABLE "projection" (
	"one" boolean PRIMARY KEY DEFAULT true NOT NULL,
	"version" integer NOT NULL,
	CONSTRAINT "projection_one" CHECK ("projection"."one")
);
--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "time_zone" text DEFAULT 'UTC' NOT NULL;--> statement-breakpoint
ALTER TABLE "job_event" ADD COLUMN "skew_ms" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "issued_paper" ADD CONSTRAINT "issued_paper_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "issued_paper" ADD CONSTRAINT "issued_paper_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "issued_paper_job" ON "issued_paper" USING btree ("job_id");--> statement-breakpoint
-- Of several links of a job that were given at once the newest stays.
UPDATE "share_link" older SET "revoked_at" = now() WHERE older."revoked_at" IS NULL
  AND EXISTS (SELECT 1 FROM "share_link" newer WHERE newer."job_id" = older."job_id" AND newer."revoked_at" IS NULL AND (newer."created_at", newer."token") > (older."created_at", older."token"));--> statement-breakpoint
CREATE UNIQUE INDEX "share_link_one" ON "share_link" USING btree ("job_id") WHERE "share_link"."revoked_at" is null;
--> statement-breakpoint
CREATE TRIGGER job_event_not_emptied BEFORE TRUNCATE ON "job_event"
  FOR EACH STATEMENT EXECUTE FUNCTION job_event_is_append_only();

CREATE TABLE "found_cause" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"table_id" text NOT NULL,
	"cause_id" text NOT NULL,
	"findings" jsonb NOT NULL,
	"found_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_words" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"words" text NOT NULL,
	"found" "tsvector" GENERATED ALWAYS AS (to_tsvector('simple', words)) STORED
);
--> statement-breakpoint
CREATE TABLE "share_link" (
	"token" text PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"revoked_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "worked_minutes" (
	"job_id" uuid NOT NULL,
	"garage_id" uuid NOT NULL,
	"operation_id" text NOT NULL,
	"prior" jsonb NOT NULL,
	"minutes" double precision NOT NULL,
	"troubled" boolean NOT NULL,
	"by_timer" boolean NOT NULL,
	"done_at" timestamp with time zone NOT NULL,
	CONSTRAINT "worked_minutes_job_id_operation_id_pk" PRIMARY KEY("job_id","operation_id")
);
--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "tax_percent" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "parts_margin_percent" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "call_out" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "paper" text DEFAULT 'a4' NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "causes_since" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "minutes_since" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "found_cause" ADD CONSTRAINT "found_cause_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "found_cause" ADD CONSTRAINT "found_cause_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_words" ADD CONSTRAINT "job_words_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_words" ADD CONSTRAINT "job_words_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "share_link" ADD CONSTRAINT "share_link_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "share_link" ADD CONSTRAINT "share_link_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "worked_minutes" ADD CONSTRAINT "worked_minutes_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "worked_minutes" ADD CONSTRAINT "worked_minutes_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "found_cause_garage" ON "found_cause" USING btree ("garage_id","table_id","found_at");--> statement-breakpoint
CREATE INDEX "job_words_found" ON "job_words" USING gin ("found");--> statement-breakpoint
CREATE INDEX "share_link_job" ON "share_link" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "worked_minutes_operation" ON "worked_minutes" USING btree ("garage_id","operation_id","done_at");
CREATE TABLE "open_order" (
	"order_id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"job_id" uuid NOT NULL
);
--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "labour_per_hour" double precision DEFAULT 80 NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "currency" text DEFAULT 'USD' NOT NULL;--> statement-breakpoint
ALTER TABLE "open_order" ADD CONSTRAINT "open_order_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "open_order" ADD CONSTRAINT "open_order_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "open_order_job" ON "open_order" USING btree ("job_id");
ALTER TABLE "vehicle_figure" DROP CONSTRAINT "vehicle_figure_group";--> statement-breakpoint
ALTER TABLE "kit_figure" DROP CONSTRAINT "kit_figure_garage_id_reference_fastener_group_pk";--> statement-breakpoint
ALTER TABLE "vehicle_fastener" DROP CONSTRAINT "vehicle_fastener_vehicle_id_fastener_group_pk";--> statement-breakpoint
ALTER TABLE "kit_figure" ADD CONSTRAINT "kit_figure_garage_id_reference_fastener_group_job_id_pk" PRIMARY KEY("garage_id","reference","fastener_group","job_id");--> statement-breakpoint
ALTER TABLE "vehicle_fastener" ADD COLUMN "job_id" uuid;--> statement-breakpoint
ALTER TABLE "vehicle_figure" ADD COLUMN "job_id" uuid;--> statement-breakpoint
ALTER TABLE "vehicle_fastener" ADD CONSTRAINT "vehicle_fastener_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle_figure" ADD CONSTRAINT "vehicle_figure_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "kit_figure_job" ON "kit_figure" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "vehicle_fastener_job" ON "vehicle_fastener" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "vehicle_figure_job" ON "vehicle_figure" USING btree ("job_id");--> statement-breakpoint
ALTER TABLE "vehicle_fastener" ADD CONSTRAINT "vehicle_fastener_group" UNIQUE NULLS NOT DISTINCT("vehicle_id","fastener_group","job_id");--> statement-breakpoint
ALTER TABLE "vehicle_figure" ADD CONSTRAINT "vehicle_figure_group" UNIQUE NULLS NOT DISTINCT("vehicle_id","fastener_group","job_id");
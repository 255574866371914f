CREATE TABLE "vehicle_fastener" (
	"garage_id" uuid NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"fastener_group" text NOT NULL,
	"fastener" jsonb NOT NULL,
	CONSTRAINT "vehicle_fastener_vehicle_id_fastener_group_pk" PRIMARY KEY("vehicle_id","fastener_group")
);
--> statement-breakpoint
CREATE TABLE "wrench" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"name" text NOT NULL,
	"min_nm" double precision NOT NULL,
	"max_nm" double precision NOT NULL,
	"drive" text NOT NULL,
	"length_mm" double precision NOT NULL,
	"calibrated_on" date,
	CONSTRAINT "wrench_range" CHECK ("wrench"."max_nm" > "wrench"."min_nm" and "wrench"."min_nm" > 0)
);
--> statement-breakpoint
ALTER TABLE "vehicle_figure" ADD COLUMN "spec" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "vehicle_fastener" ADD CONSTRAINT "vehicle_fastener_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle_fastener" ADD CONSTRAINT "vehicle_fastener_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "wrench" ADD CONSTRAINT "wrench_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "wrench_garage" ON "wrench" USING btree ("garage_id");
CREATE TABLE "garage" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"town" text NOT NULL,
	"words" text DEFAULT 'us' NOT NULL,
	"torque_unit" text DEFAULT 'N·m' NOT NULL,
	"length_unit" text DEFAULT 'mm' NOT NULL,
	"distance_unit" text DEFAULT 'km' NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "job_number" UNIQUE("garage_id","number")
);
--> statement-breakpoint
CREATE TABLE "job_event" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"device_id" text NOT NULL,
	"device_time" timestamp (3) with time zone NOT NULL,
	"recorded_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"person_id" uuid NOT NULL,
	"type" text NOT NULL,
	"payload" jsonb NOT NULL,
	CONSTRAINT "job_event_seq" UNIQUE("job_id","seq")
);
--> statement-breakpoint
CREATE TABLE "job_summary" (
	"job_id" uuid NOT NULL,
	"garage_id" uuid NOT NULL,
	"last_seq" bigint NOT NULL,
	"status" text NOT NULL,
	"summary" jsonb NOT NULL,
	CONSTRAINT "job_summary_job_id_pk" PRIMARY KEY("job_id")
);
--> statement-breakpoint
CREATE TABLE "person" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"name" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "vehicle" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"name" text NOT NULL,
	"make" text NOT NULL,
	"model" text NOT NULL,
	"year" integer NOT NULL,
	"customer" text NOT NULL,
	"gears" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "vehicle_figure" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"fastener_group" text NOT NULL,
	"torque_nm" double precision NOT NULL,
	"reference" text NOT NULL,
	"entered_by" uuid NOT NULL,
	"entered_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "vehicle_figure_group" UNIQUE("vehicle_id","fastener_group"),
	CONSTRAINT "vehicle_figure_positive" CHECK ("vehicle_figure"."torque_nm" > 0)
);
--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_event" ADD CONSTRAINT "job_event_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_event" ADD CONSTRAINT "job_event_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_event" ADD CONSTRAINT "job_event_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_summary" ADD CONSTRAINT "job_summary_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_summary" ADD CONSTRAINT "job_summary_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle" ADD CONSTRAINT "vehicle_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle_figure" ADD CONSTRAINT "vehicle_figure_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle_figure" ADD CONSTRAINT "vehicle_figure_vehicle_id_vehicle_id_fk" FOREIGN KEY ("vehicle_id") REFERENCES "public"."vehicle"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "vehicle_figure" ADD CONSTRAINT "vehicle_figure_entered_by_person_id_fk" FOREIGN KEY ("entered_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "job_summary_garage" ON "job_summary" USING btree ("garage_id","status");--> statement-breakpoint
CREATE INDEX "vehicle_garage" ON "vehicle" USING btree ("garage_id","name");
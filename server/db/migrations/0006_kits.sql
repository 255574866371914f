CREATE TABLE "kit_figure" (
	"garage_id" uuid NOT NULL,
	"reference" text NOT NULL,
	"fastener_group" text NOT NULL,
	"figure" jsonb NOT NULL,
	"job_id" uuid NOT NULL,
	"named_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "kit_figure_garage_id_reference_fastener_group_pk" PRIMARY KEY("garage_id","reference","fastener_group")
);
--> statement-breakpoint
ALTER TABLE "kit_figure" ADD CONSTRAINT "kit_figure_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "kit_figure" ADD CONSTRAINT "kit_figure_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;
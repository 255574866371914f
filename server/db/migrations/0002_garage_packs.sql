CREATE TABLE "garage_pack" (
	"garage_id" uuid NOT NULL,
	"id" text NOT NULL,
	"yaml" text NOT NULL,
	"revision" integer DEFAULT 1 NOT NULL,
	"changed_by" uuid NOT NULL,
	"changed_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "garage_pack_garage_id_id_pk" PRIMARY KEY("garage_id","id")
);
--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "schools" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "tools_missing" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "hours" jsonb;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "latitude" double precision;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "longitude" double precision;--> statement-breakpoint
ALTER TABLE "garage_pack" ADD CONSTRAINT "garage_pack_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "garage_pack" ADD CONSTRAINT "garage_pack_changed_by_person_id_fk" FOREIGN KEY ("changed_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;
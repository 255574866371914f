ALTER TABLE "garage" ADD COLUMN "address" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "mass_unit" text DEFAULT 'kg' NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "volume_unit" text DEFAULT 'ml' NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "number_format" text DEFAULT 'point' NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "gone" boolean DEFAULT false NOT NULL;
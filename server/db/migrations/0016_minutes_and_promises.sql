ALTER TABLE "garage" ADD COLUMN "price_share" double precision;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "late_per_day" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "early_per_day" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "garage" ADD COLUMN "tray_tools" integer DEFAULT 8 NOT NULL;
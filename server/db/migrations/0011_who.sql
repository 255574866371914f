CREATE TABLE "account" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"sign_in" text NOT NULL,
	"password_hash" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "account_sign_in_unique" UNIQUE("sign_in")
);
--> statement-breakpoint
CREATE TABLE "device" (
	"id" uuid PRIMARY KEY DEFAULT gen_random_uuid() NOT NULL,
	"garage_id" uuid NOT NULL,
	"device_id" text NOT NULL,
	"name" text NOT NULL,
	"token_hash" text NOT NULL,
	"account_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"asks" text DEFAULT 'tag' NOT NULL,
	"signed_in_at" timestamp with time zone DEFAULT now() NOT NULL,
	"seen_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"wipe" boolean DEFAULT false NOT NULL,
	CONSTRAINT "device_token" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "device_person" (
	"garage_id" uuid NOT NULL,
	"device_id" text NOT NULL,
	"person_id" uuid NOT NULL,
	"since" timestamp with time zone DEFAULT now() NOT NULL,
	"locked_at" timestamp with time zone,
	CONSTRAINT "device_person_garage_id_device_id_person_id_pk" PRIMARY KEY("garage_id","device_id","person_id")
);
--> statement-breakpoint
CREATE TABLE "invitation" (
	"id" uuid PRIMARY KEY NOT NULL,
	"garage_id" uuid NOT NULL,
	"token_hash" text NOT NULL,
	"kind" text NOT NULL,
	"role" text NOT NULL,
	"name" text NOT NULL,
	"person_id" uuid,
	"made_by" uuid,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	CONSTRAINT "invitation_token" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "passkey" (
	"id" text PRIMARY KEY NOT NULL,
	"account_id" uuid NOT NULL,
	"public_key" text NOT NULL,
	"counter" bigint NOT NULL,
	"transports" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"backed_up" boolean DEFAULT false NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "role" text DEFAULT 'mechanic' NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "account_id" uuid;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "pin_hash" text;--> statement-breakpoint
ALTER TABLE "device" ADD CONSTRAINT "device_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "device" ADD CONSTRAINT "device_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "device" ADD CONSTRAINT "device_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "device_person" ADD CONSTRAINT "device_person_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "device_person" ADD CONSTRAINT "device_person_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_garage_id_garage_id_fk" FOREIGN KEY ("garage_id") REFERENCES "public"."garage"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_person_id_person_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_made_by_person_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."person"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "passkey" ADD CONSTRAINT "passkey_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "device_garage" ON "device" USING btree ("garage_id","ended_at");--> statement-breakpoint
CREATE INDEX "device_own" ON "device" USING btree ("garage_id","device_id");--> statement-breakpoint
CREATE INDEX "invitation_garage" ON "invitation" USING btree ("garage_id");--> statement-breakpoint
CREATE INDEX "passkey_account" ON "passkey" USING btree ("account_id");--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "person" ADD CONSTRAINT "person_account" UNIQUE("garage_id","account_id");--> statement-breakpoint
-- Whoever worked here until now could do everything.
UPDATE "person" SET "role" = 'owner';--> statement-breakpoint
-- What is counted against a limit, by every process alike; the layout is the library's.
CREATE TABLE "rate_limit" ("key" varchar(255) PRIMARY KEY, "points" integer NOT NULL DEFAULT 0, "expire" bigint);

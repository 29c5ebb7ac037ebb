CREATE TABLE "audit" (
	"org_id" uuid,
	"audit_id" uuid PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"what" text NOT NULL,
	"by_person" uuid,
	"of_person" uuid,
	"said" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "invitation" (
	"token_hash" "bytea" PRIMARY KEY NOT NULL,
	"org_id" uuid NOT NULL,
	"name" text NOT NULL,
	"admin" boolean NOT NULL,
	"job_id" uuid,
	"person_id" uuid,
	"made_by" uuid,
	"made_at" timestamp with time zone NOT NULL,
	"until" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "lease" (
	"name" text PRIMARY KEY NOT NULL,
	"holder" uuid NOT NULL,
	"until" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE IF NOT EXISTS "session" (
	"sid" varchar PRIMARY KEY NOT NULL,
	"sess" json NOT NULL,
	"expire" timestamp (6) NOT NULL
);
--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "admin" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "person" ADD COLUMN "left_at" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "audit_org_at" ON "audit" USING btree ("org_id","at");--> statement-breakpoint
CREATE INDEX "invitation_org" ON "invitation" USING btree ("org_id");
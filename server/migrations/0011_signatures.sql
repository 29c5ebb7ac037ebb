CREATE TABLE "device_key" (
	"org_id" uuid NOT NULL,
	"key_id" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"spki" "bytea" NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"agent" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_key" (
	"job_id" uuid NOT NULL,
	"key_id" text NOT NULL,
	"of" text NOT NULL,
	"spki" "bytea" NOT NULL,
	"person_id" uuid,
	CONSTRAINT "job_key_job_id_of_key_id_pk" PRIMARY KEY("job_id","of","key_id")
);
--> statement-breakpoint
ALTER TABLE "event" ADD COLUMN "signed_with" text;--> statement-breakpoint
ALTER TABLE "event" ADD COLUMN "signature" "bytea";--> statement-breakpoint
ALTER TABLE "event" ADD COLUMN "countersigned_with" text;--> statement-breakpoint
ALTER TABLE "event" ADD COLUMN "countersignature" "bytea";--> statement-breakpoint
ALTER TABLE "job_key" ADD CONSTRAINT "job_key_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "device_key_person" ON "device_key" USING btree ("person_id");
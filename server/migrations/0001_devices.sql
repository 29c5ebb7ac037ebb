CREATE TABLE "device" (
	"job_id" uuid NOT NULL,
	"device_id" uuid NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"place_id" text,
	"tool_id" text,
	"token_hash" "bytea" NOT NULL,
	"stand_in" text,
	"created_at" timestamp with time zone NOT NULL,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "device_job_id_device_id_pk" PRIMARY KEY("job_id","device_id")
);
--> statement-breakpoint
ALTER TABLE "device" ADD CONSTRAINT "device_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;
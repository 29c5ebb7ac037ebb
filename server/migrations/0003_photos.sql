CREATE TABLE "photo" (
	"job_id" uuid NOT NULL,
	"hash" "bytea" NOT NULL,
	"kind" text NOT NULL,
	"bytes" "bytea" NOT NULL,
	CONSTRAINT "photo_job_id_hash_pk" PRIMARY KEY("job_id","hash")
);
--> statement-breakpoint
ALTER TABLE "photo" ADD CONSTRAINT "photo_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;
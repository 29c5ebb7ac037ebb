CREATE TABLE "job_pack" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint NOT NULL,
	"hash" "bytea" NOT NULL,
	"v" smallint NOT NULL,
	"body" "bytea" NOT NULL
);
--> statement-breakpoint
ALTER TABLE "job_pack" ADD CONSTRAINT "job_pack_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;
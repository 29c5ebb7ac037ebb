CREATE TABLE "job_glance" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint NOT NULL,
	"v" smallint NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"body" jsonb NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_named" (
	"job_id" uuid NOT NULL,
	"kind" text NOT NULL,
	"ref" text NOT NULL,
	"label" text NOT NULL,
	"more" text NOT NULL,
	CONSTRAINT "job_named_job_id_kind_ref_pk" PRIMARY KEY("job_id","kind","ref")
);
--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "away_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "job_glance" ADD CONSTRAINT "job_glance_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_named" ADD CONSTRAINT "job_named_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;
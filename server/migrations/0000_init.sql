CREATE TABLE "event" (
	"job_id" uuid NOT NULL,
	"seq" bigint NOT NULL,
	"id" uuid NOT NULL,
	"joint_id" uuid,
	"kind" text NOT NULL,
	"v" smallint NOT NULL,
	"body" text NOT NULL,
	"actor_id" uuid NOT NULL,
	"device_id" uuid NOT NULL,
	"device_seq" bigint NOT NULL,
	"occurred_at" timestamp with time zone NOT NULL,
	"clock_error_s" real NOT NULL,
	"recorded_at" timestamp with time zone NOT NULL,
	"prev_hash" "bytea" NOT NULL,
	"hash" "bytea" NOT NULL,
	CONSTRAINT "event_job_id_seq_pk" PRIMARY KEY("job_id","seq"),
	CONSTRAINT "event_id" UNIQUE("job_id","id"),
	CONSTRAINT "event_device" UNIQUE("job_id","device_id","device_seq")
);
--> statement-breakpoint
CREATE TABLE "job" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"org_id" uuid NOT NULL,
	"name" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_head" (
	"job_id" uuid PRIMARY KEY NOT NULL,
	"seq" bigint NOT NULL,
	"hash" "bytea" NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_joint" (
	"job_id" uuid NOT NULL,
	"joint_id" uuid NOT NULL,
	CONSTRAINT "job_joint_job_id_joint_id_pk" PRIMARY KEY("job_id","joint_id")
);
--> statement-breakpoint
CREATE TABLE "job_member" (
	"job_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	CONSTRAINT "job_member_job_id_person_id_pk" PRIMARY KEY("job_id","person_id")
);
--> statement-breakpoint
CREATE TABLE "org" (
	"org_id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "person" (
	"org_id" uuid NOT NULL,
	"person_id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"login" text,
	"password_hash" text,
	CONSTRAINT "person_login_unique" UNIQUE("login")
);
--> statement-breakpoint
ALTER TABLE "event" ADD CONSTRAINT "event_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_head" ADD CONSTRAINT "job_head_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_joint" ADD CONSTRAINT "job_joint_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_member" ADD CONSTRAINT "job_member_job_id_job_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("job_id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "person_org" ON "person" USING btree ("org_id");
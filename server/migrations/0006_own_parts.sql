CREATE TABLE "own_part" (
	"org_id" uuid NOT NULL,
	"name" text NOT NULL,
	"body" jsonb NOT NULL,
	"changed_by" uuid NOT NULL,
	"changed_at" timestamp with time zone NOT NULL,
	CONSTRAINT "own_part_org_id_name_pk" PRIMARY KEY("org_id","name")
);

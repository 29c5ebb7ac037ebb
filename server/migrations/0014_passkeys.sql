CREATE TABLE "passkey" (
	"org_id" uuid NOT NULL,
	"credential_id" text PRIMARY KEY NOT NULL,
	"person_id" uuid NOT NULL,
	"name" text NOT NULL,
	"public_key" "bytea" NOT NULL,
	"counter" bigint NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone
);
--> statement-breakpoint
CREATE INDEX "passkey_person" ON "passkey" USING btree ("person_id");
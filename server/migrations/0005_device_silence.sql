ALTER TABLE "device" ADD COLUMN "silent_why" text;--> statement-breakpoint
ALTER TABLE "device" ADD COLUMN "silent_since" timestamp with time zone;
ALTER TABLE "device" ADD COLUMN "section_id" text;--> statement-breakpoint
ALTER TABLE "device" ADD COLUMN "settings" text;
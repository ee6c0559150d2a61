ALTER TABLE "jobs" ADD COLUMN "note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "of_zone_id" text;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "zones" ADD COLUMN "note" text DEFAULT '' NOT NULL;
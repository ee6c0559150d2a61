ALTER TABLE "firms" ADD COLUMN "lead_threshold_ppm" double precision DEFAULT 600 NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "year_how" text DEFAULT '' NOT NULL;
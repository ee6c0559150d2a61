ALTER TABLE "jobs" ADD COLUMN "worker" text DEFAULT 'firm' NOT NULL;--> statement-breakpoint
ALTER TABLE "parts" ADD COLUMN "grits" integer[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "parts" ADD COLUMN "tool_c" double precision;--> statement-breakpoint
ALTER TABLE "squares" ADD COLUMN "chemistry" text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "film_um" double precision;
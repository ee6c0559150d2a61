ALTER TABLE "firms" ADD COLUMN "heater_ground" text DEFAULT 'keyedCoat' NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "bright_steel" text DEFAULT 'zincPhosphate' NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "last_wipe" text DEFAULT 'water' NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "facing" text;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "shaded" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "tint" text;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "colour" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "coats_wanted" integer;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "service_c" double precision;
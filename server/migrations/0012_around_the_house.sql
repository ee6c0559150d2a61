ALTER TABLE "spaces" ADD COLUMN "nearby" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "opening" text DEFAULT 'sealed' NOT NULL;
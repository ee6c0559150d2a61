ALTER TABLE "layers" ADD COLUMN "poisons" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "products" ADD COLUMN "isocyanate" text DEFAULT 'unknown' NOT NULL;
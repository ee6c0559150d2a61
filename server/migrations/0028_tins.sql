ALTER TABLE "laid" ADD COLUMN "tin_id" text;--> statement-breakpoint
ALTER TABLE "laid" ADD COLUMN "tin_l" double precision;
ALTER TABLE "checks" ADD COLUMN "piece_ids" text[];--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "spoke_of" text[];
ALTER TABLE "firms" ADD COLUMN "plaster_seal" text DEFAULT 'sealer' NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "timber_blast" text DEFAULT 'gentle' NOT NULL;--> statement-breakpoint
ALTER TABLE "products" ADD COLUMN "gloves" text;--> statement-breakpoint
ALTER TABLE "products" ADD COLUMN "filter" text;--> statement-breakpoint
ALTER TABLE "products" ADD COLUMN "guarantee_years" double precision;--> statement-breakpoint
ALTER TABLE "products" ADD COLUMN "guarantee_terms" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "stain_m2" double precision;
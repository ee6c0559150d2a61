CREATE TABLE "boards" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"label" text NOT NULL,
	"oil_soaked" text NOT NULL,
	"rotten" text NOT NULL,
	"coats" integer,
	"sound_coats" integer,
	"mixed" boolean NOT NULL,
	"note" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "boards_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "boards_coats" CHECK (sound_coats is null or coats is null or sound_coats <= coats)
);
--> statement-breakpoint
CREATE TABLE "squares" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"method_id" text NOT NULL,
	"product" text NOT NULL,
	"part_id" text,
	"coating" text NOT NULL,
	"place" text NOT NULL,
	"at_x" double precision,
	"at_y" double precision,
	"covered" boolean NOT NULL,
	"surface_c" double precision,
	"dwell_min" double precision,
	"started_at" timestamp(3) with time zone,
	"stopped_at" timestamp(3) with time zone,
	"lifted" text,
	"stopped_on_layer_id" text,
	"stayed_pct" double precision,
	"left_behind" text[] NOT NULL,
	"harms" text[] NOT NULL,
	"size_cm2" double precision,
	"used_ml" double precision,
	"work_min" double precision,
	"ease" integer,
	"carried_from" text NOT NULL,
	"note" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "squares_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "squares_clock" CHECK (stopped_at is null or (started_at is not null and stopped_at >= started_at)),
	CONSTRAINT "squares_lifted" CHECK (lifted is null or lifted in ('nothing', 'some', 'toCoat', 'bare'))
);
--> statement-breakpoint
ALTER TABLE "readings" DROP CONSTRAINT "readings_kind";--> statement-breakpoint
ALTER TABLE "firm_rates" ALTER COLUMN "low_m2_per_h" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "firm_rates" ALTER COLUMN "high_m2_per_h" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "firm_rates" ADD COLUMN "dwell_low_h" double precision;--> statement-breakpoint
ALTER TABLE "firm_rates" ADD COLUMN "dwell_high_h" double precision;--> statement-breakpoint
ALTER TABLE "firm_rates" ADD COLUMN "materials_per_m2" double precision;--> statement-breakpoint
ALTER TABLE "firm_rates" ADD COLUMN "owned" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "allow_infrared_on_lead" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "allow_dry_scrape_outdoors" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "allow_soft_blast_on_timber" boolean DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "stop_on_lead" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "mold_school" text DEFAULT 'moldWash' NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "dust_off" text DEFAULT 'microfibre' NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "mold_seal" text DEFAULT 'stainBlock' NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "prime_always" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "crew" integer DEFAULT 2 NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "hours_per_day" double precision DEFAULT 7.5 NOT NULL;--> statement-breakpoint
ALTER TABLE "parts" ADD COLUMN "also_ids" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "of_square_id" text;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "work_order" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "boards" ADD CONSTRAINT "boards_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "squares" ADD CONSTRAINT "squares_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "boards_job" ON "boards" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "squares_job" ON "squares" USING btree ("firm_id","job_id");--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_kind" CHECK (kind in ('spot', 'lab', 'xrf', 'bulk', 'moisture', 'air', 'surfaceTemp', 'crossCut', 'knife', 'drop', 'withdrawn'));
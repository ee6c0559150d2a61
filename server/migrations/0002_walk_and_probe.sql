CREATE TABLE "instrument_checks" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"device" text NOT NULL,
	"what" text NOT NULL,
	"material" text,
	"values" double precision[] NOT NULL,
	"film_mg_cm2" double precision NOT NULL,
	"tolerance" double precision NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	"note" text NOT NULL,
	"by" text NOT NULL,
	CONSTRAINT "instrument_checks_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
CREATE TABLE "photos" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"hash" text NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"of_surface_id" text,
	"of_sample_id" text,
	"of_check_id" text,
	"caption" text NOT NULL,
	"marks" jsonb NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "photos_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
CREATE TABLE "samples" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"number" text NOT NULL,
	"hazard" text NOT NULL,
	"kind" text NOT NULL,
	"suspect" text,
	"reached_layer_ids" text[] NOT NULL,
	"to_substrate" boolean NOT NULL,
	"place" text NOT NULL,
	"at_x" double precision,
	"at_y" double precision,
	"taken_at" timestamp(3) with time zone,
	"taken_by" text NOT NULL,
	"sent_at" timestamp(3) with time zone,
	"lab" text NOT NULL,
	"repeats_id" text,
	"note" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "samples_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "samples_hazard" CHECK (hazard in ('lead', 'asbestos', 'mold'))
);
--> statement-breakpoint
ALTER TABLE "readings" DROP CONSTRAINT "readings_kind";--> statement-breakpoint
ALTER TABLE "readings" DROP CONSTRAINT "readings_value";--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "lab_days" jsonb DEFAULT '{"lead":4,"asbestos":4,"mold":4}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "test_prices" jsonb DEFAULT '{"swab":5,"chip":28,"bulk":38,"xrf":6}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "licensed_removal_per_m2" double precision DEFAULT 95 NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "sample_prefix" text DEFAULT 'S' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "asthma" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "lived_in" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "other_trades" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "family" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "dwellings" integer;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "tenure" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "public_funding" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "listed" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "power" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "water" text DEFAULT 'unknown' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "sampling_seed" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "layers" ADD COLUMN "alcohol" text DEFAULT 'untried' NOT NULL;--> statement-breakpoint
ALTER TABLE "layers" ADD COLUMN "alkali" text DEFAULT 'untried' NOT NULL;--> statement-breakpoint
ALTER TABLE "layers" ADD COLUMN "water" text DEFAULT 'untried' NOT NULL;--> statement-breakpoint
ALTER TABLE "layers" ADD COLUMN "heat" text DEFAULT 'untried' NOT NULL;--> statement-breakpoint
ALTER TABLE "layers" ADD COLUMN "look" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "sample_id" text;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "humidity_pct" double precision;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "device" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "analysis" text;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "trace" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "at_x" double precision;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "at_y" double precision;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "services" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "access_m" double precision;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "goes_anyway" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "moisture" jsonb;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "measures" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "blister_grade" integer;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "flake_grade" integer;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "crack_grade" integer;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "chalk_grade" integer;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "rust_grade" integer;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "mold_m2" double precision;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "scrapped" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "species" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "instrument_checks" ADD CONSTRAINT "instrument_checks_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "photos" ADD CONSTRAINT "photos_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "samples" ADD CONSTRAINT "samples_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "instrument_checks_job" ON "instrument_checks" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "photos_job" ON "photos" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "photos_hash" ON "photos" USING btree ("firm_id","hash");--> statement-breakpoint
CREATE INDEX "samples_job" ON "samples" USING btree ("firm_id","job_id");--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_firm_id_sample_id_samples_firm_id_id_fk" FOREIGN KEY ("firm_id","sample_id") REFERENCES "public"."samples"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_kind" CHECK (kind in ('spot', 'lab', 'xrf', 'bulk', 'moisture', 'air', 'surfaceTemp', 'withdrawn'));--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_value" CHECK (value is null or (unit is not null and (value >= 0 or unit = 'C')));
CREATE TABLE "change_log" (
	"seq" bigserial PRIMARY KEY NOT NULL,
	"firm_id" text NOT NULL,
	"change_id" text NOT NULL,
	"job_id" text,
	"entity" text NOT NULL,
	"entity_id" text NOT NULL,
	"surface_id" text,
	"op" text NOT NULL,
	"fields" jsonb NOT NULL,
	"saw" jsonb,
	"at" timestamp(3) with time zone NOT NULL,
	"by" text NOT NULL,
	"received_at" timestamp(3) with time zone NOT NULL,
	CONSTRAINT "change_log_once" UNIQUE("firm_id","change_id")
);
--> statement-breakpoint
CREATE TABLE "checks" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"gate" text NOT NULL,
	"outcome" text NOT NULL,
	"note" text NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	"supersedes_id" text,
	"supersedes_why" text,
	"by" text NOT NULL,
	CONSTRAINT "checks_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "checks_outcome" CHECK (outcome in ('pass', 'fail'))
);
--> statement-breakpoint
CREATE TABLE "firm_rates" (
	"firm_id" text NOT NULL,
	"method_id" text NOT NULL,
	"low_m2_per_h" double precision NOT NULL,
	"high_m2_per_h" double precision NOT NULL,
	CONSTRAINT "firm_rates_firm_id_method_id_pk" PRIMARY KEY("firm_id","method_id"),
	CONSTRAINT "firm_rates_order" CHECK (low_m2_per_h > 0 and low_m2_per_h <= high_m2_per_h)
);
--> statement-breakpoint
CREATE TABLE "firms" (
	"id" text PRIMARY KEY NOT NULL,
	"firm_name" text NOT NULL,
	"labour_per_hour" double precision NOT NULL,
	"sheet_per_m2" double precision NOT NULL,
	"bag_each" double precision NOT NULL,
	"certified" boolean NOT NULL,
	"recognised_kit" boolean NOT NULL,
	"owns_hepa_sander" boolean NOT NULL,
	"allow_hot_air_on_lead" boolean NOT NULL,
	"allow_caustic_on_timber" boolean NOT NULL
);
--> statement-breakpoint
CREATE TABLE "jobs" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"place" text NOT NULL,
	"year_built" integer,
	"rulebook" text NOT NULL,
	"units" text NOT NULL,
	"time_zone" text NOT NULL,
	"child_under_6" text NOT NULL,
	"pregnancy" text NOT NULL,
	"dwelling" boolean NOT NULL,
	"sample" boolean NOT NULL,
	"created_at" timestamp(3) with time zone NOT NULL,
	"removed_at" timestamp(3) with time zone,
	"cursor" bigint DEFAULT 0 NOT NULL,
	CONSTRAINT "jobs_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "jobs_rulebook" CHECK (rulebook in ('us', 'uk')),
	CONSTRAINT "jobs_units" CHECK (units in ('ft', 'm'))
);
--> statement-breakpoint
CREATE TABLE "layers" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"position" double precision NOT NULL,
	"binder" text NOT NULL,
	"colour" text NOT NULL,
	"soundness" text NOT NULL,
	"year_applied" integer,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "layers_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
CREATE TABLE "parts" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"kind" text NOT NULL,
	"share_pct" double precision NOT NULL,
	"method_id" text,
	"insisted_why" text,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "parts_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "parts_share" CHECK (share_pct between 0 and 100)
);
--> statement-breakpoint
CREATE TABLE "people" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "people_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
CREATE TABLE "reading_layers" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"reading_id" text NOT NULL,
	"layer_id" text NOT NULL,
	"place" integer NOT NULL,
	"changed" boolean NOT NULL,
	CONSTRAINT "reading_layers_firm_id_reading_id_layer_id_pk" PRIMARY KEY("firm_id","reading_id","layer_id")
);
--> statement-breakpoint
CREATE TABLE "readings" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"kind" text NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	"to_substrate" boolean NOT NULL,
	"spot" text,
	"kit_recognised" boolean NOT NULL,
	"value" double precision,
	"unit" text,
	"band_low" double precision,
	"band_high" double precision,
	"note" text NOT NULL,
	"supersedes_id" text,
	"supersedes_why" text,
	"by" text NOT NULL,
	CONSTRAINT "readings_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "readings_kind" CHECK (kind in ('spot', 'lab', 'xrf', 'withdrawn')),
	CONSTRAINT "readings_value" CHECK (value is null or (value >= 0 and unit is not null)),
	CONSTRAINT "readings_why" CHECK (supersedes_id is null or length(supersedes_why) > 0)
);
--> statement-breakpoint
CREATE TABLE "spaces" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"position" double precision NOT NULL,
	"year_built" integer,
	"length_m" double precision,
	"width_m" double precision,
	"height_m" double precision,
	"boundary_m" double precision,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "spaces_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "spaces_kind" CHECK (kind in ('room', 'elevation')),
	CONSTRAINT "spaces_sizes" CHECK ((length_m is null or length_m > 0) and (width_m is null or width_m > 0) and (height_m is null or height_m > 0) and (boundary_m is null or boundary_m >= 0))
);
--> statement-breakpoint
CREATE TABLE "surfaces" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"space_id" text NOT NULL,
	"position" double precision NOT NULL,
	"name" text NOT NULL,
	"element" text NOT NULL,
	"count" integer NOT NULL,
	"material" text NOT NULL,
	"length_m" double precision NOT NULL,
	"width_m" double precision NOT NULL,
	"faces" integer NOT NULL,
	"year_made" integer,
	"conditions" text[] NOT NULL,
	"coats_counted" boolean NOT NULL,
	"knots" text NOT NULL,
	"aim" text NOT NULL,
	"topcoat" text,
	"bench" boolean NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "surfaces_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "surfaces_sizes" CHECK (length_m > 0 and width_m > 0 and count >= 1 and faces between 1 and 2)
);
--> statement-breakpoint
ALTER TABLE "change_log" ADD CONSTRAINT "change_log_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "checks" ADD CONSTRAINT "checks_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "firm_rates" ADD CONSTRAINT "firm_rates_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "jobs" ADD CONSTRAINT "jobs_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "layers" ADD CONSTRAINT "layers_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "parts" ADD CONSTRAINT "parts_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "people" ADD CONSTRAINT "people_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading_layers" ADD CONSTRAINT "reading_layers_firm_id_reading_id_readings_firm_id_id_fk" FOREIGN KEY ("firm_id","reading_id") REFERENCES "public"."readings"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "reading_layers" ADD CONSTRAINT "reading_layers_firm_id_layer_id_layers_firm_id_id_fk" FOREIGN KEY ("firm_id","layer_id") REFERENCES "public"."layers"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_firm_id_supersedes_id_readings_firm_id_id_fk" FOREIGN KEY ("firm_id","supersedes_id") REFERENCES "public"."readings"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "spaces" ADD CONSTRAINT "spaces_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "surfaces" ADD CONSTRAINT "surfaces_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "surfaces" ADD CONSTRAINT "surfaces_firm_id_space_id_spaces_firm_id_id_fk" FOREIGN KEY ("firm_id","space_id") REFERENCES "public"."spaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "change_log_job" ON "change_log" USING btree ("firm_id","job_id","seq");--> statement-breakpoint
CREATE INDEX "checks_job" ON "checks" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "layers_job" ON "layers" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "parts_job" ON "parts" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "reading_layers_job" ON "reading_layers" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "readings_job" ON "readings" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "spaces_job" ON "spaces" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "surfaces_job" ON "surfaces" USING btree ("firm_id","job_id");
CREATE TABLE "air_samples" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"number" text NOT NULL,
	"on_surface_id" text NOT NULL,
	"method_id" text NOT NULL,
	"person" text NOT NULL,
	"started_at" timestamp(3) with time zone NOT NULL,
	"minutes" double precision NOT NULL,
	"flow_l_min" double precision NOT NULL,
	"mass_ug" double precision,
	"below" boolean NOT NULL,
	"lab" text NOT NULL,
	"note" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "air_samples_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "air_samples_run" CHECK (minutes > 0 and flow_l_min > 0 and (mass_ug is null or mass_ug >= 0))
);
--> statement-breakpoint
CREATE TABLE "bags" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"number" text NOT NULL,
	"stream" text NOT NULL,
	"kg" double precision,
	"filled_at" timestamp(3) with time zone NOT NULL,
	"filled_by" text NOT NULL,
	"zone_id" text,
	"place" text NOT NULL,
	"haul_id" text,
	"note" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "bags_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "bags_weight" CHECK (kg is null or kg > 0)
);
--> statement-breakpoint
CREATE TABLE "hauls" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"number" text NOT NULL,
	"left_at" timestamp(3) with time zone NOT NULL,
	"carrier" text NOT NULL,
	"to" text NOT NULL,
	"bags" integer,
	"kg" double precision,
	"note" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "hauls_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "start_on" text;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "state_layer" text DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "waste_tests" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "of_bag_id" text;--> statement-breakpoint
ALTER TABLE "air_samples" ADD CONSTRAINT "air_samples_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "bags" ADD CONSTRAINT "bags_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "hauls" ADD CONSTRAINT "hauls_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "air_samples_job" ON "air_samples" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "bags_job" ON "bags" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "hauls_job" ON "hauls" USING btree ("firm_id","job_id");
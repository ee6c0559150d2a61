CREATE TABLE "zones" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"space_id" text NOT NULL,
	"name" text NOT NULL,
	"position" double precision NOT NULL,
	"working_door" text DEFAULT '' NOT NULL,
	"wash_place" text DEFAULT '' NOT NULL,
	"clean_way" text DEFAULT '' NOT NULL,
	"air_machine" text DEFAULT '' NOT NULL,
	"crew" integer,
	"shift_h" double precision,
	"staying" text DEFAULT '' NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "zones_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "checks" ALTER COLUMN "surface_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "zone_id" text;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "side" text;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "joined_to_id" text;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "working_door" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "wash_place" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "clean_way" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "air_machine" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "crew" integer;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "shift_h" double precision;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "staying" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "zone_id" text;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "wall" text;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "along_m" double precision;--> statement-breakpoint
ALTER TABLE "zones" ADD CONSTRAINT "zones_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "zones" ADD CONSTRAINT "zones_firm_id_space_id_spaces_firm_id_id_fk" FOREIGN KEY ("firm_id","space_id") REFERENCES "public"."spaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "zones_job" ON "zones" USING btree ("firm_id","job_id");--> statement-breakpoint
ALTER TABLE "spaces" ADD CONSTRAINT "spaces_firm_id_joined_to_id_spaces_firm_id_id_fk" FOREIGN KEY ("firm_id","joined_to_id") REFERENCES "public"."spaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "surfaces" ADD CONSTRAINT "surfaces_firm_id_zone_id_zones_firm_id_id_fk" FOREIGN KEY ("firm_id","zone_id") REFERENCES "public"."zones"("firm_id","id") ON DELETE no action ON UPDATE no action;
CREATE TABLE "products" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"good" text NOT NULL,
	"in_use" boolean DEFAULT true NOT NULL,
	"chemistry" text DEFAULT 'unsaid' NOT NULL,
	"strength_pct" double precision,
	"density_kg_l" double precision,
	"solids_pct" double precision,
	"dry_film_um" double precision,
	"coats" integer,
	"thin_most_pct" double precision,
	"recoat_least_h" double precision,
	"recoat_most_h" double precision,
	"at_c" double precision,
	"at_rh_pct" double precision,
	"cold_c" double precision,
	"cold_least_h" double precision,
	"least_air_c" double precision,
	"least_face_c" double precision,
	"most_rh_pct" double precision,
	"open_life_h" double precision,
	"flash_c" double precision,
	"packs" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"sheet" text DEFAULT '' NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "products_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
CREATE TABLE "tins" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"good" text NOT NULL,
	"product_id" text,
	"amount" double precision NOT NULL,
	"at" text NOT NULL,
	"for_job_id" text,
	"batch" text DEFAULT '' NOT NULL,
	"colour" text DEFAULT '' NOT NULL,
	"opened_on" text,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "tins_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "products" ADD CONSTRAINT "products_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tins" ADD CONSTRAINT "tins_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;
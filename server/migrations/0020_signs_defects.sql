CREATE TABLE "defects" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"kind" text NOT NULL,
	"part_id" text,
	"along_m" double precision,
	"up_m" double precision,
	"area_m2" double precision,
	"length_m" double precision,
	"pieces" integer NOT NULL,
	"depth_mm" double precision,
	"moving" text NOT NULL,
	"as_found" boolean NOT NULL,
	"seen_on" text NOT NULL,
	"repair" text,
	"repair_why" text NOT NULL,
	"note" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "defects_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "defects_kind" CHECK (kind in ('hole', 'dent', 'crack', 'gap', 'loosePlaster', 'openJoint', 'rot', 'missing', 'blastDamage', 'causticDamage', 'sealant', 'silicone', 'nail', 'rustJacking', 'loosePutty', 'brokenPane')),
	CONSTRAINT "defects_pieces" CHECK (pieces >= 1)
);
--> statement-breakpoint
CREATE TABLE "sign_pictures" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"sign" text NOT NULL,
	"hash" text NOT NULL,
	"width" integer NOT NULL,
	"height" integer NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "sign_pictures_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
CREATE TABLE "signs" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"sign" text NOT NULL,
	"part_id" text,
	"method_id" text,
	"product" text,
	"extent" text NOT NULL,
	"note" text NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	"supersedes_id" text,
	"supersedes_why" text,
	"by" text NOT NULL,
	CONSTRAINT "signs_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "signs_extent" CHECK (extent in ('spot', 'half', 'whole'))
);
--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "of_sign_id" text;--> statement-breakpoint
ALTER TABLE "photos" ADD COLUMN "of_defect_id" text;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "finish" text;--> statement-breakpoint
ALTER TABLE "defects" ADD CONSTRAINT "defects_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sign_pictures" ADD CONSTRAINT "sign_pictures_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "signs" ADD CONSTRAINT "signs_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "defects_job" ON "defects" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE INDEX "signs_job" ON "signs" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE TRIGGER signs_append_only BEFORE UPDATE OR DELETE ON signs FOR EACH ROW EXECUTE FUNCTION refuse_rewrite();

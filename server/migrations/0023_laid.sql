CREATE TABLE "laid" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"surface_id" text NOT NULL,
	"product" text NOT NULL,
	"withdrawn" boolean DEFAULT false NOT NULL,
	"way" text NOT NULL,
	"coats" integer NOT NULL,
	"area_m2" double precision NOT NULL,
	"litres" double precision,
	"wet_um" double precision,
	"thinned_pct" double precision DEFAULT 0 NOT NULL,
	"taken_at" timestamp(3) with time zone NOT NULL,
	"supersedes_id" text,
	"by" text NOT NULL,
	CONSTRAINT "laid_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "laid" ADD CONSTRAINT "laid_firm_id_surface_id_surfaces_firm_id_id_fk" FOREIGN KEY ("firm_id","surface_id") REFERENCES "public"."surfaces"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "laid_job" ON "laid" USING btree ("firm_id","job_id");--> statement-breakpoint
CREATE TRIGGER laid_append_only BEFORE UPDATE OR DELETE ON laid FOR EACH ROW EXECUTE FUNCTION refuse_rewrite();

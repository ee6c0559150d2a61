CREATE TABLE "stints" (
	"firm_id" text NOT NULL,
	"job_id" text NOT NULL,
	"id" text NOT NULL,
	"person" text NOT NULL,
	"zone_id" text NOT NULL,
	"on" text NOT NULL,
	"from_min" integer NOT NULL,
	"hours" double precision NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "stints_firm_id_id_pk" PRIMARY KEY("firm_id","id"),
	CONSTRAINT "stints_day" CHECK (from_min >= 0 and from_min < 1440 and hours > 0)
);
--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "certified_until" text;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "masks" jsonb;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "edition" text;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "declined_on" text;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "declined_note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "stints" ADD CONSTRAINT "stints_firm_id_job_id_jobs_firm_id_id_fk" FOREIGN KEY ("firm_id","job_id") REFERENCES "public"."jobs"("firm_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "stints_job" ON "stints" USING btree ("firm_id","job_id");
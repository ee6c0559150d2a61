CREATE TABLE "machines" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"flow_m3h" double precision,
	"filter" text NOT NULL,
	"last_on" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "machines_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "checks" ADD COLUMN "measured" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "fittings" text DEFAULT 'off' NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "certificates" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "fit_tests" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "training" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "spaces" ADD COLUMN "machine_ids" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "zones" ADD COLUMN "machine_ids" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "machines" ADD CONSTRAINT "machines_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;
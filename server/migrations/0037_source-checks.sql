CREATE TABLE "source_checks" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"source" text NOT NULL,
	"says" text NOT NULL,
	"on" text NOT NULL,
	"against" text NOT NULL,
	"person" text NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "source_checks_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "source_checks" ADD CONSTRAINT "source_checks_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;
CREATE TABLE "sites" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"address" text DEFAULT '' NOT NULL,
	"year_built" integer,
	"note" text DEFAULT '' NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "sites_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "site_id" text;--> statement-breakpoint
ALTER TABLE "sites" ADD CONSTRAINT "sites_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
-- Whether there is a shrouded sander stands on the list of machines from now on: what the setting said is kept as an entry of it.
INSERT INTO "machines" ("firm_id", "id", "name", "kind", "filter", "last_on")
  SELECT "id", 'shrouded-sander', 'Shrouded sander', 'shroudedSander', 'hepa', 'nothing' FROM "firms" f
  WHERE "owns_hepa_sander" AND EXISTS (SELECT 1 FROM "machines" m WHERE m."firm_id" = f."id")
    AND NOT EXISTS (SELECT 1 FROM "machines" m WHERE m."firm_id" = f."id" AND m."kind" = 'shroudedSander');--> statement-breakpoint
INSERT INTO "machines" ("firm_id", "id", "name", "kind", "filter", "last_on")
  SELECT "id", 'hand-tools', 'Hand tools', 'other', 'none', 'nothing' FROM "firms" f
  WHERE NOT "owns_hepa_sander" AND NOT EXISTS (SELECT 1 FROM "machines" m WHERE m."firm_id" = f."id");--> statement-breakpoint
ALTER TABLE "firms" DROP COLUMN "owns_hepa_sander";
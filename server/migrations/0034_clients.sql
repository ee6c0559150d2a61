CREATE TABLE "clients" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"address" text DEFAULT '' NOT NULL,
	"phone" text DEFAULT '' NOT NULL,
	"email" text DEFAULT '' NOT NULL,
	"reads" text DEFAULT 'en' NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "clients_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "client_id" text;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "client_name" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "contract_in" text DEFAULT 'en' NOT NULL;--> statement-breakpoint
ALTER TABLE "jobs" ADD COLUMN "job_state" text DEFAULT 'open' NOT NULL;--> statement-breakpoint
ALTER TABLE "clients" ADD CONSTRAINT "clients_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;
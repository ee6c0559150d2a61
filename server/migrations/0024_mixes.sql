CREATE TABLE "mix_steps" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"mix_id" text NOT NULL,
	"at" timestamp(3) with time zone NOT NULL,
	"portion" integer,
	"amount" double precision NOT NULL,
	"by" text DEFAULT '' NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "mix_steps_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
CREATE TABLE "mixes" (
	"firm_id" text NOT NULL,
	"id" text NOT NULL,
	"name" text NOT NULL,
	"water_l" double precision NOT NULL,
	"caustic_g" double precision NOT NULL,
	"water_c" double precision NOT NULL,
	"air_c" double precision NOT NULL,
	"vessel_kind" text NOT NULL,
	"across_m" double precision NOT NULL,
	"deep_m" double precision NOT NULL,
	"stirrer" text NOT NULL,
	"bath_c" double precision,
	"ceiling_c" double precision NOT NULL,
	"began_at" timestamp(3) with time zone NOT NULL,
	"ended_at" timestamp(3) with time zone,
	"by" text DEFAULT '' NOT NULL,
	"removed_at" timestamp(3) with time zone,
	CONSTRAINT "mixes_firm_id_id_pk" PRIMARY KEY("firm_id","id")
);
--> statement-breakpoint
ALTER TABLE "mix_steps" ADD CONSTRAINT "mix_steps_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mixes" ADD CONSTRAINT "mixes_firm_id_firms_id_fk" FOREIGN KEY ("firm_id") REFERENCES "public"."firms"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "mix_steps_mix" ON "mix_steps" USING btree ("firm_id","mix_id");
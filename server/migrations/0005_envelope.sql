CREATE TABLE "server_state" (
	"key" text PRIMARY KEY NOT NULL,
	"value" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "change_log" ADD COLUMN "v" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "change_log" ADD COLUMN "parent_kind" text;--> statement-breakpoint
ALTER TABLE "change_log" ADD COLUMN "parent_id" text;--> statement-breakpoint
ALTER TABLE "change_log" ADD COLUMN "device" text;--> statement-breakpoint
ALTER TABLE "change_log" ADD COLUMN "act" text;--> statement-breakpoint
ALTER TABLE "firms" ADD COLUMN "cursor" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "removed_at" timestamp(3) with time zone;--> statement-breakpoint
ALTER TABLE "change_log" ADD CONSTRAINT "change_log_parent" CHECK (v = 1 or (parent_kind is not null and parent_id is not null));
ALTER TABLE "readings" DROP CONSTRAINT "readings_kind";--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "control" text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "minutes" double precision;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "lot" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "decided_by" text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "certificate" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "below" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "finding" text;--> statement-breakpoint
ALTER TABLE "readings" ADD COLUMN "file" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "past" text DEFAULT 'asBefore' NOT NULL;--> statement-breakpoint
ALTER TABLE "surfaces" ADD COLUMN "past_why" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_control" CHECK (control in ('unsaid', 'worked', 'dead'));--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_decided_by" CHECK (decided_by in ('unsaid', 'renovator', 'inspector'));--> statement-breakpoint
ALTER TABLE "readings" ADD CONSTRAINT "readings_kind" CHECK (kind in ('spot', 'lab', 'xrf', 'report', 'bulk', 'moisture', 'air', 'surfaceTemp', 'crossCut', 'knife', 'drop', 'withdrawn'));--> statement-breakpoint
ALTER TABLE "surfaces" ADD CONSTRAINT "surfaces_past" CHECK (past in ('asBefore', 'stripped', 'replaced'));
CREATE TABLE "lay_runs" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "lay_runs_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"batch_id" integer NOT NULL,
	"asked_by" integer,
	"asked_at" timestamp with time zone DEFAULT now() NOT NULL,
	"seconds" integer NOT NULL,
	"state" text DEFAULT 'waiting' NOT NULL,
	"attempts" integer DEFAULT 0 NOT NULL,
	"worker" text,
	"heartbeat_at" timestamp with time zone,
	"progress" real DEFAULT 0 NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"seconds_left" integer,
	"best_so_far" jsonb,
	"cancel_requested" boolean DEFAULT false NOT NULL,
	"error" text DEFAULT '' NOT NULL,
	"ended_at" timestamp with time zone,
	"result" jsonb,
	CONSTRAINT "lay_runs_state" CHECK ("lay_runs"."state" IN ('waiting', 'running', 'done', 'failed', 'dropped')),
	CONSTRAINT "lay_runs_progress" CHECK ("lay_runs"."progress" BETWEEN 0 AND 1 AND "lay_runs"."seconds" BETWEEN 1 AND 600)
);
--> statement-breakpoint
ALTER TABLE "batches" DROP CONSTRAINT "batches_progress";--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "note" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "run_id" integer;--> statement-breakpoint
ALTER TABLE "lay_runs" ADD CONSTRAINT "lay_runs_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_runs" ADD CONSTRAINT "lay_runs_asked_by_people_id_fk" FOREIGN KEY ("asked_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lay_runs_batch" ON "lay_runs" USING btree ("batch_id","id");--> statement-breakpoint
CREATE INDEX "lay_runs_open" ON "lay_runs" USING btree ("state","heartbeat_at") WHERE "lay_runs"."state" IN ('waiting', 'running');--> statement-breakpoint
-- Lays that are being made are taken up again: a run without a heartbeat has lost its worker.
INSERT INTO lay_runs (batch_id, seconds, state, error, ended_at)
  SELECT id, seconds, CASE status WHEN 'failed' THEN 'failed' ELSE 'running' END, error, CASE status WHEN 'failed' THEN updated_at END
  FROM batches WHERE status IN ('queued', 'laying', 'failed');--> statement-breakpoint
UPDATE batches SET run_id = lay_runs.id FROM lay_runs WHERE lay_runs.batch_id = batches.id;--> statement-breakpoint
UPDATE batches SET note = progress_note WHERE status = 'draft';--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "attempts";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "heartbeat_at";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "seconds_left";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "progress";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "progress_note";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "best_so_far";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "cancel_requested";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "run";--> statement-breakpoint
ALTER TABLE "batches" DROP COLUMN "error";--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_seconds" CHECK ("batches"."seconds" BETWEEN 1 AND 600);
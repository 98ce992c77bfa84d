CREATE TABLE "alone_lays" (
	"key" text PRIMARY KEY NOT NULL,
	"used_nm" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "cloths" DROP CONSTRAINT "cloths_repeat";--> statement-breakpoint
ALTER TABLE "batches" ALTER COLUMN "seconds" SET DEFAULT 15;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "attempts" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "heartbeat_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "batches" ADD COLUMN "seconds_left" integer;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "motif_across_nm" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "motif_along_nm" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD CONSTRAINT "cloths_repeat" CHECK ("cloths"."repeat_across_nm" >= 0 AND "cloths"."repeat_along_nm" >= 0 AND "cloths"."drop_part" >= 0 AND "cloths"."drop_part" < 1 AND "cloths"."motif_across_nm" >= 0 AND "cloths"."motif_along_nm" >= 0);
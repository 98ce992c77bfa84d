CREATE TABLE "lay_versions" (
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"version" integer NOT NULL,
	"units" text NOT NULL,
	"cloth" jsonb NOT NULL,
	"job" jsonb NOT NULL,
	"parts" jsonb NOT NULL,
	"plan" jsonb NOT NULL,
	"used_nm" bigint NOT NULL,
	"cost_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	CONSTRAINT "lay_versions_batch_id_cloth_id_version_pk" PRIMARY KEY("batch_id","cloth_id","version")
);
--> statement-breakpoint
ALTER TABLE "lays" ADD COLUMN "version" integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE "lay_versions" ADD CONSTRAINT "lay_versions_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_versions" ADD CONSTRAINT "lay_versions_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;
CREATE TABLE "cloth_photos" (
	"cloth_id" integer PRIMARY KEY NOT NULL,
	"photo" text NOT NULL,
	"tile" text NOT NULL,
	"marks" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "lay_ways" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "lay_ways_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"lay_version" integer NOT NULL,
	"name" text NOT NULL,
	"change" jsonb NOT NULL,
	"units" text NOT NULL,
	"cloth" jsonb NOT NULL,
	"job" jsonb NOT NULL,
	"parts" jsonb NOT NULL,
	"plan" jsonb NOT NULL,
	"used_nm" bigint NOT NULL,
	"bound_nm" bigint NOT NULL,
	"cost_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"waste_part" double precision NOT NULL,
	"cuts" integer NOT NULL,
	"seams" integer NOT NULL,
	"person_id" integer,
	"taken_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "lay_ways_numbers" CHECK ("lay_ways"."used_nm" >= 0 AND "lay_ways"."cost_minor" >= 0 AND "lay_ways"."cuts" >= 0 AND "lay_ways"."seams" >= 0)
);
--> statement-breakpoint
-- What is of no use a minute later need not survive a crash.
CREATE UNLOGGED TABLE "table_visits" (
	"page" uuid PRIMARY KEY NOT NULL,
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"person_id" integer,
	"seen_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "photo_version" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "lays" ADD COLUMN "how" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cloth_photos" ADD CONSTRAINT "cloth_photos_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_ways" ADD CONSTRAINT "lay_ways_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_ways" ADD CONSTRAINT "lay_ways_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_ways" ADD CONSTRAINT "lay_ways_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "table_visits" ADD CONSTRAINT "table_visits_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "table_visits" ADD CONSTRAINT "table_visits_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lay_ways_batch" ON "lay_ways" USING btree ("batch_id","cloth_id","id");--> statement-breakpoint
CREATE INDEX "table_visits_lay" ON "table_visits" USING btree ("batch_id","cloth_id");
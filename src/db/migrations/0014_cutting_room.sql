CREATE TABLE "cut_ticks" (
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"lay_version" integer NOT NULL,
	"step" integer NOT NULL,
	"entry" uuid NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "cut_ticks_batch_id_cloth_id_lay_version_step_pk" PRIMARY KEY("batch_id","cloth_id","lay_version","step"),
	CONSTRAINT "cut_ticks_entry_unique" UNIQUE("entry"),
	CONSTRAINT "cut_ticks_step" CHECK ("cut_ticks"."step" > 0)
);
--> statement-breakpoint
CREATE TABLE "cut_troubles" (
	"entry" uuid PRIMARY KEY NOT NULL,
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"lay_version" integer NOT NULL,
	"step" integer NOT NULL,
	"sort" text NOT NULL,
	"code" text NOT NULL,
	"part" text NOT NULL,
	"length" text NOT NULL,
	"why" text NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "devices" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "devices_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"name" text NOT NULL,
	"token_hash" text NOT NULL,
	"paired_at" timestamp with time zone DEFAULT now() NOT NULL,
	"seen_at" timestamp with time zone,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "devices_token_hash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "pairing_codes" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "pairing_codes_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"code_hash" text NOT NULL,
	"made_at" timestamp with time zone DEFAULT now() NOT NULL,
	"used_at" timestamp with time zone,
	"wrong_tries" integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE "cutter_jobs" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "cutter_jobs_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"lay_version" integer NOT NULL,
	"address" text NOT NULL,
	"remote_id" text NOT NULL,
	"state" text NOT NULL,
	"progress" double precision DEFAULT 0 NOT NULL,
	"seconds" double precision,
	"faults" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"person_id" integer,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "cutter_jobs_known" CHECK ("cutter_jobs"."state" IN ('waiting', 'cutting', 'done', 'stopped', 'failed', 'lost') AND "cutter_jobs"."progress" BETWEEN 0 AND 1)
);
--> statement-breakpoint
CREATE TABLE "price_proposals" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "price_proposals_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"supplier" text NOT NULL,
	"cloth_id" integer,
	"material_id" integer,
	"article" text NOT NULL,
	"price_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"price_per" text NOT NULL,
	"as_of" date NOT NULL,
	"in_stock" text DEFAULT '' NOT NULL,
	"state" text DEFAULT 'open' NOT NULL,
	"person_id" integer,
	"decided_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "price_proposals_known" CHECK ("price_proposals"."state" IN ('open', 'taken', 'left') AND "price_proposals"."price_minor" >= 0 AND ("price_proposals"."cloth_id" IS NULL) <> ("price_proposals"."material_id" IS NULL))
);
--> statement-breakpoint
ALTER TABLE "cut_ticks" ADD CONSTRAINT "cut_ticks_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_ticks" ADD CONSTRAINT "cut_ticks_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_ticks" ADD CONSTRAINT "cut_ticks_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_troubles" ADD CONSTRAINT "cut_troubles_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_troubles" ADD CONSTRAINT "cut_troubles_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cut_troubles" ADD CONSTRAINT "cut_troubles_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cutter_jobs" ADD CONSTRAINT "cutter_jobs_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cutter_jobs" ADD CONSTRAINT "cutter_jobs_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cutter_jobs" ADD CONSTRAINT "cutter_jobs_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price_proposals" ADD CONSTRAINT "price_proposals_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price_proposals" ADD CONSTRAINT "price_proposals_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "price_proposals" ADD CONSTRAINT "price_proposals_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cut_troubles_lay" ON "cut_troubles" USING btree ("batch_id","cloth_id","lay_version");--> statement-breakpoint
CREATE INDEX "cutter_jobs_lay" ON "cutter_jobs" USING btree ("batch_id","cloth_id","id");--> statement-breakpoint
CREATE INDEX "price_proposals_open" ON "price_proposals" USING btree ("state","id");
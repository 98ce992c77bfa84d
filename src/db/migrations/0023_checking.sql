CREATE TABLE "cover_looks" (
	"cover_id" integer NOT NULL,
	"round" smallint NOT NULL,
	"look" smallint NOT NULL,
	"measured_nm" bigint,
	"is_right" boolean NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "cover_looks_cover_id_round_look_pk" PRIMARY KEY("cover_id","round","look"),
	CONSTRAINT "cover_looks_words" CHECK ("cover_looks"."look" > 0 AND "cover_looks"."round" > 0)
);
--> statement-breakpoint
CREATE TABLE "finding_photos" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "finding_photos_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"finding_id" uuid NOT NULL,
	"photo" text NOT NULL,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "findings" (
	"id" uuid PRIMARY KEY NOT NULL,
	"cover_id" integer NOT NULL,
	"look" smallint,
	"what" text NOT NULL,
	"spot_x" double precision,
	"spot_y" double precision,
	"cause" text NOT NULL,
	"decision" text NOT NULL,
	"minutes_lost" integer DEFAULT 0 NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	"closed_at" timestamp with time zone,
	"closed_by" integer,
	"closed_why" text DEFAULT '' NOT NULL,
	CONSTRAINT "findings_words" CHECK ("findings"."cause" IN ('measured', 'cut', 'sewn', 'cloth', 'form', 'other') AND "findings"."decision" IN ('accept', 'ease', 'resew', 'recut') AND "findings"."minutes_lost" BETWEEN 0 AND 1440),
	CONSTRAINT "findings_spot" CHECK (("findings"."spot_x" IS NULL) = ("findings"."spot_y" IS NULL) AND ("findings"."spot_x" IS NULL OR ("findings"."spot_x" BETWEEN 0 AND 1 AND "findings"."spot_y" BETWEEN 0 AND 1)))
);
--> statement-breakpoint
CREATE TABLE "recuts" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "recuts_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"finding_id" uuid NOT NULL,
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"part" text NOT NULL,
	"name" text NOT NULL,
	"item_id" integer,
	"with_batch_id" integer,
	"x_nm" bigint NOT NULL,
	"y_nm" bigint NOT NULL,
	"length_nm" bigint NOT NULL,
	"cost_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	"cut_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "cover_events" DROP CONSTRAINT "cover_events_event";--> statement-breakpoint
ALTER TABLE "cover_looks" ADD CONSTRAINT "cover_looks_cover_id_covers_id_fk" FOREIGN KEY ("cover_id") REFERENCES "public"."covers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cover_looks" ADD CONSTRAINT "cover_looks_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "finding_photos" ADD CONSTRAINT "finding_photos_finding_id_findings_id_fk" FOREIGN KEY ("finding_id") REFERENCES "public"."findings"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "findings" ADD CONSTRAINT "findings_cover_id_covers_id_fk" FOREIGN KEY ("cover_id") REFERENCES "public"."covers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "findings" ADD CONSTRAINT "findings_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "findings" ADD CONSTRAINT "findings_closed_by_people_id_fk" FOREIGN KEY ("closed_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recuts" ADD CONSTRAINT "recuts_finding_id_findings_id_fk" FOREIGN KEY ("finding_id") REFERENCES "public"."findings"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recuts" ADD CONSTRAINT "recuts_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recuts" ADD CONSTRAINT "recuts_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recuts" ADD CONSTRAINT "recuts_item_id_stock_items_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."stock_items"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recuts" ADD CONSTRAINT "recuts_with_batch_id_batches_id_fk" FOREIGN KEY ("with_batch_id") REFERENCES "public"."batches"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recuts" ADD CONSTRAINT "recuts_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "finding_photos_finding" ON "finding_photos" USING btree ("finding_id");--> statement-breakpoint
CREATE INDEX "findings_cover" ON "findings" USING btree ("cover_id");--> statement-breakpoint
CREATE INDEX "findings_open" ON "findings" USING btree ("cover_id") WHERE "findings"."closed_at" IS NULL;--> statement-breakpoint
CREATE INDEX "recuts_finding" ON "recuts" USING btree ("finding_id");--> statement-breakpoint
CREATE INDEX "recuts_with_batch" ON "recuts" USING btree ("with_batch_id");--> statement-breakpoint
ALTER TABLE "cover_events" ADD CONSTRAINT "cover_events_event" CHECK ("cover_events"."event" IN ('cut', 'begin', 'put back', 'put aside', 'finish', 'pass', 'find', 'mended', 'pack', 'unpack', 'hand over', 'take back', 'withdraw', 'stand', 'hold', 'release', 'undo'));
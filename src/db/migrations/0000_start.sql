CREATE TABLE "batches" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "batches_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"name" text NOT NULL,
	"status" text DEFAULT 'draft' NOT NULL,
	"seconds" integer DEFAULT 5 NOT NULL,
	"seed" integer DEFAULT 1 NOT NULL,
	"progress" real DEFAULT 0 NOT NULL,
	"progress_note" text DEFAULT '' NOT NULL,
	"cancel_requested" boolean DEFAULT false NOT NULL,
	"run" integer DEFAULT 0 NOT NULL,
	"error" text DEFAULT '' NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"approved_at" timestamp with time zone,
	CONSTRAINT "batches_named" CHECK (length(trim("batches"."name")) > 0),
	CONSTRAINT "batches_status" CHECK ("batches"."status" IN ('draft', 'queued', 'laying', 'laid', 'failed', 'approved', 'cut')),
	CONSTRAINT "batches_progress" CHECK ("batches"."progress" BETWEEN 0 AND 1 AND "batches"."seconds" BETWEEN 1 AND 600)
);
--> statement-breakpoint
CREATE TABLE "cloths" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "cloths_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"name" text NOT NULL,
	"units" text NOT NULL,
	"width_nm" bigint NOT NULL,
	"selvage_left_nm" bigint DEFAULT 0 NOT NULL,
	"selvage_right_nm" bigint DEFAULT 0 NOT NULL,
	"repeat_across_nm" bigint DEFAULT 0 NOT NULL,
	"repeat_along_nm" bigint DEFAULT 0 NOT NULL,
	"drop_part" double precision DEFAULT 0 NOT NULL,
	"turns" text NOT NULL,
	"pattern" text DEFAULT 'plain' NOT NULL,
	"ground_colour" text NOT NULL,
	"figure_colour" text NOT NULL,
	"price_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"price_per" text NOT NULL,
	"selling_step_nm" bigint NOT NULL,
	"notes" text DEFAULT '' NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "cloths_named" CHECK (length(trim("cloths"."name")) > 0),
	CONSTRAINT "cloths_width" CHECK ("cloths"."width_nm" > 0 AND "cloths"."selvage_left_nm" >= 0 AND "cloths"."selvage_right_nm" >= 0 AND "cloths"."selvage_left_nm" + "cloths"."selvage_right_nm" < "cloths"."width_nm"),
	CONSTRAINT "cloths_repeat" CHECK ("cloths"."repeat_across_nm" >= 0 AND "cloths"."repeat_along_nm" >= 0 AND "cloths"."drop_part" >= 0 AND "cloths"."drop_part" < 1),
	CONSTRAINT "cloths_price" CHECK ("cloths"."price_minor" >= 0 AND "cloths"."currency" ~ '^[A-Z]{3}$' AND "cloths"."selling_step_nm" > 0),
	CONSTRAINT "cloths_colours" CHECK ("cloths"."ground_colour" ~ '^#[0-9a-f]{6}$' AND "cloths"."figure_colour" ~ '^#[0-9a-f]{6}$'),
	CONSTRAINT "cloths_words" CHECK ("cloths"."units" IN ('in', 'mm') AND "cloths"."turns" IN ('any', 'half', 'none') AND "cloths"."price_per" IN ('yd', 'm'))
);
--> statement-breakpoint
CREATE TABLE "customers" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "customers_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"name" text NOT NULL,
	"contact" text DEFAULT '' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "customers_named" CHECK (length(trim("customers"."name")) > 0)
);
--> statement-breakpoint
CREATE TABLE "lay_shares" (
	"lay_id" integer NOT NULL,
	"order_id" integer NOT NULL,
	"alone_nm" bigint NOT NULL,
	"alone_cost_minor" bigint NOT NULL,
	"hand_nm" bigint NOT NULL,
	"hand_cost_minor" bigint NOT NULL,
	"area_mm2" double precision NOT NULL,
	"used_nm" bigint NOT NULL,
	"share_by_length_minor" bigint NOT NULL,
	"share_by_area_minor" bigint NOT NULL,
	CONSTRAINT "lay_shares_lay_id_order_id_pk" PRIMARY KEY("lay_id","order_id"),
	CONSTRAINT "lay_shares_amounts" CHECK ("lay_shares"."share_by_length_minor" >= 0 AND "lay_shares"."share_by_area_minor" >= 0 AND "lay_shares"."alone_nm" >= 0)
);
--> statement-breakpoint
CREATE TABLE "lays" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "lays_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"units" text NOT NULL,
	"cloth" jsonb NOT NULL,
	"job" jsonb NOT NULL,
	"parts" jsonb NOT NULL,
	"plan" jsonb NOT NULL,
	"used_nm" bigint NOT NULL,
	"bound_nm" bigint NOT NULL,
	"bought_nm" bigint NOT NULL,
	"hand_nm" bigint NOT NULL,
	"hand_cost_minor" bigint NOT NULL,
	"cost_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"waste_part" double precision NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "lays_batch_cloth" UNIQUE("batch_id","cloth_id"),
	CONSTRAINT "lays_lengths" CHECK ("lays"."used_nm" >= 0 AND "lays"."bound_nm" >= 0 AND "lays"."bound_nm" <= "lays"."used_nm" AND "lays"."bought_nm" >= "lays"."used_nm"),
	CONSTRAINT "lays_cost" CHECK ("lays"."cost_minor" >= 0 AND "lays"."hand_cost_minor" >= 0)
);
--> statement-breakpoint
CREATE TABLE "line_cloths" (
	"line_id" integer NOT NULL,
	"role" text NOT NULL,
	"cloth_id" integer NOT NULL,
	CONSTRAINT "line_cloths_line_id_role_pk" PRIMARY KEY("line_id","role"),
	CONSTRAINT "line_cloths_role" CHECK ("line_cloths"."role" IN ('face', 'back', 'boxing', 'welt'))
);
--> statement-breakpoint
CREATE TABLE "line_values" (
	"line_id" integer NOT NULL,
	"name" text NOT NULL,
	"part" smallint DEFAULT 0 NOT NULL,
	"is_measure" boolean NOT NULL,
	"value_nm" bigint,
	"typed" text DEFAULT '' NOT NULL,
	"choice" text,
	CONSTRAINT "line_values_line_id_name_part_pk" PRIMARY KEY("line_id","name","part"),
	CONSTRAINT "line_values_one" CHECK (("line_values"."value_nm" IS NULL) <> ("line_values"."choice" IS NULL)),
	CONSTRAINT "line_values_length" CHECK ("line_values"."value_nm" IS NULL OR "line_values"."value_nm" > 0 OR (NOT "line_values"."is_measure" AND "line_values"."value_nm" >= 0))
);
--> statement-breakpoint
CREATE TABLE "order_lines" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "order_lines_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"order_id" integer NOT NULL,
	"position" smallint NOT NULL,
	"kind" text NOT NULL,
	"kind_version" integer NOT NULL,
	"qty" integer NOT NULL,
	"fit" text NOT NULL,
	"measured_as" text DEFAULT 'finished' NOT NULL,
	"matching" text DEFAULT 'none' NOT NULL,
	"batch_id" integer,
	CONSTRAINT "order_lines_position" UNIQUE("order_id","position"),
	CONSTRAINT "order_lines_qty" CHECK ("order_lines"."qty" BETWEEN 1 AND 10000),
	CONSTRAINT "order_lines_words" CHECK ("order_lines"."fit" IN ('true', 'snug', 'overfull') AND "order_lines"."measured_as" IN ('finished', 'cut') AND "order_lines"."matching" IN ('none', 'alike', 'centred'))
);
--> statement-breakpoint
CREATE TABLE "orders" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "orders_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"no" integer NOT NULL,
	"mark" smallint NOT NULL,
	"customer_id" integer NOT NULL,
	"due" date NOT NULL,
	"units" text NOT NULL,
	"notes" text DEFAULT '' NOT NULL,
	"deleted_at" timestamp with time zone,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "orders_no_unique" UNIQUE("no"),
	CONSTRAINT "orders_units" CHECK ("orders"."units" IN ('in', 'mm')),
	CONSTRAINT "orders_no" CHECK ("orders"."no" > 0 AND "orders"."mark" >= 0)
);
--> statement-breakpoint
CREATE TABLE "settings" (
	"key" text PRIMARY KEY NOT NULL,
	"value" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "lay_shares" ADD CONSTRAINT "lay_shares_lay_id_lays_id_fk" FOREIGN KEY ("lay_id") REFERENCES "public"."lays"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_shares" ADD CONSTRAINT "lay_shares_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lays" ADD CONSTRAINT "lays_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lays" ADD CONSTRAINT "lays_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_cloths" ADD CONSTRAINT "line_cloths_line_id_order_lines_id_fk" FOREIGN KEY ("line_id") REFERENCES "public"."order_lines"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_cloths" ADD CONSTRAINT "line_cloths_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_values" ADD CONSTRAINT "line_values_line_id_order_lines_id_fk" FOREIGN KEY ("line_id") REFERENCES "public"."order_lines"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_lines" ADD CONSTRAINT "order_lines_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "order_lines" ADD CONSTRAINT "order_lines_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "orders" ADD CONSTRAINT "orders_customer_id_customers_id_fk" FOREIGN KEY ("customer_id") REFERENCES "public"."customers"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "cloths_name" ON "cloths" USING btree (lower("name"));--> statement-breakpoint
CREATE UNIQUE INDEX "customers_name" ON "customers" USING btree (lower("name"));--> statement-breakpoint
CREATE INDEX "lay_shares_order" ON "lay_shares" USING btree ("order_id");--> statement-breakpoint
CREATE INDEX "line_cloths_cloth" ON "line_cloths" USING btree ("cloth_id");--> statement-breakpoint
CREATE INDEX "order_lines_batch" ON "order_lines" USING btree ("batch_id");--> statement-breakpoint
CREATE INDEX "orders_customer" ON "orders" USING btree ("customer_id");--> statement-breakpoint
CREATE INDEX "orders_due" ON "orders" USING btree ("due");
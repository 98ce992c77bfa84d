CREATE TABLE "lay_events" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "lay_events_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"sort" text NOT NULL,
	"item_id" integer,
	"length_nm" bigint NOT NULL,
	"order_id" integer,
	"part" text DEFAULT '' NOT NULL,
	"why" text DEFAULT '' NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "lay_events_sort" CHECK ("lay_events"."sort" IN ('end crooked', 'flaw found', 'miscut', 'recut') AND "lay_events"."length_nm" >= 0)
);
--> statement-breakpoint
CREATE TABLE "line_materials" (
	"line_id" integer NOT NULL,
	"notion" text NOT NULL,
	"material_id" integer NOT NULL,
	CONSTRAINT "line_materials_line_id_notion_pk" PRIMARY KEY("line_id","notion")
);
--> statement-breakpoint
CREATE TABLE "materials" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "materials_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"name" text NOT NULL,
	"sort" text NOT NULL,
	"counted_by" text NOT NULL,
	"pack_size" integer DEFAULT 1 NOT NULL,
	"selling_step_nm" bigint DEFAULT 0 NOT NULL,
	"length_nm" bigint,
	"teeth" text,
	"supplier" text DEFAULT '' NOT NULL,
	"price_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"price_per" text NOT NULL,
	"usual_for" text[] DEFAULT '{}' NOT NULL,
	"notes" text DEFAULT '' NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "materials_named" CHECK (length(trim("materials"."name")) > 0),
	CONSTRAINT "materials_words" CHECK ("materials"."sort" IN ('cord', 'zip', 'hook-and-loop', 'snaps', 'button', 'thread', 'tape', 'staples', 'adhesive', 'other') AND "materials"."counted_by" IN ('length', 'piece', 'pack') AND ("materials"."teeth" IS NULL OR "materials"."teeth" IN ('coil', 'moulded', 'metal')) AND "materials"."price_per" IN ('yd', 'm', 'piece', 'pack', 'sheet')),
	CONSTRAINT "materials_amounts" CHECK ("materials"."pack_size" > 0 AND "materials"."selling_step_nm" >= 0 AND "materials"."price_minor" >= 0 AND "materials"."currency" ~ '^[A-Z]{3}$'),
	CONSTRAINT "materials_zip" CHECK (("materials"."sort" = 'zip') = ("materials"."length_nm" IS NOT NULL))
);
--> statement-breakpoint
CREATE TABLE "movements" (
	"id" bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "movements_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"item_id" integer NOT NULL,
	"sort" text NOT NULL,
	"quantity" bigint NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" integer,
	"cause" text,
	"reason" text DEFAULT '' NOT NULL,
	"order_id" integer,
	"batch_id" integer,
	"to_item_id" integer,
	"counters_id" bigint,
	CONSTRAINT "movements_counters" UNIQUE("counters_id"),
	CONSTRAINT "movements_sort" CHECK ("movements"."sort" IN ('received', 'reserved', 'released', 'cut', 'wasted', 'kept', 'used', 'counted', 'moved')),
	CONSTRAINT "movements_cause" CHECK (("movements"."sort" = 'wasted') = ("movements"."cause" IS NOT NULL) AND ("movements"."cause" IS NULL OR "movements"."cause" IN ('offcut', 'selvage', 'pattern', 'flaw', 'end', 'miscut', 'recut', 'let go'))),
	CONSTRAINT "movements_quantity" CHECK ("movements"."counters_id" IS NOT NULL OR "movements"."sort" IN ('counted', 'moved') OR "movements"."quantity" > 0)
);
--> statement-breakpoint
CREATE TABLE "prices" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "prices_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"cloth_id" integer,
	"material_id" integer,
	"since" date NOT NULL,
	"price_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"price_per" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "prices_cloth" UNIQUE("cloth_id","since"),
	CONSTRAINT "prices_material" UNIQUE("material_id","since"),
	CONSTRAINT "prices_one" CHECK (("prices"."cloth_id" IS NULL) <> ("prices"."material_id" IS NULL) AND "prices"."price_minor" >= 0)
);
--> statement-breakpoint
CREATE TABLE "stock_choices" (
	"batch_id" integer NOT NULL,
	"cloth_id" integer NOT NULL,
	"pinned" integer[] DEFAULT '{}' NOT NULL,
	"left_out" integer[] DEFAULT '{}' NOT NULL,
	"is_lot_mixed" boolean DEFAULT false NOT NULL,
	CONSTRAINT "stock_choices_batch_id_cloth_id_pk" PRIMARY KEY("batch_id","cloth_id")
);
--> statement-breakpoint
CREATE TABLE "stock_items" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "stock_items_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"sort" text NOT NULL,
	"code" text GENERATED ALWAYS AS (upper(left("stock_items"."sort", 1)) || "stock_items"."id") STORED NOT NULL,
	"cloth_id" integer,
	"material_id" integer,
	"lot" text DEFAULT '' NOT NULL,
	"width_nm" bigint,
	"selvage_left_nm" bigint DEFAULT 0 NOT NULL,
	"selvage_right_nm" bigint DEFAULT 0 NOT NULL,
	"length_nm" bigint,
	"motif_across_nm" bigint DEFAULT 0 NOT NULL,
	"motif_along_nm" bigint DEFAULT 0 NOT NULL,
	"flaws" jsonb DEFAULT '[]'::jsonb NOT NULL,
	"outline" jsonb,
	"place" text DEFAULT '' NOT NULL,
	"supplier" text DEFAULT '' NOT NULL,
	"price_minor" bigint DEFAULT 0 NOT NULL,
	"currency" text NOT NULL,
	"price_per" text NOT NULL,
	"from_item_id" integer,
	"on_hand" bigint DEFAULT 0 NOT NULL,
	"reserved" bigint DEFAULT 0 NOT NULL,
	"is_opened" boolean DEFAULT false NOT NULL,
	"is_washed" boolean DEFAULT false NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"notes" text DEFAULT '' NOT NULL,
	"version" integer DEFAULT 1 NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "stock_items_one" CHECK (("stock_items"."cloth_id" IS NULL) <> ("stock_items"."material_id" IS NULL)),
	CONSTRAINT "stock_items_sort" CHECK ("stock_items"."sort" IN ('bolt', 'remnant', 'sheets', 'notion') AND ("stock_items"."sort" = 'notion') = ("stock_items"."material_id" IS NOT NULL)),
	CONSTRAINT "stock_items_balance" CHECK ("stock_items"."on_hand" >= 0 AND "stock_items"."reserved" >= 0 AND "stock_items"."reserved" <= "stock_items"."on_hand"),
	CONSTRAINT "stock_items_size" CHECK ("stock_items"."cloth_id" IS NULL OR ("stock_items"."width_nm" > 0 AND "stock_items"."length_nm" > 0 AND "stock_items"."selvage_left_nm" >= 0 AND "stock_items"."selvage_right_nm" >= 0 AND "stock_items"."selvage_left_nm" + "stock_items"."selvage_right_nm" < "stock_items"."width_nm"))
);
--> statement-breakpoint
CREATE TABLE "approvals" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "approvals_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"batch_id" integer NOT NULL,
	"no" integer NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"frozen" jsonb NOT NULL,
	"withdrawn_at" timestamp with time zone,
	CONSTRAINT "approvals_no" UNIQUE("batch_id","no")
);
--> statement-breakpoint
CREATE TABLE "quotes" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "quotes_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"no" integer NOT NULL,
	"order_id" integer NOT NULL,
	"state" text DEFAULT 'draft' NOT NULL,
	"valid_until" date NOT NULL,
	"sheet" jsonb NOT NULL,
	"total_minor" bigint NOT NULL,
	"currency" text NOT NULL,
	"words" text DEFAULT '' NOT NULL,
	"person_id" integer,
	"sent_at" timestamp with time zone,
	"answered_at" timestamp with time zone,
	"version" integer DEFAULT 1 NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "quotes_no_unique" UNIQUE("no"),
	CONSTRAINT "quotes_state_known" CHECK ("quotes"."state" IN ('draft', 'sent', 'accepted', 'declined') AND "quotes"."total_minor" >= 0)
);
--> statement-breakpoint
ALTER TABLE "cloths" DROP CONSTRAINT "cloths_words";--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "sort" text DEFAULT 'cloth' NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "sheet_length_nm" bigint;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "thickness_nm" bigint;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "firmness" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "life" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "supplier" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "is_washed" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "shrink_across_part" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "shrink_along_part" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "usual_for" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "lays" ADD COLUMN "stock" jsonb DEFAULT '{"uses":[],"why":""}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "lays" ADD COLUMN "short_nm" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "lays" ADD COLUMN "plain_nm" bigint;--> statement-breakpoint
ALTER TABLE "lays" ADD COLUMN "cut_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "lays" ADD COLUMN "outcome" jsonb;--> statement-breakpoint
ALTER TABLE "lay_events" ADD CONSTRAINT "lay_events_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_events" ADD CONSTRAINT "lay_events_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_events" ADD CONSTRAINT "lay_events_item_id_stock_items_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."stock_items"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_events" ADD CONSTRAINT "lay_events_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "lay_events" ADD CONSTRAINT "lay_events_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_materials" ADD CONSTRAINT "line_materials_line_id_order_lines_id_fk" FOREIGN KEY ("line_id") REFERENCES "public"."order_lines"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_materials" ADD CONSTRAINT "line_materials_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_item_id_stock_items_id_fk" FOREIGN KEY ("item_id") REFERENCES "public"."stock_items"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_to_item_id_stock_items_id_fk" FOREIGN KEY ("to_item_id") REFERENCES "public"."stock_items"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "movements" ADD CONSTRAINT "movements_counters_id_movements_id_fk" FOREIGN KEY ("counters_id") REFERENCES "public"."movements"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "prices" ADD CONSTRAINT "prices_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "prices" ADD CONSTRAINT "prices_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_choices" ADD CONSTRAINT "stock_choices_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_choices" ADD CONSTRAINT "stock_choices_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_items" ADD CONSTRAINT "stock_items_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_items" ADD CONSTRAINT "stock_items_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stock_items" ADD CONSTRAINT "stock_items_from_item_id_stock_items_id_fk" FOREIGN KEY ("from_item_id") REFERENCES "public"."stock_items"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "approvals" ADD CONSTRAINT "approvals_batch_id_batches_id_fk" FOREIGN KEY ("batch_id") REFERENCES "public"."batches"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "approvals" ADD CONSTRAINT "approvals_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "quotes" ADD CONSTRAINT "quotes_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "quotes" ADD CONSTRAINT "quotes_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "lay_events_batch" ON "lay_events" USING btree ("batch_id","cloth_id");--> statement-breakpoint
CREATE INDEX "lay_events_order" ON "lay_events" USING btree ("order_id");--> statement-breakpoint
CREATE INDEX "line_materials_material" ON "line_materials" USING btree ("material_id");--> statement-breakpoint
CREATE UNIQUE INDEX "materials_name" ON "materials" USING btree (lower("name"));--> statement-breakpoint
CREATE INDEX "movements_item" ON "movements" USING btree ("item_id","id");--> statement-breakpoint
CREATE INDEX "movements_batch" ON "movements" USING btree ("batch_id") WHERE "movements"."batch_id" IS NOT NULL;--> statement-breakpoint
CREATE INDEX "movements_order" ON "movements" USING btree ("order_id") WHERE "movements"."order_id" IS NOT NULL;--> statement-breakpoint
CREATE INDEX "movements_at" ON "movements" USING btree ("at");--> statement-breakpoint
CREATE UNIQUE INDEX "stock_items_code" ON "stock_items" USING btree ("code");--> statement-breakpoint
CREATE INDEX "stock_items_cloth" ON "stock_items" USING btree ("cloth_id","lot") WHERE "stock_items"."on_hand" > 0;--> statement-breakpoint
CREATE INDEX "stock_items_material" ON "stock_items" USING btree ("material_id") WHERE "stock_items"."on_hand" > 0;--> statement-breakpoint
CREATE INDEX "stock_items_there" ON "stock_items" USING btree ("id") WHERE "stock_items"."on_hand" > 0;--> statement-breakpoint
CREATE UNIQUE INDEX "approvals_one" ON "approvals" USING btree ("batch_id") WHERE "approvals"."withdrawn_at" IS NULL;--> statement-breakpoint
CREATE INDEX "quotes_order" ON "quotes" USING btree ("order_id","id");--> statement-breakpoint
CREATE INDEX "quotes_state" ON "quotes" USING btree ("state","valid_until");--> statement-breakpoint
CREATE UNIQUE INDEX "quotes_accepted" ON "quotes" USING btree ("order_id") WHERE "quotes"."state" = 'accepted';--> statement-breakpoint
ALTER TABLE "cloths" ADD CONSTRAINT "cloths_material" CHECK ("cloths"."sort" IN ('cloth', 'ticking', 'batting', 'fleece', 'interfacing', 'strap', 'foam', 'board', 'underlining', 'dust cover') AND "cloths"."shrink_across_part" >= 0 AND "cloths"."shrink_across_part" < 0.5 AND "cloths"."shrink_along_part" >= 0 AND "cloths"."shrink_along_part" < 0.5 AND ("cloths"."sheet_length_nm" IS NULL OR "cloths"."sheet_length_nm" > 0));--> statement-breakpoint
ALTER TABLE "cloths" ADD CONSTRAINT "cloths_words" CHECK ("cloths"."units" IN ('in', 'mm') AND "cloths"."turns" IN ('any', 'half', 'none') AND "cloths"."price_per" IN ('yd', 'm', 'sheet'));--> statement-breakpoint
CREATE FUNCTION book_movement() RETURNS trigger LANGUAGE plpgsql AS $$
DECLARE
  by_hand bigint := CASE WHEN NEW.sort IN ('received', 'counted') THEN NEW.quantity WHEN NEW.sort IN ('cut', 'wasted', 'kept', 'used') THEN -NEW.quantity ELSE 0 END;
  by_word bigint := CASE NEW.sort WHEN 'reserved' THEN NEW.quantity WHEN 'released' THEN -NEW.quantity ELSE 0 END;
BEGIN
  -- Whoever comes second waits here for the item's row, and then the check of the balance decides.
  UPDATE stock_items SET
    on_hand = on_hand + by_hand,
    reserved = reserved + by_word,
    is_opened = is_opened OR NEW.sort IN ('cut', 'wasted', 'kept', 'used'),
    updated_at = now()
  WHERE id = NEW.item_id;
  RETURN NEW;
END $$;--> statement-breakpoint
CREATE TRIGGER movements_book BEFORE INSERT ON movements FOR EACH ROW EXECUTE FUNCTION book_movement();--> statement-breakpoint
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  -- That an order or batch is gone may be noted (its id becomes null); nothing else changes.
  IF TG_OP = 'UPDATE' AND (NEW.item_id, NEW.sort, NEW.quantity, NEW.at, NEW.person_id, NEW.cause, NEW.reason, NEW.to_item_id, NEW.counters_id)
    IS NOT DISTINCT FROM (OLD.item_id, OLD.sort, OLD.quantity, OLD.at, OLD.person_id, OLD.cause, OLD.reason, OLD.to_item_id, OLD.counters_id)
    AND (NEW.order_id IS NULL OR NEW.order_id = OLD.order_id) AND (NEW.batch_id IS NULL OR NEW.batch_id = OLD.batch_id) THEN
    RETURN NEW;
  END IF;
  RAISE EXCEPTION 'a movement is never changed, only countered' USING ERRCODE = 'restrict_violation';
END $$;--> statement-breakpoint
CREATE TRIGGER movements_kept BEFORE UPDATE OR DELETE ON movements FOR EACH ROW EXECUTE FUNCTION refuse_change();--> statement-breakpoint
INSERT INTO prices (cloth_id, since, price_minor, currency, price_per) SELECT id, created_at::date, price_minor, currency, price_per FROM cloths;--> statement-breakpoint
CREATE INDEX "stock_items_search" ON "stock_items" USING gin ((lower(code || ' ' || lot || ' ' || place || ' ' || supplier)) gin_trgm_ops);

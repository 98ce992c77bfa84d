CREATE TABLE "cover_events" (
	"id" bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "cover_events_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"cover_id" integer NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" integer,
	"event" text NOT NULL,
	"from_state" text NOT NULL,
	"to_state" text NOT NULL,
	"from_place" text,
	"place" text,
	"from_person_id" integer,
	"note" text DEFAULT '' NOT NULL,
	CONSTRAINT "cover_events_event" CHECK ("cover_events"."event" IN ('cut', 'begin', 'put back', 'finish', 'pass', 'find', 'mended', 'pack', 'unpack', 'hand over', 'take back', 'withdraw', 'stand', 'hold', 'release', 'undo'))
);
--> statement-breakpoint
CREATE TABLE "covers" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "covers_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"line_id" integer NOT NULL,
	"number" smallint NOT NULL,
	"state" text NOT NULL,
	"place" text,
	"hold" text,
	"hold_why" text DEFAULT '' NOT NULL,
	"person_id" integer,
	"version" integer DEFAULT 1 NOT NULL,
	CONSTRAINT "covers_number" UNIQUE("line_id","number"),
	CONSTRAINT "covers_words" CHECK ("covers"."state" IN ('to cut', 'cut', 'in sewing', 'to mend', 'to check', 'checked', 'packed', 'handed over') AND ("covers"."hold" IS NULL OR "covers"."hold" IN ('parts missing', 'cloth', 'customer', 'recut')))
);
--> statement-breakpoint
CREATE TABLE "deliveries" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "deliveries_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"order_id" integer NOT NULL,
	"no" smallint NOT NULL,
	"day" date NOT NULL,
	"to_whom" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	"taken_back_at" timestamp with time zone,
	"taken_back_why" text DEFAULT '' NOT NULL,
	CONSTRAINT "deliveries_no" UNIQUE("order_id","no")
);
--> statement-breakpoint
CREATE TABLE "delivery_covers" (
	"delivery_id" integer NOT NULL,
	"cover_id" integer NOT NULL,
	CONSTRAINT "delivery_covers_delivery_id_cover_id_pk" PRIMARY KEY("delivery_id","cover_id")
);
--> statement-breakpoint
DROP INDEX "orders_by_due";--> statement-breakpoint
ALTER TABLE "cover_events" ADD CONSTRAINT "cover_events_cover_id_covers_id_fk" FOREIGN KEY ("cover_id") REFERENCES "public"."covers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cover_events" ADD CONSTRAINT "cover_events_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cover_events" ADD CONSTRAINT "cover_events_from_person_id_people_id_fk" FOREIGN KEY ("from_person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "covers" ADD CONSTRAINT "covers_line_id_order_lines_id_fk" FOREIGN KEY ("line_id") REFERENCES "public"."order_lines"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "covers" ADD CONSTRAINT "covers_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "deliveries" ADD CONSTRAINT "deliveries_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "deliveries" ADD CONSTRAINT "deliveries_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "delivery_covers" ADD CONSTRAINT "delivery_covers_delivery_id_deliveries_id_fk" FOREIGN KEY ("delivery_id") REFERENCES "public"."deliveries"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "delivery_covers" ADD CONSTRAINT "delivery_covers_cover_id_covers_id_fk" FOREIGN KEY ("cover_id") REFERENCES "public"."covers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cover_events_cover" ON "cover_events" USING btree ("cover_id","id");--> statement-breakpoint
CREATE INDEX "covers_state" ON "covers" USING btree ("state","line_id");--> statement-breakpoint
CREATE INDEX "delivery_covers_cover" ON "delivery_covers" USING btree ("cover_id");--> statement-breakpoint
CREATE INDEX "orders_by_due" ON "orders" USING btree (("status" = 'handed over'),"due","no") WHERE "orders"."deleted_at" IS NULL;--> statement-breakpoint
-- What was approved or cut before covers were kept.
INSERT INTO covers (line_id, number, state) SELECT l.id, n, CASE b.status WHEN 'cut' THEN 'cut' ELSE 'to cut' END
  FROM order_lines l JOIN batches b ON b.id = l.batch_id CROSS JOIN LATERAL generate_series(1, l.qty) n WHERE b.status IN ('approved', 'cut') ORDER BY l.id, n;--> statement-breakpoint
CREATE OR REPLACE FUNCTION order_status_of(of_order integer) RETURNS text LANGUAGE sql VOLATILE AS $$
  SELECT CASE
    WHEN count(*) = 0 OR bool_or(l.batch_id IS NULL) THEN 'waiting'
    WHEN bool_or(b.status NOT IN ('approved', 'cut')) THEN 'batched'
    ELSE (ARRAY['approved', 'cut', 'in sewing', 'to check', 'checked', 'packed', 'handed over'])[min(coalesce(
      (SELECT min(CASE c.state WHEN 'to cut' THEN 1 WHEN 'cut' THEN 2 WHEN 'in sewing' THEN 3 WHEN 'to mend' THEN 3 WHEN 'to check' THEN 4 WHEN 'checked' THEN 5 WHEN 'packed' THEN 6 ELSE 7 END)
        FROM covers c WHERE c.line_id = l.id),
      CASE b.status WHEN 'cut' THEN 2 ELSE 1 END))] END
  FROM order_lines l LEFT JOIN batches b ON b.id = l.batch_id WHERE l.order_id = of_order
$$;--> statement-breakpoint
CREATE FUNCTION keep_order_status_by_covers() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM 1 FROM orders WHERE id IN (SELECT l.order_id FROM order_lines l JOIN changed c ON c.line_id = l.id) ORDER BY id FOR NO KEY UPDATE;
  UPDATE orders o SET status = order_status_of(o.id)
    WHERE o.id IN (SELECT l.order_id FROM order_lines l JOIN changed c ON c.line_id = l.id) AND o.status IS DISTINCT FROM order_status_of(o.id);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER covers_added AFTER INSERT ON covers REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION keep_order_status_by_covers();--> statement-breakpoint
CREATE TRIGGER covers_changed AFTER UPDATE ON covers REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION keep_order_status_by_covers();--> statement-breakpoint
CREATE TRIGGER covers_removed AFTER DELETE ON covers REFERENCING OLD TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION keep_order_status_by_covers();

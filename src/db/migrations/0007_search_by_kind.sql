ALTER TABLE "orders" ADD COLUMN "kinds" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
CREATE INDEX "orders_kinds" ON "orders" USING gin ("kinds");--> statement-breakpoint
CREATE FUNCTION order_kinds_of(of_order integer) RETURNS text[] LANGUAGE sql VOLATILE AS $$
  SELECT coalesce(array_agg(DISTINCT kind ORDER BY kind), '{}') FROM order_lines WHERE order_id = of_order
$$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION keep_order_status() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  -- Whoever comes second waits here, and then sees what the first has done.
  PERFORM 1 FROM orders WHERE id IN (SELECT order_id FROM changed) ORDER BY id FOR NO KEY UPDATE;
  UPDATE orders o SET status = kept.status, kinds = kept.kinds
    FROM (SELECT order_id, order_status_of(order_id) AS status, order_kinds_of(order_id) AS kinds FROM (SELECT DISTINCT order_id FROM changed) c) kept
    WHERE o.id = kept.order_id AND (o.status, o.kinds) IS DISTINCT FROM (kept.status, kept.kinds);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION keep_order_search() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.search_text := lower(NEW.no || ' ' || (SELECT name FROM customers WHERE id = NEW.customer_id) || ' ' || NEW.notes);
  RETURN NEW;
END $$;--> statement-breakpoint
UPDATE orders SET kinds = order_kinds_of(id), notes = notes;

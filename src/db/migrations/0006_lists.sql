DROP INDEX "orders_due";--> statement-breakpoint
ALTER TABLE "orders" ADD COLUMN "status" text DEFAULT 'waiting' NOT NULL;--> statement-breakpoint
ALTER TABLE "orders" ADD COLUMN "search_text" text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX "order_lines_waiting" ON "order_lines" USING btree ("order_id") WHERE "order_lines"."batch_id" IS NULL;--> statement-breakpoint
CREATE INDEX "order_lines_kind" ON "order_lines" USING btree ("kind");--> statement-breakpoint
CREATE INDEX "orders_by_due" ON "orders" USING btree (("status" = 'cut'),"due","no") WHERE "orders"."deleted_at" IS NULL;--> statement-breakpoint
CREATE INDEX "orders_by_status" ON "orders" USING btree ("status","due","no") WHERE "orders"."deleted_at" IS NULL;--> statement-breakpoint
CREATE EXTENSION IF NOT EXISTS pg_trgm;--> statement-breakpoint
CREATE INDEX "orders_search" ON "orders" USING gin ("search_text" gin_trgm_ops);--> statement-breakpoint
CREATE INDEX "customers_search" ON "customers" USING gin ("name" gin_trgm_ops);--> statement-breakpoint
CREATE FUNCTION order_status_of(of_order integer) RETURNS text LANGUAGE sql VOLATILE AS $$
  SELECT CASE
    WHEN count(*) = 0 OR bool_or(l.batch_id IS NULL) THEN 'waiting'
    WHEN bool_and(b.status = 'cut') THEN 'cut'
    WHEN bool_and(b.status IN ('approved', 'cut')) THEN 'approved'
    ELSE 'batched' END
  FROM order_lines l LEFT JOIN batches b ON b.id = l.batch_id WHERE l.order_id = of_order
$$;--> statement-breakpoint
CREATE FUNCTION keep_order_status() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  -- Whoever comes second waits here, and then sees what the first has done.
  PERFORM 1 FROM orders WHERE id IN (SELECT order_id FROM changed) ORDER BY id FOR NO KEY UPDATE;
  UPDATE orders o SET status = order_status_of(o.id)
    WHERE o.id IN (SELECT order_id FROM changed) AND o.status IS DISTINCT FROM order_status_of(o.id);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER order_lines_added AFTER INSERT ON order_lines REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION keep_order_status();--> statement-breakpoint
CREATE TRIGGER order_lines_changed AFTER UPDATE ON order_lines REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION keep_order_status();--> statement-breakpoint
CREATE TRIGGER order_lines_removed AFTER DELETE ON order_lines REFERENCING OLD TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION keep_order_status();--> statement-breakpoint
CREATE FUNCTION keep_batch_status() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM 1 FROM orders WHERE id IN (SELECT order_id FROM order_lines WHERE batch_id = NEW.id) ORDER BY id FOR NO KEY UPDATE;
  UPDATE orders o SET status = order_status_of(o.id)
    WHERE o.id IN (SELECT order_id FROM order_lines WHERE batch_id = NEW.id) AND o.status IS DISTINCT FROM order_status_of(o.id);
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER batches_changed AFTER UPDATE OF status ON batches FOR EACH ROW WHEN (OLD.status IS DISTINCT FROM NEW.status) EXECUTE FUNCTION keep_batch_status();--> statement-breakpoint
CREATE FUNCTION keep_order_search() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.search_text := NEW.no || ' ' || (SELECT name FROM customers WHERE id = NEW.customer_id) || ' ' || NEW.notes;
  RETURN NEW;
END $$;--> statement-breakpoint
CREATE TRIGGER orders_search_kept BEFORE INSERT OR UPDATE OF no, customer_id, notes ON orders FOR EACH ROW EXECUTE FUNCTION keep_order_search();--> statement-breakpoint
UPDATE orders SET status = order_status_of(id), notes = notes;

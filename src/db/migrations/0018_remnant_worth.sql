-- What a quantity cost in minor units; lengths are nanometres. A remnant priced whole costs its price for the length that it had when it was kept.
CREATE FUNCTION worth_of(quantity bigint, price_minor bigint, price_per text, whole bigint) RETURNS numeric LANGUAGE sql IMMUTABLE AS $$
  SELECT quantity::numeric * price_minor / CASE price_per WHEN 'yd' THEN 914400000 WHEN 'm' THEN 1000000000 WHEN 'whole' THEN whole ELSE 1 END
$$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION sum_movement() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO movement_sums AS s
    SELECT date_trunc('week', NEW.at), date_trunc('month', NEW.at), i.cloth_id, i.sort, NEW.sort, coalesce(NEW.cause, ''), i.currency,
      NEW.quantity, worth_of(NEW.quantity, i.price_minor, i.price_per, i.length_nm)
    FROM stock_items i WHERE i.id = NEW.item_id AND i.cloth_id IS NOT NULL
  ON CONFLICT ON CONSTRAINT movement_sums_pk DO UPDATE SET quantity = s.quantity + excluded.quantity, worth = s.worth + excluded.worth;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE OR REPLACE FUNCTION sum_movements() RETURNS void LANGUAGE sql AS $$
  DELETE FROM movement_sums;
  INSERT INTO movement_sums
    SELECT date_trunc('week', m.at), date_trunc('month', m.at), i.cloth_id, i.sort, m.sort, coalesce(m.cause, ''), i.currency,
      sum(m.quantity), sum(worth_of(m.quantity, i.price_minor, i.price_per, i.length_nm))
    FROM movements m JOIN stock_items i ON i.id = m.item_id
    WHERE m.sort IN ('cut', 'wasted', 'kept') AND i.cloth_id IS NOT NULL
    GROUP BY 1, 2, 3, 4, 5, 6, 7;
$$;--> statement-breakpoint
DROP FUNCTION worth_of(bigint, bigint, text);

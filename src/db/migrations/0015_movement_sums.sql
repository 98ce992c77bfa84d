CREATE TABLE "movement_sums" (
	"week" date NOT NULL,
	"month" date NOT NULL,
	"cloth_id" integer NOT NULL,
	"item_sort" text NOT NULL,
	"sort" text NOT NULL,
	"cause" text NOT NULL,
	"currency" text NOT NULL,
	"quantity" bigint NOT NULL,
	"worth" numeric NOT NULL,
	CONSTRAINT "movement_sums_pk" PRIMARY KEY("week","month","cloth_id","item_sort","sort","cause","currency")
);
--> statement-breakpoint
ALTER TABLE "movement_sums" ADD CONSTRAINT "movement_sums_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
-- What a quantity cost in minor units; lengths are nanometres.
CREATE FUNCTION worth_of(quantity bigint, price_minor bigint, price_per text) RETURNS numeric LANGUAGE sql IMMUTABLE AS $$
  SELECT quantity::numeric * price_minor / CASE price_per WHEN 'yd' THEN 914400000 WHEN 'm' THEN 1000000000 ELSE 1 END
$$;--> statement-breakpoint
CREATE FUNCTION sum_movement() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO movement_sums AS s
    SELECT date_trunc('week', NEW.at), date_trunc('month', NEW.at), i.cloth_id, i.sort, NEW.sort, coalesce(NEW.cause, ''), i.currency,
      NEW.quantity, worth_of(NEW.quantity, i.price_minor, i.price_per)
    FROM stock_items i WHERE i.id = NEW.item_id AND i.cloth_id IS NOT NULL
  ON CONFLICT ON CONSTRAINT movement_sums_pk DO UPDATE SET quantity = s.quantity + excluded.quantity, worth = s.worth + excluded.worth;
  RETURN NULL;
END $$;--> statement-breakpoint
CREATE TRIGGER movements_sum AFTER INSERT ON movements FOR EACH ROW WHEN (NEW.sort IN ('cut', 'wasted', 'kept')) EXECUTE FUNCTION sum_movement();--> statement-breakpoint
-- Makes all sums anew from the ledger: after a migration, and where movements were written without their trigger (an archive that is read in).
CREATE FUNCTION sum_movements() RETURNS void LANGUAGE sql AS $$
  DELETE FROM movement_sums;
  INSERT INTO movement_sums
    SELECT date_trunc('week', m.at), date_trunc('month', m.at), i.cloth_id, i.sort, m.sort, coalesce(m.cause, ''), i.currency,
      sum(m.quantity), sum(worth_of(m.quantity, i.price_minor, i.price_per))
    FROM movements m JOIN stock_items i ON i.id = m.item_id
    WHERE m.sort IN ('cut', 'wasted', 'kept') AND i.cloth_id IS NOT NULL
    GROUP BY 1, 2, 3, 4, 5, 6, 7;
$$;--> statement-breakpoint
SELECT sum_movements();

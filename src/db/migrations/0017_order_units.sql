ALTER TABLE "orders" DROP CONSTRAINT "orders_units";--> statement-breakpoint
ALTER TABLE "orders" ADD CONSTRAINT "orders_units" CHECK ("orders"."units" IN ('in', 'mm', 'millimetres'));
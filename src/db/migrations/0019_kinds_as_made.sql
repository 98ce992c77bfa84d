ALTER TABLE "cloths" DROP CONSTRAINT "cloths_material";--> statement-breakpoint
ALTER TABLE "line_cloths" DROP CONSTRAINT "line_cloths_role";--> statement-breakpoint
ALTER TABLE "order_lines" DROP CONSTRAINT "order_lines_words";--> statement-breakpoint
ALTER TABLE "materials" DROP CONSTRAINT "materials_zip";--> statement-breakpoint
ALTER TABLE "materials" DROP CONSTRAINT "materials_words";--> statement-breakpoint
ALTER TABLE "order_lines" ADD COLUMN "taken" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "order_lines" ADD COLUMN "provided" jsonb DEFAULT '{}'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "materials" ADD COLUMN "width_nm" bigint;--> statement-breakpoint
ALTER TABLE "cloths" ADD CONSTRAINT "cloths_material" CHECK ("cloths"."sort" IN ('cloth', 'ticking', 'batting', 'fleece', 'interfacing', 'strap', 'foam', 'sewing foam', 'board', 'underlining', 'dust cover') AND "cloths"."shrink_across_part" >= 0 AND "cloths"."shrink_across_part" < 0.5 AND "cloths"."shrink_along_part" >= 0 AND "cloths"."shrink_along_part" < 0.5 AND ("cloths"."sheet_length_nm" IS NULL OR "cloths"."sheet_length_nm" > 0));--> statement-breakpoint
ALTER TABLE "line_cloths" ADD CONSTRAINT "line_cloths_role" CHECK ("line_cloths"."role" IN ('face', 'back', 'contrast', 'boxing', 'skirt', 'flap', 'pocket', 'welt', 'lining', 'ticking', 'batting', 'fleece', 'interfacing', 'strap', 'foam', 'sewing foam', 'board', 'underlining', 'dust cover'));--> statement-breakpoint
ALTER TABLE "order_lines" ADD CONSTRAINT "order_lines_words" CHECK ("order_lines"."fit" IN ('true', 'snug', 'overfull') AND "order_lines"."measured_as" IN ('finished', 'seams', 'cut', 'trimmed') AND "order_lines"."matching" IN ('none', 'alike', 'centred'));--> statement-breakpoint
ALTER TABLE "materials" ADD CONSTRAINT "materials_sizes" CHECK (("materials"."sort" IN ('zip', 'pad')) = ("materials"."length_nm" IS NOT NULL) AND ("materials"."sort" = 'pad') = ("materials"."width_nm" IS NOT NULL));--> statement-breakpoint
ALTER TABLE "materials" ADD CONSTRAINT "materials_words" CHECK ("materials"."sort" IN ('cord', 'zip', 'hook-and-loop', 'snaps', 'button', 'thread', 'pad', 'tape', 'staples', 'adhesive', 'other') AND "materials"."counted_by" IN ('length', 'piece', 'pack') AND ("materials"."teeth" IS NULL OR "materials"."teeth" IN ('coil', 'moulded', 'metal')) AND "materials"."price_per" IN ('yd', 'm', 'piece', 'pack', 'sheet'));--> statement-breakpoint
DELETE FROM "alone_lays" WHERE "used_nm" = 0;
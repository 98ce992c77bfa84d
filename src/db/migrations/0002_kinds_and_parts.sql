CREATE TABLE "kind_versions" (
	"kind_id" integer NOT NULL,
	"version" integer NOT NULL,
	"data" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "kind_versions_kind_id_version_pk" PRIMARY KEY("kind_id","version")
);
--> statement-breakpoint
CREATE TABLE "kinds" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "kinds_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"version" integer DEFAULT 1 NOT NULL,
	"withdrawn_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "line_parts" (
	"line_id" integer NOT NULL,
	"part" text NOT NULL,
	"direction" text,
	"wide" text,
	CONSTRAINT "line_parts_line_id_part_pk" PRIMARY KEY("line_id","part"),
	CONSTRAINT "line_parts_words" CHECK (("line_parts"."direction" IS NULL OR "line_parts"."direction" IN ('along', 'across', 'any')) AND ("line_parts"."wide" IS NULL OR "line_parts"."wide" IN ('join', 'sideways')))
);
--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "fibre" text DEFAULT 'mixed' NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "weight" text DEFAULT 'medium' NOT NULL;--> statement-breakpoint
ALTER TABLE "cloths" ADD COLUMN "give" text DEFAULT 'little' NOT NULL;--> statement-breakpoint
ALTER TABLE "kind_versions" ADD CONSTRAINT "kind_versions_kind_id_kinds_id_fk" FOREIGN KEY ("kind_id") REFERENCES "public"."kinds"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line_parts" ADD CONSTRAINT "line_parts_line_id_order_lines_id_fk" FOREIGN KEY ("line_id") REFERENCES "public"."order_lines"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cloths" ADD CONSTRAINT "cloths_nature" CHECK ("cloths"."fibre" IN ('cotton', 'linen', 'wool', 'silk', 'mixed', 'acrylic', 'polyester', 'fleece', 'neoprene', 'vinyl', 'leather') AND "cloths"."weight" IN ('light', 'medium', 'heavy') AND "cloths"."give" IN ('none', 'little', 'stretch'));
CREATE TABLE "awaited" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "awaited_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"cloth_id" integer,
	"material_id" integer,
	"quantity" bigint NOT NULL,
	"day" date NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	"closed_at" timestamp with time zone,
	CONSTRAINT "awaited_one" CHECK (("awaited"."cloth_id" IS NULL) <> ("awaited"."material_id" IS NULL) AND "awaited"."quantity" > 0)
);
--> statement-breakpoint
CREATE TABLE "promises" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "promises_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"order_id" integer NOT NULL,
	"day" date NOT NULL,
	"ready_day" date,
	"safe_day" date,
	"why" text DEFAULT '' NOT NULL,
	"quote_id" integer,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "runs" ADD COLUMN "set_aside" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "awaited" ADD CONSTRAINT "awaited_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "awaited" ADD CONSTRAINT "awaited_material_id_materials_id_fk" FOREIGN KEY ("material_id") REFERENCES "public"."materials"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "awaited" ADD CONSTRAINT "awaited_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promises" ADD CONSTRAINT "promises_order_id_orders_id_fk" FOREIGN KEY ("order_id") REFERENCES "public"."orders"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promises" ADD CONSTRAINT "promises_quote_id_quotes_id_fk" FOREIGN KEY ("quote_id") REFERENCES "public"."quotes"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "promises" ADD CONSTRAINT "promises_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "awaited_open" ON "awaited" USING btree ("day") WHERE "awaited"."closed_at" IS NULL;--> statement-breakpoint
CREATE INDEX "promises_order" ON "promises" USING btree ("order_id","id");
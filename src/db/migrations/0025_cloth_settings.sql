CREATE TABLE "cloth_settings" (
	"entry" uuid PRIMARY KEY NOT NULL,
	"cloth_id" integer NOT NULL,
	"tension" text NOT NULL,
	"stitch" text NOT NULL,
	"note" text DEFAULT '' NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "cloth_settings" ADD CONSTRAINT "cloth_settings_cloth_id_cloths_id_fk" FOREIGN KEY ("cloth_id") REFERENCES "public"."cloths"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "cloth_settings" ADD CONSTRAINT "cloth_settings_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "cloth_settings_cloth" ON "cloth_settings" USING btree ("cloth_id","at");
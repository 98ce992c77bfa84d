CREATE TABLE "audit_entries" (
	"id" bigint PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "audit_entries_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1),
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	"person_id" integer,
	"command" text NOT NULL,
	"subject" text,
	"subject_id" integer,
	"before" jsonb,
	"after" jsonb,
	"request_id" uuid,
	"input_hash" text DEFAULT '' NOT NULL,
	"answer" jsonb,
	CONSTRAINT "audit_entries_request_id_unique" UNIQUE("request_id")
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "people_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"name" text NOT NULL,
	"initials" text NOT NULL,
	"colour" smallint NOT NULL,
	"left_at" timestamp with time zone,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "people_named" CHECK (length(trim("people"."name")) > 0 AND length("people"."initials") BETWEEN 1 AND 3)
);
--> statement-breakpoint
ALTER TABLE "audit_entries" ADD CONSTRAINT "audit_entries_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "audit_subject" ON "audit_entries" USING btree ("subject","subject_id","id");--> statement-breakpoint
CREATE INDEX "audit_at" ON "audit_entries" USING btree ("at");--> statement-breakpoint
CREATE UNIQUE INDEX "people_name" ON "people" USING btree (lower("name"));--> statement-breakpoint
UPDATE settings SET key = 'workroom-rules' WHERE key = 'house';

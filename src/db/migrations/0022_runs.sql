CREATE TABLE "run_clocks" (
	"entry" uuid PRIMARY KEY NOT NULL,
	"run_id" integer NOT NULL,
	"person_id" integer,
	"began_at" timestamp with time zone NOT NULL,
	"ended_at" timestamp with time zone,
	"by_hand_minutes" integer,
	CONSTRAINT "run_clocks_order" CHECK ("run_clocks"."ended_at" IS NULL OR "run_clocks"."ended_at" >= "run_clocks"."began_at"),
	CONSTRAINT "run_clocks_minutes" CHECK ("run_clocks"."by_hand_minutes" IS NULL OR "run_clocks"."by_hand_minutes" BETWEEN 1 AND 1440)
);
--> statement-breakpoint
CREATE TABLE "run_covers" (
	"run_id" integer NOT NULL,
	"cover_id" integer NOT NULL,
	CONSTRAINT "run_covers_run_id_cover_id_pk" PRIMARY KEY("run_id","cover_id")
);
--> statement-breakpoint
CREATE TABLE "run_ticks" (
	"run_id" integer NOT NULL,
	"cover_id" integer NOT NULL,
	"step" smallint NOT NULL,
	"entry" uuid NOT NULL,
	"person_id" integer,
	"at" timestamp with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "run_ticks_run_id_step_cover_id_pk" PRIMARY KEY("run_id","step","cover_id"),
	CONSTRAINT "run_ticks_step" CHECK ("run_ticks"."step" > 0)
);
--> statement-breakpoint
CREATE TABLE "runs" (
	"id" integer PRIMARY KEY GENERATED ALWAYS AS IDENTITY (sequence name "runs_id_seq" INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 START WITH 1 CACHE 1),
	"started_at" timestamp with time zone NOT NULL,
	"person_id" integer,
	"ended_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "run_clocks" ADD CONSTRAINT "run_clocks_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_clocks" ADD CONSTRAINT "run_clocks_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_covers" ADD CONSTRAINT "run_covers_run_id_runs_id_fk" FOREIGN KEY ("run_id") REFERENCES "public"."runs"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_covers" ADD CONSTRAINT "run_covers_cover_id_covers_id_fk" FOREIGN KEY ("cover_id") REFERENCES "public"."covers"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_ticks" ADD CONSTRAINT "run_ticks_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "run_ticks" ADD CONSTRAINT "run_ticks_run_id_cover_id_run_covers_run_id_cover_id_fk" FOREIGN KEY ("run_id","cover_id") REFERENCES "public"."run_covers"("run_id","cover_id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "runs" ADD CONSTRAINT "runs_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "run_clocks_run" ON "run_clocks" USING btree ("run_id");--> statement-breakpoint
CREATE INDEX "run_covers_cover" ON "run_covers" USING btree ("cover_id");--> statement-breakpoint
CREATE INDEX "run_ticks_entry" ON "run_ticks" USING btree ("entry");
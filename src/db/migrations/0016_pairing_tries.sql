CREATE TABLE "pairing_tries" (
	"address" text PRIMARY KEY NOT NULL,
	"wrong" integer NOT NULL,
	"last_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "pairing_codes" DROP COLUMN "wrong_tries";
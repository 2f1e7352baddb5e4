CREATE TABLE "guest_key" (
	"hash" text PRIMARY KEY NOT NULL,
	"account_id" uuid NOT NULL
);
--> statement-breakpoint
ALTER TABLE "account" DROP CONSTRAINT "account_guest_key";--> statement-breakpoint
ALTER TABLE "guest_key" ADD CONSTRAINT "guest_key_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "guest_key_account" ON "guest_key" USING btree ("account_id");--> statement-breakpoint
INSERT INTO "guest_key" ("hash", "account_id") SELECT "guest_key_hash", "id" FROM "account" WHERE "guest_key_hash" IS NOT NULL;--> statement-breakpoint
ALTER TABLE "account" DROP COLUMN "guest_key_hash";
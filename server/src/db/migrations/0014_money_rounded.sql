CREATE TYPE "public"."money_rounded" AS ENUM('row', 'total');--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "money_rounded" "money_rounded" DEFAULT 'row' NOT NULL;
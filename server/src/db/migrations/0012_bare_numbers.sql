CREATE TYPE "public"."bare_numbers" AS ENUM('plain', 'mm', 'in');--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "bare_numbers" "bare_numbers" DEFAULT 'plain' NOT NULL;
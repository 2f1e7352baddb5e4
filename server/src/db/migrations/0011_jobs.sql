ALTER TYPE "public"."change_kind" ADD VALUE 'job.set' BEFORE 'thing.add';--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "tags" text[] DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "archived" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "thousands" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "decimal_comma" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "currency" text DEFAULT '$' NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "changed_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_currency" CHECK (char_length("job"."currency") = 1);--> statement-breakpoint
UPDATE "job" SET "changed_at" = coalesce((SELECT max("change"."created_at") FROM "change" WHERE "change"."job_id" = "job"."id"), "job"."created_at");

ALTER TABLE "job" ADD COLUMN "history" uuid DEFAULT gen_random_uuid() NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "restored_from" uuid;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "restored_revision" bigint DEFAULT 0 NOT NULL;
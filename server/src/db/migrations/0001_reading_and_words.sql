CREATE TYPE "public"."fraction_terms" AS ENUM('lowest', 'held');--> statement-breakpoint
CREATE TYPE "public"."line_kind" AS ENUM('worked', 'heading', 'note');--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'line.words' BEFORE 'line.edit';--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'job.reading';--> statement-breakpoint
ALTER TABLE "change" ALTER COLUMN "line_id" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "line" ALTER COLUMN "number" DROP NOT NULL;--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "fractions" "fraction_terms" DEFAULT 'lowest' NOT NULL;--> statement-breakpoint
ALTER TABLE "line" ADD COLUMN "kind" "line_kind" DEFAULT 'worked' NOT NULL;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_line_named" CHECK (("change"."kind"::text = 'job.reading') = ("change"."line_id" is null));--> statement-breakpoint
ALTER TABLE "line" ADD CONSTRAINT "line_worked_numbered" CHECK (("line"."kind" = 'worked') = ("line"."number" is not null));
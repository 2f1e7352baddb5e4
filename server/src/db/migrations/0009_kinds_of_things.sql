ALTER TABLE "change" DROP CONSTRAINT "change_line_named";--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_scale_named";--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_set_out_named";--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_set_out";
--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_scale";
--> statement-breakpoint
ALTER TABLE "change" ADD COLUMN "thing_kind" text;--> statement-breakpoint
ALTER TABLE "change" ADD COLUMN "thing_id" uuid;--> statement-breakpoint
ALTER TABLE "change" ALTER COLUMN "kind" SET DATA TYPE text;--> statement-breakpoint
-- One form for things of every kind: what was a change of a scale is a change of a thing of the kind scale.
UPDATE "change" SET
  "thing_kind" = split_part("kind", '.', 1),
  "thing_id" = coalesce("scale_id", "set_out_id"),
  "kind" = 'thing.' || split_part("kind", '.', 2)
WHERE coalesce("scale_id", "set_out_id") is not null;--> statement-breakpoint
DROP TYPE "public"."change_kind";--> statement-breakpoint
CREATE TYPE "public"."change_kind" AS ENUM('line.add', 'line.words', 'line.edit', 'line.delete', 'line.restore', 'job.reading', 'job.add', 'thing.add', 'thing.edit', 'thing.set', 'thing.move', 'thing.delete', 'thing.restore');--> statement-breakpoint
ALTER TABLE "change" ALTER COLUMN "kind" SET DATA TYPE "public"."change_kind" USING "kind"::"public"."change_kind";--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_line_named" CHECK (("change"."kind"::text like 'line.%') = ("change"."line_id" is not null));--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_thing_named" CHECK (("change"."kind"::text like 'thing.%') = ("change"."thing_id" is not null));--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_thing_kind" CHECK (("change"."thing_kind" is null) = ("change"."thing_id" is null));--> statement-breakpoint
ALTER TABLE "change" DROP COLUMN "scale_id";--> statement-breakpoint
ALTER TABLE "change" DROP COLUMN "set_out_id";

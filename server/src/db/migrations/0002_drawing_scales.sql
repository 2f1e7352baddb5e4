CREATE TYPE "public"."scale_kind" AS ENUM('sizes', 'ratio', 'copy');--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'scale.add';--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'scale.edit';--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'scale.delete';--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'scale.restore';--> statement-breakpoint
CREATE TABLE "scale" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"kind" "scale_kind" NOT NULL,
	"paper" text NOT NULL,
	"site" text NOT NULL,
	"name" text,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "scale_in_job" UNIQUE("job_id","id"),
	CONSTRAINT "scale_sides" CHECK ("scale"."paper" <> '' and "scale"."site" <> '')
);
--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_line_named";--> statement-breakpoint
ALTER TABLE "change" ADD COLUMN "scale_id" uuid;--> statement-breakpoint
ALTER TABLE "scale" ADD CONSTRAINT "scale_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "scale_revision" ON "scale" USING btree ("job_id","revision");--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_scale" FOREIGN KEY ("job_id","scale_id") REFERENCES "public"."scale"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_scale_named" CHECK (("change"."kind"::text like 'scale.%') = ("change"."scale_id" is not null));--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_line_named" CHECK (("change"."kind"::text like 'line.%') = ("change"."line_id" is not null));
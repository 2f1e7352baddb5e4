ALTER TYPE "public"."change_kind" ADD VALUE 'setout.add';--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'setout.edit';--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'setout.delete';--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'setout.restore';--> statement-breakpoint
CREATE TABLE "set_out" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"name" text NOT NULL,
	"shape" text NOT NULL,
	"answer" text DEFAULT '' NOT NULL,
	"fields" text[] NOT NULL,
	"entries" text[] NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "set_out_in_job" UNIQUE("job_id","id"),
	CONSTRAINT "set_out_named" CHECK ("set_out"."name" <> '' and "set_out"."shape" <> ''),
	CONSTRAINT "set_out_given" CHECK (cardinality("set_out"."fields") = cardinality("set_out"."entries"))
);
--> statement-breakpoint
ALTER TABLE "change" ADD COLUMN "set_out_id" uuid;--> statement-breakpoint
ALTER TABLE "set_out" ADD CONSTRAINT "set_out_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "set_out_revision" ON "set_out" USING btree ("job_id","revision");--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_set_out" FOREIGN KEY ("job_id","set_out_id") REFERENCES "public"."set_out"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_set_out_named" CHECK (("change"."kind"::text like 'setout.%') = ("change"."set_out_id" is not null));
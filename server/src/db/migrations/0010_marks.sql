CREATE TABLE "mark" (
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"name" text NOT NULL,
	CONSTRAINT "mark_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "mark_named" CHECK ("mark"."name" <> '')
);
--> statement-breakpoint
CREATE TABLE "mark_by_name" (
	"job_id" uuid PRIMARY KEY NOT NULL
);
--> statement-breakpoint
ALTER TABLE "mark" ADD CONSTRAINT "mark_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "mark_by_name" ADD CONSTRAINT "mark_by_name_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "mark_revision" ON "mark" USING btree ("job_id","revision");--> statement-breakpoint
-- What stands in jobs by now names its marks: it is given their ids when the server starts.
INSERT INTO "mark_by_name" ("job_id") SELECT "id" FROM "job";

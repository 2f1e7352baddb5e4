CREATE TYPE "public"."job_holds" AS ENUM('work', 'jigs');--> statement-breakpoint
CREATE TABLE "jig" (
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"jig" uuid NOT NULL,
	"version" integer NOT NULL,
	"name" text NOT NULL,
	"title" text NOT NULL,
	"file" text NOT NULL,
	CONSTRAINT "jig_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "jig_named" CHECK ("jig"."name" <> '' and "jig"."title" <> ''),
	CONSTRAINT "jig_version" CHECK ("jig"."version" > 0)
);
--> statement-breakpoint
ALTER TABLE "job" ADD COLUMN "holds" "job_holds" DEFAULT 'work' NOT NULL;--> statement-breakpoint
ALTER TABLE "jig" ADD CONSTRAINT "jig_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "jig_revision" ON "jig" USING btree ("job_id","revision");
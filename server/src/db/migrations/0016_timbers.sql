CREATE TABLE "timber" (
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"called" text NOT NULL,
	"thick" text NOT NULL,
	"wide" text NOT NULL,
	CONSTRAINT "timber_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "timber_measured" CHECK ("timber"."called" <> '' and "timber"."thick" <> '')
);
--> statement-breakpoint
ALTER TABLE "timber" ADD CONSTRAINT "timber_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "timber_revision" ON "timber" USING btree ("job_id","revision");
CREATE TYPE "public"."measure" AS ENUM('each', 'run', 'area', 'volume', 'board', 'mass', 'hours');--> statement-breakpoint
CREATE TYPE "public"."priced_per" AS ENUM('each', 'dozen', 'hundred', 'thousand', 'pack', 'ft', 'yd', 'm', 'ft2', 'yd2', 'square', 'm2', 'ft3', 'yd3', 'm3', 'l', 'bf', 'mbf', 'lb', 'ton', 'kg', 't', 'h');--> statement-breakpoint
CREATE TABLE "item" (
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"position" text NOT NULL,
	"name" text NOT NULL,
	"section" uuid,
	"measure" "measure" NOT NULL,
	"count" text NOT NULL,
	"length" text NOT NULL,
	"width" text NOT NULL,
	"depth" text NOT NULL,
	"apiece" text NOT NULL,
	"less" text NOT NULL,
	"waste" text NOT NULL,
	"pack" text NOT NULL,
	"price" text NOT NULL,
	"other" text NOT NULL,
	"per" "priced_per" NOT NULL,
	"cut_whole" boolean NOT NULL,
	"supplier" text NOT NULL,
	"note" text NOT NULL,
	"left_out" boolean NOT NULL,
	"tax" uuid,
	"versions" uuid[] NOT NULL,
	CONSTRAINT "item_job_id_id_pk" PRIMARY KEY("job_id","id")
);
--> statement-breakpoint
CREATE TABLE "list_version" (
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"position" text NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "list_version_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "list_version_named" CHECK ("list_version"."name" <> '')
);
--> statement-breakpoint
CREATE TABLE "section" (
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"position" text NOT NULL,
	"name" text NOT NULL,
	CONSTRAINT "section_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "section_named" CHECK ("section"."name" <> '')
);
--> statement-breakpoint
CREATE TABLE "tax" (
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"position" text NOT NULL,
	"name" text NOT NULL,
	"rate" text NOT NULL,
	CONSTRAINT "tax_job_id_id_pk" PRIMARY KEY("job_id","id"),
	CONSTRAINT "tax_named" CHECK ("tax"."name" <> '')
);
--> statement-breakpoint
ALTER TABLE "item" ADD CONSTRAINT "item_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "list_version" ADD CONSTRAINT "list_version_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "section" ADD CONSTRAINT "section_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tax" ADD CONSTRAINT "tax_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "item_revision" ON "item" USING btree ("job_id","revision");--> statement-breakpoint
CREATE INDEX "list_version_revision" ON "list_version" USING btree ("job_id","revision");--> statement-breakpoint
CREATE INDEX "section_revision" ON "section" USING btree ("job_id","revision");--> statement-breakpoint
CREATE INDEX "tax_revision" ON "tax" USING btree ("job_id","revision");
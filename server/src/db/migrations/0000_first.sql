CREATE TYPE "public"."change_kind" AS ENUM('line.add', 'line.edit', 'line.delete', 'line.restore');--> statement-breakpoint
CREATE TYPE "public"."length_style" AS ENUM('ft-in', 'in', 'ft', 'in-dec', 'yd', 'm', 'cm', 'mm');--> statement-breakpoint
CREATE TYPE "public"."rounding_direction" AS ENUM('nearest', 'up', 'down');--> statement-breakpoint
CREATE TABLE "account" (
	"id" uuid PRIMARY KEY NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "change" (
	"account_id" uuid NOT NULL,
	"id" uuid NOT NULL,
	"job_id" uuid NOT NULL,
	"kind" "change_kind" NOT NULL,
	"line_id" uuid NOT NULL,
	"payload_hash" text NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "change_account_id_id_pk" PRIMARY KEY("account_id","id")
);
--> statement-breakpoint
CREATE TABLE "job" (
	"id" uuid PRIMARY KEY NOT NULL,
	"owner_id" uuid NOT NULL,
	"title" text NOT NULL,
	"revision" bigint NOT NULL,
	"next_number" integer DEFAULT 1 NOT NULL,
	"length_style" "length_style" DEFAULT 'ft-in' NOT NULL,
	"finest" integer DEFAULT 16 NOT NULL,
	"metric_step" text DEFAULT '1' NOT NULL,
	"rounding" "rounding_direction" DEFAULT 'nearest' NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "job_title_length" CHECK (char_length("job"."title") between 1 and 120),
	CONSTRAINT "job_finest" CHECK ("job"."finest" between 1 and 128),
	CONSTRAINT "job_metric_step" CHECK ("job"."metric_step" ~ '^[0-9]+(/[0-9]+)?$')
);
--> statement-breakpoint
CREATE TABLE "line" (
	"id" uuid PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"position" text NOT NULL,
	"source" text NOT NULL,
	"label" text,
	"note" text DEFAULT '' NOT NULL,
	"revision" bigint NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	CONSTRAINT "line_number" UNIQUE("job_id","number"),
	CONSTRAINT "line_in_job" UNIQUE("job_id","id"),
	CONSTRAINT "line_number_positive" CHECK ("line"."number" > 0)
);
--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_line" FOREIGN KEY ("job_id","line_id") REFERENCES "public"."line"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job" ADD CONSTRAINT "job_owner_id_account_id_fk" FOREIGN KEY ("owner_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "line" ADD CONSTRAINT "line_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "job_owner" ON "job" USING btree ("owner_id");--> statement-breakpoint
CREATE INDEX "line_revision" ON "line" USING btree ("job_id","revision");
-- The job in every key of the tables that belong to one.
ALTER TABLE "change" DROP CONSTRAINT "change_set_out";--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_line";--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_scale";--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_account_id_account_id_fk";--> statement-breakpoint
ALTER TABLE "job" DROP CONSTRAINT "job_owner_id_account_id_fk";--> statement-breakpoint
ALTER TABLE "job_member" DROP CONSTRAINT "job_member_account_id_account_id_fk";--> statement-breakpoint
-- One change that a guest and the account sent which the guest became.
DELETE FROM "change" AS "later" USING "change" AS "first"
  WHERE "later"."job_id" = "first"."job_id" AND "later"."id" = "first"."id"
    AND ("later"."revision", "later"."account_id") > ("first"."revision", "first"."account_id");--> statement-breakpoint
ALTER TABLE "line" DROP CONSTRAINT "line_in_job";--> statement-breakpoint
ALTER TABLE "scale" DROP CONSTRAINT "scale_in_job";--> statement-breakpoint
ALTER TABLE "set_out" DROP CONSTRAINT "set_out_in_job";--> statement-breakpoint
ALTER TABLE "line" DROP CONSTRAINT "line_pkey";--> statement-breakpoint
ALTER TABLE "scale" DROP CONSTRAINT "scale_pkey";--> statement-breakpoint
ALTER TABLE "set_out" DROP CONSTRAINT "set_out_pkey";--> statement-breakpoint
ALTER TABLE "invitation" DROP CONSTRAINT "invitation_pkey";--> statement-breakpoint
DROP INDEX "invitation_job";--> statement-breakpoint
ALTER TABLE "change" DROP CONSTRAINT "change_account_id_id_pk";--> statement-breakpoint
ALTER TABLE "line" ADD CONSTRAINT "line_job_id_id_pk" PRIMARY KEY("job_id","id");--> statement-breakpoint
ALTER TABLE "scale" ADD CONSTRAINT "scale_job_id_id_pk" PRIMARY KEY("job_id","id");--> statement-breakpoint
ALTER TABLE "set_out" ADD CONSTRAINT "set_out_job_id_id_pk" PRIMARY KEY("job_id","id");--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_job_id_hash_pk" PRIMARY KEY("job_id","hash");--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_job_id_id_pk" PRIMARY KEY("job_id","id");--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_line" FOREIGN KEY ("job_id","line_id") REFERENCES "public"."line"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_scale" FOREIGN KEY ("job_id","scale_id") REFERENCES "public"."scale"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "change" ADD CONSTRAINT "change_set_out" FOREIGN KEY ("job_id","set_out_id") REFERENCES "public"."set_out"("job_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "change_created" ON "change" USING brin ("created_at");

CREATE TYPE "public"."member_role" AS ENUM('read', 'edit');--> statement-breakpoint
CREATE TYPE "public"."one_time_purpose" AS ENUM('device', 'reset');--> statement-breakpoint
ALTER TYPE "public"."change_kind" ADD VALUE 'job.add';--> statement-breakpoint
CREATE TABLE "invitation" (
	"hash" text PRIMARY KEY NOT NULL,
	"job_id" uuid NOT NULL,
	"role" "member_role" NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "job_member" (
	"job_id" uuid NOT NULL,
	"account_id" uuid NOT NULL,
	"role" "member_role" NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "job_member_job_id_account_id_pk" PRIMARY KEY("job_id","account_id")
);
--> statement-breakpoint
CREATE TABLE "one_time_code" (
	"hash" text PRIMARY KEY NOT NULL,
	"purpose" "one_time_purpose" NOT NULL,
	"account_id" uuid NOT NULL,
	"expires_at" timestamp with time zone NOT NULL
);
--> statement-breakpoint
CREATE TABLE "session" (
	"sid" varchar PRIMARY KEY NOT NULL,
	"sess" json NOT NULL,
	"expire" timestamp (6) NOT NULL
);
--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "email" text;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "password_hash" text;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "guest_key_hash" text;--> statement-breakpoint
ALTER TABLE "invitation" ADD CONSTRAINT "invitation_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_member" ADD CONSTRAINT "job_member_job_id_job_id_fk" FOREIGN KEY ("job_id") REFERENCES "public"."job"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "job_member" ADD CONSTRAINT "job_member_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "one_time_code" ADD CONSTRAINT "one_time_code_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "invitation_job" ON "invitation" USING btree ("job_id");--> statement-breakpoint
CREATE INDEX "member_account" ON "job_member" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "session_expire" ON "session" USING btree ("expire");--> statement-breakpoint
CREATE INDEX "session_account" ON "session" USING btree ((("sess" ->> 'accountId')));--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_email" UNIQUE("email");--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_guest_key" UNIQUE("guest_key_hash");--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_claimed" CHECK (("account"."email" is null) = ("account"."password_hash" is null));
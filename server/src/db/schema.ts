import { HOLDS } from '@sprell/contract';
import { MEASURES, PRICE_UNIT_IDS, ROUNDED_AT } from '@sprell/core/quantities';
import { getTableName, sql } from 'drizzle-orm';
import {
  bigint,
  boolean,
  check,
  foreignKey,
  index,
  integer,
  json,
  pgEnum,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
  varchar,
  type ExtraConfigColumn,
  type PgColumn,
  type PgTable,
} from 'drizzle-orm/pg-core';

const createdAt = timestamp('created_at', { withTimezone: true }).notNull().defaultNow();
const deletedAt = timestamp('deleted_at', { withTimezone: true });
/** The job's revision when the row last changed. */
const revision = bigint('revision', { mode: 'number' }).notNull();

/** Accounts, guests included: every job belongs to one. */
export const account = pgTable(
  'account',
  {
    id: uuid('id').primaryKey(),
    /** In lower case; null while the account is a guest's. */
    email: text('email').unique('account_email'),
    /** Argon2id, in its own notation. */
    passwordHash: text('password_hash'),
    createdAt,
  },
  (table) => [check('account_claimed', sql`(${table.email} is null) = (${table.passwordHash} is null)`)],
);

/** What brings a guest's browser back into its account, a key for each of its devices; gone when it has an address. */
export const guestKey = pgTable(
  'guest_key',
  {
    /** SHA-256. */
    hash: text('hash').primaryKey(),
    accountId: uuid('account_id')
      .notNull()
      .references(() => account.id),
  },
  (table) => [index('guest_key_account').on(table.accountId)],
);

/** An address and a password that a guest wants to be known by, until the link was opened that went to the address. */
export const claim = pgTable('claim', {
  accountId: uuid('account_id')
    .primaryKey()
    .references(() => account.id),
  email: text('email').notNull(),
  passwordHash: text('password_hash').notNull(),
  /** SHA-256 of the token in the link. */
  hash: text('hash').notNull().unique('claim_hash'),
  expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
});

/** How often something was tried, as rate-limiter-flexible counts it: keys are hashes, `expire` is in milliseconds. */
export const guessCount = pgTable(
  'guess_count',
  {
    key: varchar('key', { length: 255 }).primaryKey(),
    points: integer('points').notNull().default(0),
    expire: bigint('expire', { mode: 'number' }),
  },
  (table) => [index('guess_count_expire').on(table.expire)],
);

/** Sessions, as connect-pg-simple keeps them; whose they are stands in `sess`. */
export const session = pgTable(
  'session',
  {
    sid: varchar('sid').primaryKey(),
    sess: json('sess').notNull(),
    expire: timestamp('expire', { precision: 6 }).notNull(),
  },
  (table) => [
    index('session_expire').on(table.expire),
    index('session_account').on(sql`((${table.sess} ->> 'accountId'))`),
  ],
);

export const oneTimePurpose = pgEnum('one_time_purpose', ['device', 'reset']);

/** Something secret that is good for one use: only its hash is kept. */
export const oneTimeCode = pgTable('one_time_code', {
  /** SHA-256. */
  hash: text('hash').primaryKey(),
  purpose: oneTimePurpose('purpose').notNull(),
  accountId: uuid('account_id')
    .notNull()
    .references(() => account.id),
  expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
});

export const lengthStyle = pgEnum('length_style', ['ft-in', 'in', 'ft', 'in-dec', 'yd', 'm', 'cm', 'mm']);
export const bareNumbers = pgEnum('bare_numbers', ['plain', 'mm', 'in']);
export const moneyRounded = pgEnum('money_rounded', ROUNDED_AT);
export const jobHolds = pgEnum('job_holds', HOLDS);
export const roundingDirection = pgEnum('rounding_direction', ['nearest', 'up', 'down']);

export const fractionTerms = pgEnum('fraction_terms', ['lowest', 'held']);

export const job = pgTable(
  'job',
  {
    id: uuid('id').primaryKey(),
    /** An account. No foreign key: jobs may lie elsewhere than accounts do (see `OF_A_JOB`). */
    ownerId: uuid('owner_id').notNull(),
    title: text('title').notNull(),
    /** Counts the changes; each takes the next number. */
    revision,
    /**
     * Another one after the job was put back from a backup, in which it was at `restoredRevision` of `restoredFrom`. Devices
     * may have read further in that than what is here.
     */
    history: uuid('history').notNull().defaultRandom(),
    restoredFrom: uuid('restored_from'),
    restoredRevision: bigint('restored_revision', { mode: 'number' }).notNull().default(0),
    /** The number the next line gets. Numbers are never used twice in a job. */
    nextNumber: integer('next_number').notNull().default(1),
    /** How the job's lengths read: style, finest division of an inch, metric step in mm (exact, as text), rounding. */
    lengthStyle: lengthStyle('length_style').notNull().default('ft-in'),
    finest: integer('finest').notNull().default(16),
    metricStep: text('metric_step').notNull().default('1'),
    rounding: roundingDirection('rounding').notNull().default('nearest'),
    fractions: fractionTerms('fractions').notNull().default('lowest'),
    /** Words to find it by. */
    tags: text('tags').array().notNull().default([]),
    archived: boolean('archived').notNull().default(false),
    /** How its figures are written: groups of three, the decimal mark, the sign of money. */
    thousands: boolean('thousands').notNull().default(false),
    decimalComma: boolean('decimal_comma').notNull().default(false),
    currency: text('currency').notNull().default('$'),
    /** What a number without a unit is, where one is typed. */
    bareNumbers: bareNumbers('bare_numbers').notNull().default('plain'),
    /** The step at which money of the take-off is rounded to the coin. */
    moneyRounded: moneyRounded('money_rounded').notNull().default('row'),
    /** Work, or the jigs of its owner. */
    holds: jobHolds('holds').notNull().default('work'),
    /** When something was last changed in it. */
    changedAt: timestamp('changed_at', { withTimezone: true }).notNull().defaultNow(),
    createdAt,
    deletedAt,
  },
  (table) => [
    index('job_owner').on(table.ownerId),
    check('job_title_length', sql`char_length(${table.title}) between 1 and 120`),
    check('job_finest', sql`${table.finest} between 1 and 128`),
    check('job_metric_step', sql`${table.metricStep} ~ '^[0-9]+(/[0-9]+)?$'`),
    check('job_currency', sql`char_length(${table.currency}) = 1`),
  ],
);

export const memberRole = pgEnum('member_role', ['read', 'edit']);

/** Who may see a job besides its owner. */
export const jobMember = pgTable(
  'job_member',
  {
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    accountId: uuid('account_id').notNull(),
    role: memberRole('role').notNull(),
    createdAt,
  },
  (table) => [primaryKey({ columns: [table.jobId, table.accountId] }), index('member_account').on(table.accountId)],
);

/** A link into a job: only the hash of its token is kept. */
export const invitation = pgTable(
  'invitation',
  {
    hash: text('hash').notNull(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    role: memberRole('role').notNull(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  },
  (table) => [primaryKey({ columns: [table.jobId, table.hash] })],
);

export const lineKind = pgEnum('line_kind', ['worked', 'heading', 'note']);

export const line = pgTable(
  'line',
  {
    id: uuid('id').notNull(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    kind: lineKind('kind').notNull().default('worked'),
    /** Null for words, which nothing refers to. */
    number: integer('number'),
    /** Fractional key, compared by code unit: the database is C.UTF-8. */
    position: text('position').notNull(),
    source: text('source').notNull(),
    label: text('label'),
    note: text('note').notNull().default(''),
    revision,
    createdAt,
    deletedAt,
  },
  (table) => [
    unique('line_number').on(table.jobId, table.number),
    primaryKey({ columns: [table.jobId, table.id] }),
    index('line_revision').on(table.jobId, table.revision),
    check('line_number_positive', sql`${table.number} > 0`),
    check('line_worked_numbered', sql`(${table.kind} = 'worked') = (${table.number} is not null)`),
  ],
);

/** The columns that tables of things have alike, whatever their kind; those of its fields are its own. */
export const thingRow = () => ({
  id: uuid('id').notNull(),
  jobId: uuid('job_id')
    .notNull()
    .references(() => job.id),
  revision,
  createdAt,
  deletedAt,
});
/** And their keys. */
export const thingKeys = (name: string, table: Record<'jobId' | 'id' | 'revision', ExtraConfigColumn>) => [
  primaryKey({ columns: [table.jobId, table.id] as never }),
  index(`${name}_revision`).on(table.jobId, table.revision),
];

/** The name of a mark of a job. What the mark comes to is in lines that hold its id. */
export const mark = pgTable(
  'mark',
  {
    ...thingRow(),
    name: text('name').notNull(),
  },
  (table) => [...thingKeys('mark', table), check('mark_named', sql`${table.name} <> ''`)],
);

/** Jobs whose entries name their marks still, from before marks had ids; emptied by `mark-ids.ts` when a server starts. */
export const markByName = pgTable('mark_by_name', {
  jobId: uuid('job_id')
    .primaryKey()
    .references(() => job.id),
});

export const scaleKind = pgEnum('scale_kind', ['sizes', 'ratio', 'copy']);

/** A drawing scale of a job: so much on paper for so much on site, as it was typed. */
export const scale = pgTable(
  'scale',
  {
    ...thingRow(),
    kind: scaleKind('kind').notNull(),
    paper: text('paper').notNull(),
    site: text('site').notNull(),
    name: text('name'),
  },
  (table) => [...thingKeys('scale', table), check('scale_sides', sql`${table.paper} <> '' and ${table.site} <> ''`)],
);

/** A shape set out in a job under a name: what was typed for it, field by field. What follows from that is not kept. */
export const setOut = pgTable(
  'set_out',
  {
    ...thingRow(),
    name: text('name').notNull(),
    shape: text('shape').notNull(),
    answer: text('answer').notNull().default(''),
    /** Two lists of one length: the fields that were given, and the entry in each. */
    fields: text('fields').array().notNull(),
    entries: text('entries').array().notNull(),
  },
  (table) => [
    ...thingKeys('set_out', table),
    check('set_out_named', sql`${table.name} <> '' and ${table.shape} <> ''`),
    check('set_out_given', sql`cardinality(${table.fields}) = cardinality(${table.entries})`),
  ],
);

/** What stands in a list that a person orders: a fractional key. */
const position = () => text('position').notNull();

/** A section of a take-off. */
export const section = pgTable(
  'section',
  { ...thingRow(), position: position(), name: text('name').notNull() },
  (table) => [...thingKeys('section', table), check('section_named', sql`${table.name} <> ''`)],
);

/** A version of a take-off: with oak, with pine. */
export const listVersion = pgTable(
  'list_version',
  { ...thingRow(), position: position(), name: text('name').notNull() },
  (table) => [...thingKeys('list_version', table), check('list_version_named', sql`${table.name} <> ''`)],
);

/** A tax of a take-off, its rate as it was typed. */
export const tax = pgTable(
  'tax',
  { ...thingRow(), position: position(), name: text('name').notNull(), rate: text('rate').notNull() },
  (table) => [...thingKeys('tax', table), check('tax_named', sql`${table.name} <> ''`)],
);

export const measure = pgEnum('measure', MEASURES as unknown as [string, ...string[]]);
export const pricedPer = pgEnum('priced_per', PRICE_UNIT_IDS as unknown as [string, ...string[]]);

/**
 * A row of a take-off: what was typed in its cells. What they come to is worked out wherever it is read. Section, tax and
 * versions are named without foreign keys, since the one may come from a device after the other.
 */
export const item = pgTable(
  'item',
  {
    ...thingRow(),
    position: position(),
    name: text('name').notNull(),
    section: uuid('section'),
    measure: measure('measure').notNull(),
    count: text('count').notNull(),
    length: text('length').notNull(),
    width: text('width').notNull(),
    depth: text('depth').notNull(),
    apiece: text('apiece').notNull(),
    less: text('less').notNull(),
    waste: text('waste').notNull(),
    pack: text('pack').notNull(),
    price: text('price').notNull(),
    other: text('other').notNull(),
    per: pricedPer('per').notNull(),
    cutWhole: boolean('cut_whole').notNull(),
    supplier: text('supplier').notNull(),
    note: text('note').notNull(),
    leftOut: boolean('left_out').notNull(),
    tax: uuid('tax'),
    versions: uuid('versions').array().notNull(),
  },
  (table) => thingKeys('item', table),
);

/** A version of a jig, whole, as a file: nobody changes a part of one (docs/decisions/0033). */
export const jig = pgTable(
  'jig',
  {
    ...thingRow(),
    jig: uuid('jig').notNull(),
    version: integer('version').notNull(),
    name: text('name').notNull(),
    title: text('title').notNull(),
    file: text('file').notNull(),
  },
  (table) => [
    ...thingKeys('jig', table),
    check('jig_named', sql`${table.name} <> '' and ${table.title} <> ''`),
    check('jig_version', sql`${table.version} > 0`),
  ],
);

/** Timber as it is sold and as it measures, its sizes as they were typed. */
export const timber = pgTable(
  'timber',
  { ...thingRow(), called: text('called').notNull(), thick: text('thick').notNull(), wide: text('wide').notNull() },
  (table) => [
    ...thingKeys('timber', table),
    check('timber_measured', sql`${table.called} <> '' and ${table.thick} <> ''`),
  ],
);

export const changeKind = pgEnum('change_kind', [
  'line.add',
  'line.words',
  'line.edit',
  'line.delete',
  'line.restore',
  'job.reading',
  'job.add',
  'job.set',
  'thing.add',
  'thing.edit',
  'thing.set',
  'thing.move',
  'thing.delete',
  'thing.restore',
]);

/**
 * The tables of the kinds of things that a job keeps, by the name of the kind in the registry (`KINDS`). Each has the columns
 * id, jobId, revision, createdAt and deletedAt, and one for each field of the kind.
 */
export const THING_TABLES: Readonly<Record<string, ThingTable>> = {
  mark,
  scale,
  setout: setOut,
  section,
  version: listVersion,
  tax,
  item,
  jig,
  timber,
};
export type ThingTable = PgTable & Record<'id' | 'jobId' | 'revision' | 'createdAt' | 'deletedAt', PgColumn>;

/** Every change that was applied, so that one sent again is known, for as long as somebody may send it (`prune.ts`). */
export const change = pgTable(
  'change',
  {
    /** Whose it was when it was made. */
    accountId: uuid('account_id').notNull(),
    id: uuid('id').notNull(),
    jobId: uuid('job_id')
      .notNull()
      .references(() => job.id),
    kind: changeKind('kind').notNull(),
    /** What was changed: a line, a thing of some kind, or, where all are null, the job itself. */
    lineId: uuid('line_id'),
    /** The name of the kind. There is a table for each kind, so that no foreign key can name the thing. */
    thingKind: text('thing_kind'),
    thingId: uuid('thing_id'),
    /** SHA-256 of what was sent: the same id with other contents is refused. */
    payloadHash: text('payload_hash').notNull(),
    revision,
    createdAt,
  },
  (table) => [
    primaryKey({ columns: [table.jobId, table.id] }),
    index('change_created').using('brin', table.createdAt),
    check('change_line_named', sql`(${table.kind}::text like 'line.%') = (${table.lineId} is not null)`),
    check('change_thing_named', sql`(${table.kind}::text like 'thing.%') = (${table.thingId} is not null)`),
    check('change_thing_kind', sql`(${table.thingKind} is null) = (${table.thingId} is null)`),
    foreignKey({ name: 'change_line', columns: [table.jobId, table.lineId], foreignColumns: [line.jobId, line.id] }),
  ],
);

/**
 * Tables that belong to a job, by the column that names it: it is part of each of their keys, and every statement that reads
 * or writes a job names it, so that they can be spread over machines by that column. Accounts and what opens them lie
 * apart from that.
 */
export const OF_A_JOB = {
  job: 'id',
  job_member: 'job_id',
  invitation: 'job_id',
  line: 'job_id',
  mark_by_name: 'job_id',
  change: 'job_id',
  ...Object.fromEntries(Object.values(THING_TABLES).map((table) => [getTableName(table), 'job_id'])),
};

import type {
  Change,
  ChangeResult,
  JobSummary,
  JobWire,
  KeptThing,
  LineWire,
  ThingLists,
  Things,
} from '@sprell/contract';

/** What the list of jobs says of one besides what it says itself; not known before it was counted. */
export type JobCounts = Partial<
  Pick<JobSummary, 'people' | 'changedAt' | 'deletedAt'> & { readonly lineCount: number }
>;

/** A job without what stands in it. `history` is not known before the server has sent it. */
export type JobHead = Omit<JobWire, 'lines' | keyof ThingLists | 'history' | 'restoredFrom' | 'restoredRevision'> &
  JobCounts & { readonly history?: string | undefined };

/** A job as this device has it: with its own changes done, sent or not. */
export interface LocalJob {
  readonly head: JobHead;
  readonly lines: readonly LineWire[];
  readonly things: Things;
  /** Changes that are not yet sent to the server, in order. */
  readonly waiting: readonly Change[];
  readonly conflicts: readonly KeptConflict[];
  readonly refusals: readonly KeptRefusal[];
  /** What is this device's own of a line or thing, by its id; nothing for one that somebody else has written since. */
  readonly own: ReadonlyMap<string, Own>;
}

/** What this device knows of a line or thing that it wrote last. */
export interface Own {
  /** The revision of the job that was known here then. */
  readonly knew: number;
  /** The change of ours that it is as it is by. */
  readonly by: string;
}

/** A version of a line that was written here and met another one, which stands; kept until somebody chooses. */
export interface KeptConflict {
  readonly id: string;
  readonly jobId: string;
  readonly lineId: string;
  /** The line as it was written here; it may have been deleted. */
  readonly mine: LineWire;
  /** Ids of the changes of ours that it took. */
  readonly changes: readonly string[];
}

/** A change that the server did not do, kept until somebody has looked at what it said. */
export interface KeptRefusal {
  readonly id: string;
  readonly jobId: string;
  readonly change: Change;
  readonly code: Extract<ChangeResult, { status: 'refused' }>['code'] | 'job.read_only';
  /** Where it is not taken, in the server's words. */
  readonly problem: string | undefined;
}

/** What one change leaves behind on this device. */
export interface LocalWrite {
  readonly change: Change;
  readonly head?: JobHead;
  readonly line?: LineWire;
  readonly thing?: KeptThing;
  /** It may have been written down before: the page that did it was left meanwhile. */
  readonly again?: boolean;
  /** The number of its line is its own, among those of a job that is made with them: nobody else gives any yet. */
  readonly isNumbered?: boolean;
}

/** A change as it was written down. */
export interface Written extends LocalWrite {
  /**
   * Ids of lines and things that differ from what the author knows: somebody else had written what it changes, which
   * stands, and this is kept next to it.
   */
  readonly apart: readonly string[];
}

/** What came of changes that were sent. */
export interface Settlement {
  /** Lines and things that are otherwise now. */
  readonly ids: readonly string[];
  /** Things that were changed elsewhere too; what was written here is kept next to them. */
  readonly apart: readonly KeptThing[];
}

/** Changes of one job to be sent together. `places` identify them when they are answered. */
export interface Batch {
  readonly jobId: string;
  readonly places: readonly number[];
  readonly changes: readonly Change[];
  /** The history of the job that they were made in; undefined before the server has sent it. */
  readonly history: string | undefined;
}

/**
 * The jobs as this device keeps them, and the changes that wait for the server. A write that came back stays, whatever
 * happens to the page, the browser or the power.
 */
export interface LocalStore {
  /** What is written outlives the page. */
  readonly lasts: boolean;
  heads(): Promise<readonly JobHead[]>;
  /** @param only the ids of the lines and things that are asked for, and what waits for them; all where it is left out */
  open(jobId: string, only?: readonly string[]): Promise<LocalJob | undefined>;
  /**
   * Changes and what each leaves behind, in order, together or not at all.
   * @returns what was written: with another number for a new line, where another page of this browser has used its own
   */
  write(jobId: string, ...whats: readonly LocalWrite[]): Promise<readonly Written[]>;
  /**
   * Takes over what the server holds, but for what has changes waiting. Where the server put the job back from a backup,
   * what is here from after that is to be sent again.
   * @param extent whether it is all of the job, or what changed in it since it was taken over last
   * @param asked the job as it was here when the server was asked
   * @returns false, with nothing done, where only all of the job will do
   */
  adopt(job: JobWire, extent: 'all' | 'changes', asked?: JobHead): Promise<boolean>;
  /** A job that the server does not have any more: all of it is to be sent again. */
  sendAgain(jobId: string): Promise<void>;
  /** What waits of a job will not be done, for a reason that all of it shares. */
  refuse(jobId: string, code: KeptRefusal['code']): Promise<void>;
  /** The first changes that wait, of one job. @param held jobs whose changes cannot be sent now */
  batch(held: ReadonlySet<string>): Promise<Batch | undefined>;
  /** What became of a batch: it waits no more, and what it was done to is as the server says. */
  settle(batch: Batch, results: readonly ChangeResult[]): Promise<Settlement>;
  /** Takes over what the server's list says of the jobs that are here. */
  count(counts: readonly (JobCounts & { readonly id: string })[]): Promise<void>;
  /** How many changes wait, of all jobs, but for those that came along with another. */
  countWaiting(): Promise<number>;
  /** The same, for each job that has some. */
  waitingByJob(): Promise<ReadonlyMap<string, number>>;
  keepConflict(conflict: KeptConflict): Promise<void>;
  dropConflict(conflict: KeptConflict): Promise<void>;
  /** A refusal was seen to. A line or thing that the refused change was to make goes with it. */
  dropRefusal(refusal: KeptRefusal): Promise<void>;
  /** A job that is not this account's any more. Nothing happens to one that has changes waiting. */
  forget(jobId: string): Promise<void>;
  /** Small things that have to outlive the browser being killed. */
  note(key: string): Promise<unknown>;
  setNote(key: string, value: unknown): Promise<void>;
  /** Everything goes, what waits too. */
  clear(): Promise<void>;
}

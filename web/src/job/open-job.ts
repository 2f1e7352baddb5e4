import { allThings, type KeptThing, type LineWire } from '@sprell/contract';
import type { ReadingStyle } from '@sprell/core';
import type { Device } from '../adapters/device.ts';
import type { JobHead, LocalJob, LocalWrite } from '../adapters/local/local-store.ts';
import { Conflicts } from './conflicts.ts';
import { Ground } from './ground.ts';
import { HeldEntries } from './held-entries.ts';
import type { Holder } from './holder.ts';
import { JobJigs } from './jigs.ts';
import { LineEdits } from './line-edits.ts';
import { Marks } from './marks.ts';
import { MarksApart } from './marks-apart.ts';
import type { JobReading } from './reading.ts';
import { Refusals, type Refresh } from './refusals.ts';
import { Scales } from './scales.ts';
import { SetOuts } from './set-outs.ts';
import { SlateLines } from './slate-lines.ts';
import { isWorked, withLabel, wordsOf } from './slate-row.ts';
import { StepsBack } from './steps-back.ts';
import { JobThings } from './things.ts';
import { UndoLog } from './undo-log.ts';

/** What changed in the open job on this device, behind the page. */
export interface Taken extends LocalJob {
  /** What was looked at; a line or thing among them that does not come with it is gone. */
  readonly ids: ReadonlySet<string>;
  /** Lines and things of which this page has a later state, which is not on this device yet. */
  readonly loose: ReadonlySet<string>;
}

/** How the open job reaches the device and the server. */
export interface WayOut extends Refresh {
  /** Writes a change down on this device, from where it is sent. */
  write(what: LocalWrite): void;
}

/** The job that is open: its lines and things, their results, and every change to them. Another job takes its place in it. */
export class OpenJob {
  readonly ground: Ground;
  readonly undoLog: UndoLog;
  readonly slate: SlateLines;
  readonly things: JobThings;
  readonly held: HeldEntries;
  readonly marks: Marks;
  readonly scales: Scales;
  readonly setOuts: SetOuts;
  readonly jigs: JobJigs;
  readonly lines: LineEdits;
  readonly conflicts: Conflicts;
  readonly refusals: Refusals;
  readonly marksApart: MarksApart;
  readonly steps: StepsBack;

  constructor(device: Device, holder: Holder, way: WayOut) {
    this.ground = new Ground(device, holder, (what) => {
      way.write(what);
    });
    const contentNow = (id: string) => this.slate.contentNow(id) ?? this.things.contentNow(id);
    const { memory } = device;
    const { ground } = this;
    this.undoLog = new UndoLog({ holder, memory, isReader: () => ground.isReader }, contentNow);
    this.things = new JobThings(ground, this.undoLog, (kind) => {
      if (kind === 'mark') this.slate.followMarks();
      if (kind === 'item') this.slate.followRows();
      if (kind === 'jig') this.slate.followJigs();
    });
    this.slate = new SlateLines(ground, this.things, () => {
      this.marks.follow();
    });
    this.held = new HeldEntries(this.slate, this.things);
    this.marks = new Marks(ground, this.slate);
    this.scales = new Scales(ground, this.slate, this.things);
    this.setOuts = new SetOuts(ground, this.slate, this.things);
    this.jigs = new JobJigs(ground, this.slate, this.things);
    this.conflicts = new Conflicts(ground, this.slate, (line) => {
      this.#addAgain(line);
    });
    this.refusals = new Refusals(ground, this.slate, way);
    this.lines = new LineEdits(this);
    this.marksApart = new MarksApart(this);
    this.steps = new StepsBack(this);
  }

  /** What the job says of itself; undefined while none is open. */
  get head(): JobHead | undefined {
    return this.ground.head;
  }
  get reading(): JobReading {
    return this.ground.reading;
  }
  /** How its sizes are written and read. */
  get style(): ReadingStyle {
    return this.ground.reading.style;
  }
  /** The job is only to be read here: what is worked out cannot be put on the slate. */
  get isReader(): boolean {
    return this.ground.isReader;
  }
  /** Something that could not be done: a sentence for the person. */
  get failure(): string | undefined {
    return this.ground.failure;
  }
  set failure(sentence: string | undefined) {
    this.ground.failure = sentence;
  }

  /** What a line says, on the slate as a new one. */
  #addAgain(line: LineWire): void {
    if (isWorked(line)) this.lines.land(withLabel(line.label, this.slate.shown(line.source)));
    else this.lines.landWords(line.kind === 'heading' ? 'heading' : 'note', wordsOf(line));
  }

  /** Ids of all that this page has of the job. */
  ids(): readonly string[] {
    return [...this.slate.ids(), ...this.things.ids()];
  }

  /** Shows a job as this device has it, in place of the one that was open. */
  show({ head, lines, things, waiting, conflicts, refusals, own }: LocalJob): void {
    const isSame = this.ground.jobId === head.id;
    this.ground.head = head;
    this.ground.open(waiting, own);
    this.things.open(things);
    this.scales.open();
    this.ground.device.memory.remember('job', head.id);
    if (!isSame) this.undoLog.open(head.id);
    this.slate.open(lines, head.nextNumber, isSame);
    this.conflicts.show(conflicts);
    this.refusals.show(refusals);
    this.marksApart.setApart();
  }

  /** Takes over what other devices, other pages of this one, and the server did. What this page has of a later state stays. */
  take({ head, lines, things, waiting, conflicts, refusals, own, ids, loose }: Taken): void {
    const settled = [...ids].filter((id) => !loose.has(id));
    this.ground.take(settled, waiting, own);
    const before = this.ground.head;
    this.ground.head = before && loose.has('job') ? { ...head, reading: before.reading } : head;
    this.slate.takeNextNumber(head.nextNumber);
    for (const [kind, list] of Object.entries(things))
      for (const thing of list) if (!loose.has(thing.id)) this.things.put({ kind, thing });
    if ((things['mark'] ?? []).length > 0) this.slate.followMarks();
    if ((things['item'] ?? []).length > 0) this.slate.followRows();
    if ((things['jig'] ?? []).length > 0) this.slate.followJigs();
    const there = new Set([...lines, ...allThings(things)].map(({ id }) => id));
    this.slate.together(() => {
      for (const line of lines) this.slate.take(line, loose.has(line.id));
      for (const id of settled) if (!there.has(id)) this.#forget(id);
    });
    this.conflicts.show(conflicts);
    this.refusals.show(refusals);
    this.marksApart.setApart();
  }

  /** What this device no longer has: the server never had it, and somebody saw to that. */
  #forget(id: string): void {
    this.things.forget(id);
    this.slate.forget(id);
  }

  /** A thing was changed elsewhere too, and stands twice. */
  showApart(thing: KeptThing): void {
    this.failure = this.things.changedElsewhere(thing);
  }

  dispose(): void {
    this.slate.dispose();
  }
}

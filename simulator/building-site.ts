import { jobFieldsOf, type JobFields, type LineWire } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { expect, vi } from 'vitest';
import type { KeptConflict } from '../web/src/adapters/local/local-store.ts';
import { sameWords } from '../web/src/adapters/local/settled.ts';
import { isWorked } from '../web/src/job/index.ts';
import { MarkStories } from '../web/src/job/mark-story.ts';
import { Random } from './random.ts';
import { SimDevice, type SimPage } from './sim-device.ts';
import { SimServer } from './sim-server.ts';

/** One thing that happens: what, on which page, and numbers that decide the rest of it. */
export interface Step {
  readonly what: keyof typeof DOINGS;
  readonly who: number;
  readonly pick: number;
  readonly size: number;
}

/** How often each thing happens, of a hundred or so. */
export const DOINGS = {
  land: 20,
  landOn: 8,
  landMark: 8,
  useMark: 6,
  words: 3,
  edit: 12,
  beginEdit: 4,
  endEdit: 6,
  note: 3,
  move: 6,
  remove: 5,
  undo: 7,
  rename: 3,
  choose: 4,
  addScale: 2,
  editScale: 3,
  removeScale: 1,
  reading: 2,
  title: 2,
  goOffline: 5,
  goOnline: 7,
  openPage: 4,
  kill: 4,
  fill: 2,
  makeRoom: 4,
  demote: 1,
  promote: 2,
  backUp: 3,
  restore: 1,
  wait: 14,
} as const;

const NAMES = ['rail', 'post', 'sill'];

/** Three people's devices and a reader's on one job, whatever happens to them. Each entry has words of its own as its label. */
export class BuildingSite {
  readonly server = new SimServer(uuidv7());
  readonly devices: readonly SimDevice[];
  readonly #random: Random;
  #written = 0;
  /** Words that somebody put others in place of, seeing them; and on which pages. */
  readonly #replaced = new Map<string, Set<SimPage>>();
  /** Words that went with a page that had said that they were on it alone. */
  readonly #wentWithPage = new Set<string>();
  readonly #all = new Set<string>();
  readonly #begun = new Map<SimPage, LineWire>();
  readonly story: string[] = [];

  constructor(seed: number) {
    this.#random = new Random(seed);
    this.devices = (['own', 'edit', 'edit', 'read'] as const).map(
      (role, nth) => new SimDevice('ABCR'[nth] as string, { role, server: this.server, random: this.#random }),
    );
  }

  async begin(): Promise<void> {
    for (const device of this.devices) await this.#opened(device.openPage());
    await this.pass(1000);
    for (const device of this.devices) device.isShaky = true;
  }

  async #opened(page: Promise<SimPage>): Promise<void> {
    const opened = new Set<SimPage>();
    void page.then((one) => opened.add(one));
    for (let tries = 0; opened.size === 0 && tries < 100; tries += 1) await this.pass(20);
  }

  /** Time goes by. */
  async pass(milliseconds: number): Promise<void> {
    await vi.advanceTimersByTimeAsync(milliseconds);
  }

  async do({ what, who, pick, size }: Step): Promise<void> {
    const pages = this.devices.slice(0, 3).flatMap((device) => device.pages);
    const page = pages[who % Math.max(pages.length, 1)];
    const device = page?.device ?? (this.devices[who % 3] as SimDevice);
    if (what === 'wait') return this.pass(pick * 10);
    if (what === 'goOffline' || what === 'goOnline') return this.#connect(device, what === 'goOnline');
    if (what === 'openPage') return device.pages.length < 2 ? this.#opened(device.openPage()) : undefined;
    if (what === 'fill' || what === 'makeRoom') {
      device.isFull = what === 'fill';
      return;
    }
    if (what === 'demote' || what === 'promote') {
      // The last of the three is let in to read only, and again to change.
      (this.devices[2] as SimDevice).role = what === 'demote' ? 'read' : 'edit';
      this.story.push(what);
      return;
    }
    if (what === 'backUp' || what === 'restore') {
      this.story.push(what);
      if (what === 'backUp') this.server.backUp();
      else this.server.restore();
      return;
    }
    if (page === undefined) return this.#opened(device.openPage());
    if (what === 'kill') return this.#kill(page, pick % 2 === 0);
    const now = Date.now();
    vi.setSystemTime(now + device.skew);
    this.#act(page, { what, pick, size });
    vi.setSystemTime(now);
    await this.pass(size % 7 === 0 ? 0 : size % 30);
  }

  /** What a person does on a page; what they saw and changed by it was replaced knowingly. */
  #act(page: SimPage, step: Pick<Step, 'what' | 'pick' | 'size'>): void {
    const { job } = page;
    if (!job.head) return;
    const before = new Map([...job.slate.all()].map((line) => [line.id, line]));
    const scales = job.scales.list;
    const said = this.#actOn(page, step);
    for (const { id, content } of scales) {
      const now = job.scales.list.find((one) => one.id === id);
      if (now?.content.name !== content.name) this.#replace(page, content.name);
    }
    for (const { id, content } of job.scales.list)
      if (scales.find((one) => one.id === id)?.content.name !== content.name)
        this.#replaced.get(content.name ?? '')?.delete(page);
    for (const [id, was] of before) {
      const now = job.slate.get(id) as LineWire;
      if (!was.deleted && (now.deleted || now.label !== was.label)) this.#replace(page, was.label);
    }
    for (const { id, label, deleted } of job.slate.all()) {
      const was = before.get(id);
      if (label !== null && !deleted && (was?.deleted !== false || was.label !== label))
        this.#replaced.get(label)?.delete(page);
    }
    const last = `w${this.#written}`;
    const shown = [...job.slate.all(), ...job.conflicts.list.map(({ kept }) => kept.mine)];
    if (shown.some(({ label }) => label === last) || job.scales.list.some(({ content }) => content.name === last))
      this.#all.add(last);
    this.story.push(`${page.device.name}${page.device.pages.indexOf(page)} ${step.what}: ${said}`);
  }

  #replace(page: SimPage, words: string | null): void {
    if (words !== null) this.#replaced.set(words, (this.#replaced.get(words) ?? new Set()).add(page));
  }

  #words(): string {
    this.#written += 1;
    return `w${this.#written}`;
  }

  #actOn(page: SimPage, { what, pick, size }: Pick<Step, 'what' | 'pick' | 'size'>): string {
    const { job } = page;
    const rows = job.slate.rows;
    const row = rows[pick % Math.max(rows.length, 1)];
    const numbered = job.slate.rows.filter((one) => one.kind === 'worked');
    const other = numbered[size % Math.max(numbered.length, 1)]?.line.number;
    const marks = job.marks.list;
    const mark = marks[pick % Math.max(marks.length, 1)]?.name;
    const entry = `${this.#words()}: ${size}"`;
    const land = (text: string) => {
      job.lines.land(text, size % 4 === 0 ? row?.line.id : undefined);
      return text;
    };
    switch (what) {
      case 'land':
        return land(entry);
      case 'landOn':
        return land(other === undefined ? entry : `${entry} + #${other}`);
      case 'landMark':
        return land(entry.replace(': ', `: ${NAMES[pick % NAMES.length]} = `));
      case 'useMark':
        return land(mark === undefined ? entry : `${entry} + ${mark}`);
      case 'words': {
        const words = this.#words();
        job.lines.landWords('heading', words, row?.line.id);
        return words;
      }
      case 'edit':
        if (row?.kind === 'worked') job.lines.edit(row.line.id, entry);
        return `${row?.line.number} ${row?.line.label} to ${entry}`;
      case 'beginEdit':
        if (row?.kind === 'worked') this.#begun.set(page, row.line);
        return String(row?.line.label);
      case 'endEdit': {
        const begun = this.#begun.get(page);
        this.#begun.delete(page);
        if (begun) job.lines.edit(begun.id, entry, begun);
        return `${begun?.label} to ${entry}`;
      }
      case 'note':
        if (row) job.lines.setNote(row.line.id, `note ${size}`);
        return String(row?.line.label);
      case 'move':
        if (row) job.lines.move(row.line.id, size % rows.length);
        return String(row?.line.label);
      case 'remove':
        if (row) job.lines.remove(row.line.id);
        return String(row?.line.label);
      case 'undo': {
        const says = job.steps.undoSays;
        job.steps.undo();
        return String(says);
      }
      case 'rename':
        if (mark !== undefined && page.job.head)
          new MarkStories(job).rename(mark, `${mark}${String.fromCharCode(97 + (size % 3))}`);
        return String(mark);
      case 'choose': {
        const conflict = job.conflicts.list[0];
        if (!conflict) return 'nothing';
        const keep = size % 2 === 0 ? 'mine' : 'theirs';
        job.conflicts.resolve(conflict, keep);
        if (keep === 'theirs') this.#replace(page, conflict.kept.mine.label);
        return `${keep} of ${conflict.kept.mine.label} and ${conflict.line.label}`;
      }
      case 'addScale': {
        const name = this.#words();
        job.scales.add({ kind: 'ratio', paper: '1', site: String(size), name });
        return name;
      }
      case 'editScale':
      case 'removeScale': {
        const scale = job.scales.list[pick % Math.max(job.scales.list.length, 1)];
        const name = this.#words();
        if (scale && what === 'removeScale') job.scales.remove(scale.id);
        else if (scale) job.scales.edit(scale.id, { ...scale.content, site: String(size), name });
        return `${scale?.content.name} to ${name}`;
      }
      case 'reading':
        job.reading.set({ finest: ([8, 16, 32] as const)[size % 3] as 8 });
        return '';
      case 'title': {
        const title = `Porch ${size}`;
        void page.jobs.set(job.head?.id ?? '', size % 3 === 0 ? { title, thousands: size % 2 === 0 } : { title });
        return title;
      }
      default:
        throw new Error(what);
    }
  }

  async #connect(device: SimDevice, isOnline: boolean): Promise<void> {
    this.story.push(`${device.name} ${isOnline ? 'online' : 'offline'}`);
    if (device.isOnline === isOnline) return;
    device.isOnline = isOnline;
    if (isOnline) window.dispatchEvent(new Event('online'));
    await this.pass(0);
  }

  async #kill(page: SimPage, isLeft: boolean): Promise<void> {
    const { device, job, jobs } = page;
    const how = isLeft ? 'left' : 'killed';
    this.story.push(`${device.name}${device.pages.indexOf(page)} ${how}, ${JSON.stringify(jobs.keepState)}`);
    const shown = [...job.slate.all()];
    const saidSo = jobs.keepState.kind === 'page' || jobs.keepState.kind === 'writing';
    device.kill(page, { isLeft });
    this.#begun.delete(page);
    // What was on its way is taken up by the next page.
    if (!saidSo || isLeft) return;
    const scales = job.scales.list.map(({ content }) => content.name);
    const standing = (lines: readonly LineWire[]) => lines.flatMap(({ label, deleted }) => (deleted ? [] : label));
    for (const label of [...standing(shown), ...scales]) if (label !== null) this.#wentWithPage.add(label);
  }

  /** Everybody comes back, and what is under way is done. */
  async end(): Promise<void> {
    for (const device of this.devices) {
      device.isOnline = true;
      device.isFull = false;
      device.isShaky = false;
      if (device.pages.length === 0) await this.#opened(device.openPage());
    }
    for (let times = 0; times < 4; times += 1) {
      window.dispatchEvent(new Event('online'));
      await this.pass(40_000);
    }
  }

  /** What has to hold once everybody is back. */
  async check(): Promise<void> {
    const { lines, scales } = this.server.read('own', -1);
    const theirs = byId(lines);
    const numbers = [...theirs.values()].flatMap(({ number }) => number ?? []);
    expect(new Set(numbers).size, 'numbers are given once').toBe(numbers.length);
    const somewhere = new Set<string | null | undefined>();
    for (const { label, deleted } of theirs.values()) if (!deleted) somewhere.add(label);
    for (const { name, deleted } of scales) if (!deleted) somewhere.add(name);
    for (const device of this.devices) {
      expect(await device.store.countWaiting(), `${device.name} waits`).toBe(0);
      const here = await device.store.open(this.server.jobId);
      expect(byId(here?.lines ?? []), `kept by ${device.name}`).toEqual(theirs);
      for (const { mine } of here?.conflicts ?? []) if (!mine.deleted) somewhere.add(mine.label);
      for (const { change } of here?.refusals ?? []) {
        if ('label' in change) somewhere.add(change.label);
        if (change.kind === 'line.restore') somewhere.add(theirs.get(change.lineId)?.label);
        if ('content' in change) somewhere.add(change.content['name'] as string | null);
      }
      expect([...(here?.things['scale'] ?? [])].sort(byAge), `scales kept by ${device.name}`).toEqual(
        [...scales].sort(byAge),
      );
      for (const [nth, page] of device.pages.entries()) {
        expect(page.jobs.keepState.kind, `${device.name}${nth}`).toBe('kept');
        expect(byId([...page.job.slate.all()]), `shown by ${device.name}${nth}`).toEqual(theirs);
        expect(saidBy(page.job.head), `said of the job by ${device.name}${nth}`).toEqual(
          saidBy(this.server.read(device.role, -1)),
        );
        expect(page.job.conflicts.list.map(({ kept }) => kept.id).sort(), 'all pages show all versions').toEqual(
          this.#shown(here?.conflicts ?? [], theirs),
        );
        expect(
          page.job.scales.list.map(({ content }) => content.name).sort(),
          `scales of ${device.name}${nth}`,
        ).toEqual(scales.flatMap(({ name, deleted }) => (deleted ? [] : name)).sort());
        const worked = page.job.slate.rows.filter((row) => row.kind === 'worked');
        expect(worked.map(({ line }) => line.number)).toEqual(
          page.job.slate.rows
            .map(({ line }) => line)
            .filter(isWorked)
            .map(({ number }) => number),
        );
      }
    }
    const lost = [...this.#all].filter(
      (words) => !somewhere.has(words) && !this.#replaced.get(words)?.size && !this.#wentWithPage.has(words),
    );
    expect(lost, 'nothing is lost').toEqual([]);
  }

  #shown(conflicts: readonly KeptConflict[], lines: ReadonlyMap<string, LineWire>): readonly string[] {
    return conflicts
      .filter(({ lineId, mine }) => !sameWords(mine, lines.get(lineId) ?? { ...mine, deleted: true }))
      .map(({ id }) => id)
      .sort();
  }
}

const byAge = (one: { readonly id: string }, other: { readonly id: string }) => (one.id < other.id ? -1 : 1);
const byId = (lines: readonly LineWire[]) =>
  new Map([...lines].sort((a, b) => (a.id < b.id ? -1 : 1)).map((line) => [line.id, line]));

/** What a job says of itself and how it reads, wherever it is asked. */
function saidBy(job: (JobFields & { readonly reading: unknown }) | undefined) {
  return job && { ...jobFieldsOf(job), reading: job.reading };
}

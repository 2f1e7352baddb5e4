import {
  DEFAULT_STYLE,
  fromStored,
  nameFromLabel,
  readScale,
  Session,
  Slate,
  solve,
  SOLVERS,
  type ScaleDefinition,
} from '@sprell/core';
import { CELLS, TakeOff, type CellName } from '@sprell/core/quantities';
import type { JobWire } from '@sprell/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestApp, type Guest, type TestApp } from '../../testing/test-app.ts';
import { DEMO_JOBS } from './demo-jobs.ts';

let test: TestApp;
let me: Guest;
beforeAll(async () => {
  test = await startTestApp({ demo: true });
  me = await test.guest();
});
afterAll(() => test.close());

interface Line {
  readonly id: string;
  readonly kind: string;
  readonly label: string | null;
  readonly number: number;
  readonly position: string;
  readonly source: string;
}

interface SetOut {
  readonly name: string;
  readonly shape: string;
  readonly fields: readonly string[];
  readonly entries: readonly string[];
}

interface Mark {
  readonly id: string;
  readonly name: string;
}

/** Stored entries as they are shown. */
function shownIn(lines: readonly Line[], marks: readonly Mark[]): (stored: string) => string {
  const numbers = new Map(lines.map(({ id, number }) => [id, number]));
  const names = new Map(marks.map(({ id, name }) => [id, name]));
  return (stored) => fromStored(stored, { lineNumber: (id) => numbers.get(id), markName: (id) => names.get(id) });
}

describe('the demo', () => {
  it('holds a slate of forty lines or more, every one of them reckoned', () => {
    expect(DEMO_JOBS[0]?.lines.length).toBeGreaterThanOrEqual(40);
    for (const { title, lines, length } of DEMO_JOBS) {
      const session = new Session({ ...DEFAULT_STYLE, length });
      for (const [label, source] of lines) expect(session.enter(source).issue, `${title}: ${label}`).toBeUndefined();
    }
  });

  it('is stored with references by id, and reads the same from there', async () => {
    const { body: jobs } = await me.browser.get('/api/jobs');
    const [bandstand] = jobs as { id: string; title: string; lines: number }[];
    const headings = Object.values(DEMO_JOBS[0]?.headings ?? {});
    expect(bandstand).toMatchObject({ title: 'Bandstand, Quill Park', lines: DEMO_JOBS[0]?.lines.length });
    const { body } = await me.browser.get(`/api/jobs/${bandstand?.id}`);
    const { lines: all, scales, marks } = body as { lines: Line[]; scales: ScaleDefinition[]; marks: Mark[] };
    expect(scales).toHaveLength(3);
    for (const scale of scales) expect(readScale(scale).ok).toBe(true);
    expect(all.filter(({ kind }) => kind === 'heading').map(({ label }) => label)).toEqual(headings);
    expect(all[0]?.kind).toBe('heading');
    const lines = all.filter(({ kind }) => kind === 'worked');
    expect(lines[1]?.source).toBe(`#{${lines[0]?.id}} * (sqrt(2) - 1)`);
    const shown = shownIn(lines, marks);
    expect(lines.some(({ source }) => source.startsWith(`@{${marks[0]?.id}} = `))).toBe(true);
    const slate = new Slate();
    slate.load(lines.map((line) => ({ ...line, source: shown(line.source) })));
    expect(slate.lines().filter(({ result }) => !result.ok)).toEqual([]);
    expect(slate.marks().length).toBeGreaterThanOrEqual(12);
  });

  it('sets out every shape that can be set out, over the lines and marks of its jobs', async () => {
    const shapes = new Set<string>();
    const { body: jobs } = await me.browser.get('/api/jobs');
    for (const [at, { id }] of (jobs as { id: string }[]).entries()) {
      const { body } = await me.browser.get(`/api/jobs/${id}`);
      const { lines, setOuts, marks } = body as { lines: Line[]; setOuts: SetOut[]; marks: Mark[] };
      expect(setOuts.map(({ name }) => name)).toEqual(
        DEMO_JOBS[at]?.things?.['setout']?.map((content) => content['name']),
      );
      const worked = lines.filter(({ kind }) => kind === 'worked');
      const shown = shownIn(worked, marks);
      const slate = new Slate();
      slate.load(worked.map((line) => ({ ...line, source: shown(line.source) })));
      for (const { name, shape, fields, entries } of setOuts) {
        shapes.add(shape);
        const solver = SOLVERS.find((one) => one.id === shape);
        const givens = fields.map((field, n) => [field, shown(entries[n] ?? '')] as const);
        const solved = solver && solve(solver, givens, { scope: slate.scope() });
        expect([solved?.wanted, solved?.impossible, solved?.issues], name).toEqual([[], undefined, {}]);
        expect(solved?.answers[0]?.figure, name).toBeDefined();
      }
    }
    expect([...shapes].sort()).toEqual(SOLVERS.map((solver) => solver.id).sort());
  });

  it('has a take-off of 25 rows or more in five sections, every row of it worked out at two prices', async () => {
    const { body: jobs } = await me.browser.get('/api/jobs');
    const { body } = await me.browser.get(`/api/jobs/${(jobs as { id: string }[])[0]?.id}`);
    const { lines, marks, sections, versions, taxes, items } = body as JobWire;
    const worked = lines.filter(({ kind }) => kind === 'worked') as unknown as Line[];
    const name = (item: { name: string }) => nameFromLabel(item.name) ?? '';
    const shown = shownIn(worked, [...marks, ...items.map((item) => ({ id: item.id, name: name(item) }))]);
    const slate = new Slate();
    slate.load(worked.map((line) => ({ ...line, source: shown(line.source) })));
    const list = new TakeOff(DEFAULT_STYLE, slate.scope());
    list.load(
      items.map(({ id, section, tax, leftOut, cutWhole, measure, per, versions: of, ...item }) => ({
        ...{ id, measure, per, name: name(item), versions: of, isLeftOut: leftOut, isCutWhole: cutWhole },
        section: section ?? undefined,
        tax: tax ?? undefined,
        cells: Object.fromEntries(CELLS.map((cell) => [cell, shown(item[cell])])) as Record<CellName, string>,
      })),
    );
    expect([items.length >= 25, sections.length, versions.length, taxes.length]).toEqual([true, 5, 2, 2]);
    expect(items.every(({ section }) => sections.some(({ id }) => id === section))).toBe(true);
    for (const row of list.rows()) {
      expect(row.issues, row.row.name).toEqual({});
      expect([row.price, row.other].every(Boolean), row.row.name).toBe(true);
    }
  });

  it('is given to every guest as its own', async () => {
    const other = await test.guest();
    const titles = async ({ browser }: Guest) =>
      ((await browser.get('/api/jobs')).body as { id: string; title: string }[]).map(({ id }) => id);
    const [mine, theirs] = [await titles(me), await titles(other)];
    expect([mine, theirs].map(({ length }) => length)).toEqual([DEMO_JOBS.length, DEMO_JOBS.length]);
    expect(mine.filter((id) => theirs.includes(id))).toEqual([]);
  });
});

import { KIND_WIRES } from '@sprell/contract';
import { readMoney, readRowQuantity } from '@sprell/core/quantities';
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { deviceHere } from '../adapters/device.ts';
import { FakeServer, newDevice } from '../testing/fake-server.ts';
import { Jobs } from './jobs.ts';
import type { OpenJob } from './open-job.ts';
import { Quantities } from './quantities.ts';

let server: FakeServer;
let job: OpenJob;
let list: Quantities;
beforeAll(() => import('../adapters/job-server.ts'));
beforeEach(async () => {
  vi.useFakeTimers();
  localStorage.clear();
  server = new FakeServer();
  newDevice();
  vi.stubGlobal('fetch', server.fetch);
  const jobs = new Jobs(deviceHere());
  await jobs.start();
  job = jobs.open;
  list = new Quantities(job);
});
afterEach(async () => {
  await vi.advanceTimersByTimeAsync(50);
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const row = (id: string) => list.rows.find((one) => one.id === id);
const quantity = (id: string) => {
  const worked = row(id)?.worked;
  return worked?.quantity && readRowQuantity(worked, worked.quantity).text;
};
const total = () => readMoney(list.totals({ price: 'price', version: undefined, roundedAt: 'row' }).all.cost).text;
const names = () => list.sections.map((section) => [section.name, section.rows.map(({ item }) => item.name)]);

describe('a cell', () => {
  it('takes marks, lines and other rows by what they are called, and keeps them when that changes', () => {
    job.lines.land(`rail = 10' 6"`);
    const rails = list.add({ name: 'Top rails', measure: 'run', count: '8', length: 'rail' });
    const screws = list.add({ name: 'Screws', measure: 'each', count: 'Top_rails / 1 ft * 2 + #1 / 1 ft' });
    expect([quantity(rails), quantity(screws)]).toEqual(['84′', '178.5']);
    expect(String(row(screws)?.item['count'])).toMatch(/^@\{[0-9a-f-]{36}\} \/ 1 ft/);

    list.write(rails, { name: 'Upper rails' });
    expect(row(screws)?.cells.count).toBe('Upper_rails / 1 ft * 2 + #1 / 1 ft');
    job.lines.edit(job.slate.rows[0]?.line.id ?? '', `rail = 12'`, undefined);
    expect([quantity(rails), quantity(screws)]).toEqual(['96′', '204']);
    list.writeCell(rails, 'count', '10');
    expect(quantity(screws)).toBe('252');
  });

  it('keeps the unit that was not typed, where a bare number is a size', () => {
    job.reading.bareHere = 'mm';
    const id = list.add({ name: 'Battens', measure: 'run', count: '12', length: '2400' });
    expect(row(id)?.cells).toMatchObject({ count: '12', length: '2400 mm' });
    list.writeCell(id, 'length', '1800');
    expect(row(id)?.cells.length).toBe('1800 mm');
    list.write(id, { measure: 'each' });
    list.writeCell(id, 'count', '7');
    expect(row(id)?.cells.count).toBe('7');
  });

  it('of a board takes nominal inches', () => {
    const id = list.add({ name: 'Joists', measure: 'board', count: '10', length: `12'`, width: '2x6' });
    expect(quantity(id)).toBe('120 bf');
  });

  it('that names its own row, or a row that names it, says so and keeps what was typed', () => {
    const one = list.add({ name: 'One', count: '3' });
    const two = list.add({ name: 'Two', count: 'One' });
    list.writeCell(one, 'count', 'Two + 1');
    expect(row(one)?.worked.issues.count?.code).toBe('row.circle');
    expect(row(one)?.cells.count).toBe('Two + 1');
    expect(list.usersOf(one)).toEqual(['Two']);
    list.writeCell(one, 'count', '4');
    expect([quantity(one), quantity(two)]).toEqual(['4', '4']);
  });

  it('gives way to a mark of the same name, and is still the row that was meant', () => {
    const post = list.add({ name: 'post', measure: 'run', count: '4', length: `9'` });
    const caps = list.add({ name: 'caps', count: 'post / 9 ft' });
    job.lines.land(`post = 3"`);
    expect(row(post)?.name).toBe('post_2');
    expect(row(caps)?.cells.count).toBe('post_2 / 9 ft');
    expect(quantity(caps)).toBe('4');
  });

  it('keeps the value of a line that is deleted', () => {
    job.lines.land(`10'`);
    const id = list.add({ name: 'Rails', measure: 'run', count: '2', length: '#1' });
    const line = job.slate.rows[0]?.line.id ?? '';
    expect(job.lines.usersOf(line)).toContain('the row Rails');
    job.lines.removeKeepingValue(line);
    expect(quantity(id)).toBe('20′');
  });
});

describe('the list', () => {
  it('has its rows by section, and moves them between sections as one step', () => {
    const [frame, roof] = [list.addSection('Frame'), list.addSection('Roof')];
    const [a, b, c] = ['Posts', 'Rails', 'Shingles'].map((name) =>
      list.add({ name, count: '1', section: name === 'Shingles' ? roof : frame }),
    ) as [string, string, string];
    expect(names()).toEqual([
      ['Frame', ['Posts', 'Rails']],
      ['Roof', ['Shingles']],
    ]);
    list.move([a, b], roof, c);
    expect(names()).toEqual([
      ['Frame', []],
      ['Roof', ['Posts', 'Rails', 'Shingles']],
    ]);
    list.move([c], frame, undefined);
    expect(names()).toEqual([
      ['Frame', ['Shingles']],
      ['Roof', ['Posts', 'Rails']],
    ]);
    job.steps.undo();
    job.steps.undo();
    expect(names()[0]).toEqual(['Frame', ['Posts', 'Rails']]);
    list.drop(frame);
    expect(names()).toEqual([
      ['', ['Posts', 'Rails']],
      ['Roof', ['Shingles']],
    ]);
    list.writeCell(a, 'price', '$5');
    const { sections } = list.totals({ price: 'price', version: undefined, roundedAt: 'row' });
    expect([...sections].map(([id, { cost }]) => [id, readMoney(cost).text])).toEqual([[undefined, '$5.00']]);
    job.steps.undo();
    job.steps.undo();
    expect(names()[0]).toEqual(['Frame', ['Posts', 'Rails']]);
  });

  it('takes a block in as one step, and gives it back as one', () => {
    const first = list.add({ name: 'First', count: '2', price: '$10' });
    list.add({ name: 'Last', count: '1', price: '$1' });
    const block = Array.from({ length: 200 }, (_, n) => ({ name: `Row ${n}`, count: '1', price: '$2' }));
    expect(list.addAll(block, first)).toHaveLength(200);
    expect(list.rows).toHaveLength(202);
    expect(list.rows[1]?.item.name).toBe('Row 0');
    expect(list.rows[201]?.item.name).toBe('Last');
    expect(total()).toBe('$421.00');
    expect(job.steps.undoSays).toBe('Remove 200 rows');
    job.steps.undo();
    expect(total()).toBe('$21.00');
    job.steps.redo();
    expect(total()).toBe('$421.00');
  });

  it('keeps of very long words what the server takes', () => {
    const long = 'oak \u0007'.repeat(600);
    list.addBlock([
      { name: long, measure: 'run', per: 'ft', section: long, supplier: long, note: long, length: `8'`, price: '$2' },
    ]);
    const [added] = list.rows;
    list.write(added?.id ?? '', { supplier: `${long}!` });
    list.writeCell(added?.id ?? '', 'count', '1+'.repeat(2000));
    const { id: _id, revision: _revision, deleted: _deleted, ...content } = list.rows[0]?.item ?? {};
    const wire = KIND_WIRES.find(({ name }) => name === 'item');
    expect(wire?.said.safeParse(content).error).toBeUndefined();
    expect(list.rows[0]?.item.name).toHaveLength(198);
    // Too long to be worked out: what is cut off is no other sum.
    expect(list.rows[0]?.cells.count.length).toBe(1000);
    expect(list.rows[0]?.worked.issues).toHaveProperty('count');
  });

  it('writes the same into several rows, as one step', () => {
    const ids = ['Posts', 'Beams'].map((name) => list.add({ name, measure: 'each', count: '2', price: '$5' }));
    expect(total()).toBe('$20.00');
    list.writeAll(ids, { leftOut: true });
    expect(total()).toBe('$0.00');
    job.steps.undo();
    expect(total()).toBe('$20.00');
  });

  it('duplicates and removes rows, each as one step', () => {
    const ids = ['A', 'B', 'C'].map((name) => list.add({ name, count: '1', price: '$5' }));
    const copies = list.duplicate(ids.slice(0, 2));
    expect(list.rows.map(({ item }) => item.name)).toEqual(['A', 'B', 'A', 'B', 'C']);
    list.remove([...copies, ids[2] ?? '']);
    expect(list.rows.map(({ item }) => item.name)).toEqual(['A', 'B']);
    job.steps.undo();
    expect(list.rows).toHaveLength(5);
    job.steps.undo();
    expect(list.rows).toHaveLength(3);
  });

  it('fills a cell down, with rows that it names following', () => {
    const [a, b, c] = ['A', 'B', 'C'].map((name) => list.add({ name, count: '8' })) as [string, string, string];
    list.writeCell(b, 'count', 'A / 2');
    list.fillDown(b, c, 'count');
    expect(row(c)?.cells.count).toBe('B / 2');
    expect([a, b, c].map(quantity)).toEqual(['8', '4', '2']);
    job.steps.undo();
    expect(quantity(c)).toBe('8');
  });

  it('inserts a row behind another', () => {
    const first = list.add({ name: 'First' });
    list.add({ name: 'Third' });
    list.add({ name: 'Second' }, first);
    expect(list.rows.map(({ item }) => item.name)).toEqual(['First', 'Second', 'Third']);
  });

  it('has taxes with rates as they are typed, and says where one is none', () => {
    list.addTax('sales tax', '8');
    list.addTax('nonsense', '3 kg');
    list.add({ name: 'Screws', count: '3', price: '$10' });
    expect(list.taxes.map(({ name, typed, tax }) => [name, typed, tax !== undefined])).toEqual([
      ['sales tax', '8', true],
      ['nonsense', '3 kg', false],
    ]);
    const { all } = list.totals({ price: 'price', version: undefined, roundedAt: 'row' });
    expect(readMoney(all.grand).text).toBe('$32.40');
  });

  it('is only looked at by somebody who may only read', () => {
    const id = list.add({ name: 'Screws', count: '3' });
    job.ground.head = { ...(job.head as NonNullable<OpenJob['head']>), role: 'read' };
    list.remove([id]);
    list.writeCell(id, 'count', '5');
    expect(quantity(id)).toBe('3');
    expect(job.failure).toBeDefined();
  });
});

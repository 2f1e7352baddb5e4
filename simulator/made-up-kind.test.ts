import { thingsOf, type Thing } from '@sprell/contract';
import { v7 as uuidv7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Random } from './random.ts';
import { SimDevice, type SimPage } from './sim-device.ts';
import { SimServer } from './sim-server.ts';

vi.mock('../contract/src/kinds/registry.ts', async (load) =>
  (await import('./made-up-kind.ts')).inRegistry(await load()),
);
vi.mock('../contract/src/kinds/wires.ts', async (load) => (await import('./made-up-kind.ts')).inWires(await load()));
vi.mock('../server/src/db/schema.ts', async (load) => (await import('./made-up-kind.ts')).inSchema(await load()));

const BOARD = { name: 'ash', length: `4' 2"`, count: 2, note: null };
const names = (things: readonly Thing[]) => things.map(({ name }) => name);

describe('a kind of thing that this version does not know', () => {
  let server: SimServer;
  const devices: SimDevice[] = [];
  beforeEach(() => {
    vi.useFakeTimers();
    localStorage.clear();
    server = new SimServer(uuidv7());
  });
  afterEach(() => {
    for (const device of devices.splice(0)) for (const page of [...device.pages]) device.kill(page);
    vi.useRealTimers();
  });
  async function pass(): Promise<void> {
    for (let n = 0; n < 2; n += 1) {
      await vi.advanceTimersByTimeAsync(7000);
      await vi.dynamicImportSettled();
    }
  }
  async function aPage(): Promise<{ device: SimDevice; page: SimPage }> {
    const device = new SimDevice(`D${devices.length}`, { role: 'own', server, random: new Random(devices.length) });
    devices.push(device);
    const opened = device.openPage();
    await pass();
    return { device, page: await opened };
  }
  const there = () => thingsOf(server.read('own', -1))['offcut'] ?? [];
  const standing = ({ page }: { page: SimPage }) => page.job.things.list('offcut');
  /** Two devices are away, and each does something; then both are back. */
  async function apart(one: SimDevice, other: SimDevice, ...work: readonly (() => void)[]): Promise<void> {
    for (const device of [one, other]) device.isOnline = false;
    for (const each of work) each();
    await pass();
    for (const device of [one, other]) {
      device.isOnline = true;
      window.dispatchEvent(new Event('online'));
      await pass();
    }
    await pass();
  }

  it('is added, edited, moved, deleted, and each step is undone and redone', async () => {
    const here = await aPage();
    const things = () => here.page.job.things;
    const ids = ['ash', 'oak', 'elm'].map((name) => things().add('offcut', { ...BOARD, name }));
    things().edit(ids[0] as string, { count: 5 });
    things().move(ids[2] as string, ids[0]);
    things().remove(ids[1] as string);
    await pass();
    expect(names(standing(here))).toEqual(['elm', 'ash']);
    expect(there().find(({ id }) => id === ids[0])).toMatchObject({ ...BOARD, count: 5, deleted: false });
    const after = [standing(here), there().map(({ revision: _, ...said }) => said)];
    for (let n = 0; n < 3; n += 1) here.page.job.steps.undo();
    await pass();
    expect(names(standing(here))).toEqual(['ash', 'oak', 'elm']);
    expect(standing(here).map(({ count }) => count)).toEqual([2, 2, 2]);
    expect(here.page.job.steps.undoSays).toBe('Remove the offcut elm');
    while (here.page.job.steps.canRedo) here.page.job.steps.redo();
    await pass();
    expect(standing(here).map(({ revision: _, ...said }) => said)).toEqual(
      (after[0] as Thing[]).map(({ revision: _, ...said }) => said),
    );
    expect(there().map(({ revision: _, ...said }) => said)).toEqual(after[1]);
    // Another device has it by itself.
    expect(standing(await aPage())).toEqual(standing(here));
  });

  it('is one with both changes where two devices changed different fields, and two where they changed the same', async () => {
    const [one, other] = [await aPage(), await aPage()];
    const id = one.page.job.things.add('offcut', BOARD);
    await pass();
    await apart(
      one.device,
      other.device,
      () => one.page.job.things.edit(id, { count: 3 }),
      () => other.page.job.things.edit(id, { note: 'by the door' }),
    );
    for (const device of [one, other]) expect(standing(device)).toMatchObject([{ count: 3, note: 'by the door' }]);
    await apart(
      one.device,
      other.device,
      () => one.page.job.things.edit(id, { count: 7 }),
      () => other.page.job.things.edit(id, { count: 9 }),
    );
    for (const device of [one, other])
      expect(
        standing(device)
          .map(({ count }) => count)
          .sort(),
      ).toEqual([7, 9]);
    expect(other.page.job.failure).toMatch(/^The offcut ash was changed elsewhere too\./);
  });

  it('is sent again where the server was put back from a backup without it', async () => {
    const here = await aPage();
    here.page.job.things.add('offcut', BOARD);
    await pass();
    server.backUp();
    here.page.job.things.add('offcut', { ...BOARD, name: 'oak' });
    await pass();
    server.restore();
    expect(names(there())).toEqual(['ash']);
    await pass();
    expect(names(there()).sort()).toEqual(['ash', 'oak']);
    expect(names(standing(here))).toEqual(['ash', 'oak']);
  });
});

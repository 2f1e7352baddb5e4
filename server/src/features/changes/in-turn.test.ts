import { describe, expect, it } from 'vitest';
import { InTurn } from './in-turn.ts';

describe('work in turn', () => {
  it('is done one after the other on one thing, and at once on others', async () => {
    const turns = new InTurn();
    const said: string[] = [];
    const work = (name: string, milliseconds: number) => async () => {
      said.push(`${name} begins`);
      await new Promise((resolve) => setTimeout(resolve, milliseconds));
      said.push(`${name} ends`);
      return name;
    };
    const done = await Promise.all([
      turns.do('a', work('first', 20)),
      turns.do('a', work('second', 1)),
      turns.do('b', work('other', 1)),
    ]);
    expect(done).toEqual(['first', 'second', 'other']);
    expect(turns.busy).toBe(0);
    expect(said.slice(0, 2)).toEqual(['first begins', 'other begins']);
    expect(said.indexOf('second begins')).toBeGreaterThan(said.indexOf('first ends'));
  });

  it('goes on behind what failed', async () => {
    const turns = new InTurn();
    const failed = turns.do('a', () => Promise.reject(new Error('spilt')));
    const next = turns.do('a', () => Promise.resolve('done'));
    await expect(failed).rejects.toThrow('spilt');
    expect(await next).toBe('done');
    await Promise.resolve();
    // Nothing is held of what is done.
    expect(turns.busy).toBe(0);
  });
});

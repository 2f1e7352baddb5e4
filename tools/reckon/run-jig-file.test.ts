import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { jigFileOf } from '@sprell/contract';
import { SHIPPED_JIGS, type Jig } from '@sprell/core/jig';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const COMMAND = fileURLToPath(new URL('../../bin/reckon', import.meta.url));
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'sprell-jig-'));
});
afterAll(() => {
  rmSync(folder, { recursive: true });
});

const [decking] = SHIPPED_JIGS as readonly [Jig, ...Jig[]];
function file(jig: Jig | string): string {
  const path = join(folder, 'jig.json');
  writeFileSync(path, typeof jig === 'string' ? jig : jigFileOf({ jig, uses: [] }));
  return path;
}
function run(...args: readonly string[]) {
  const { stdout, stderr, status } = spawnSync(COMMAND, args, { encoding: 'utf8' });
  return { stdout, stderr, status };
}

describe('bin/reckon --jig', () => {
  it('prints the answers of a jig, with its inputs by name and the usual values of the others', () => {
    expect(run('--jig', file(decking), `width=14'`, 'board=5 1/2"')).toEqual({
      stdout:
        'Boards = 30\nLast board, ripped to = 4 7⁄8″\nGap that needs no ripping = 5⁄16″\nBoards in all, end to end = 480′\n',
      stderr: '',
      status: 0,
    });
  });

  it('prints every step as JSON', () => {
    const { stdout, status } = run('--json', '--jig', file(decking), `width=12'`);
    const report = JSON.parse(stdout) as { readonly steps: readonly Record<string, unknown>[] };
    expect(status).toBe(0);
    expect(report).toMatchObject({
      jig: decking.title,
      version: 1,
      inputs: { width: `12'`, board: `5 1/2"`, gap: `1/8"`, run: `16'` },
      checks: { count: decking.checks.length, failing: [] },
      error: null,
    });
    expect(report.steps[0]).toEqual({
      name: 'boards',
      title: 'Boards',
      answer: true,
      readBack: 'up((width + gap) ÷ (board + gap))',
      figures: 'up((12′ + 1⁄8″) ÷ (5 1⁄2″ + 1⁄8″))',
      repeats: null,
      reading: '26',
      plain: ['26'],
    });
  });

  it.each<[string, () => string, readonly string[], number, RegExp]>([
    ['no file', () => join(folder, 'none.json'), [], 2, /^There is no file/],
    ['no JSON', () => file('{'), [], 2, /no jig file/],
    [
      'a newer format',
      () => file(jigFileOf({ jig: decking, uses: [] }).replace('"format":1', '"format":9')),
      [],
      2,
      /newer Sprell.*at format/,
    ],
    [
      'an input that it has not',
      () => file(decking),
      ['bord=3"'],
      2,
      /takes no “bord”; was board meant\? It takes width, board, gap, run\./,
    ],
    ['no input at all', () => file(decking), ['3"'], 2, /given as name=entry/],
    ['an entry that cannot be worked out', () => file(decking), ['board=3" 4"'], 1, /^board: “3"”/],
    ['a value of another kind', () => file(decking), ['board=3 kg'], 1, /“board” is a length and was given a mass/],
    ['a value out of its limits', () => file(decking), ['board=1/4"'], 1, /“board” is 1\/2" at least/],
    [
      'a step that cannot be worked out',
      () =>
        file({
          ...decking,
          checks: [],
          steps: decking.steps.map((step) => ({ ...step, entry: 'board / (gap - gap)' })),
        }),
      [],
      1,
      /stops at step 1, “Boards”\. This divides by zero/,
    ],
    [
      'a jig that names a mark',
      () => file({ ...decking, steps: [{ ...(decking.steps[0] as Jig['steps'][number]), entry: 'rail * 2' }] }),
      [],
      1,
      /step 1: “rail” is no input/,
    ],
    [
      'a check that does not hold',
      () =>
        file({ ...decking, checks: [{ title: 'too many', inputs: [], answer: 'boards', comesTo: '99', within: '' }] }),
      [],
      1,
      /The check “too many” does not hold/,
    ],
  ])('answers %s plainly', (_what, path, args, status, sentence) => {
    const answer = run('--jig', path(), ...args);
    expect(answer.status).toBe(status);
    expect(answer.stderr).toMatch(sentence);
    expect(answer.stderr).not.toMatch(/ at .*:\d+:\d+/);
  });
});

import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

const COMMAND = fileURLToPath(new URL('../../bin/reckon', import.meta.url));
const DEMO = fileURLToPath(new URL('../../server/src/testing/earlier/job-files/format-1.json', import.meta.url));
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'sprell-job-'));
});
afterAll(() => {
  rmSync(folder, { recursive: true });
});
function file(change: (text: string) => string): string {
  const path = join(folder, 'job.json');
  writeFileSync(path, change(readFileSync(DEMO, 'utf8')));
  return path;
}
function run(...args: readonly string[]) {
  const { stdout, stderr, status } = spawnSync(COMMAND, args, { encoding: 'utf8' });
  return { stdout, stderr, status };
}

describe('bin/reckon --job', () => {
  it('prints the slate of a job file, recalculated', () => {
    const { stdout, stderr, status } = run('--job', DEMO);
    expect([stderr, status]).toEqual(['', 0]);
    const lines = stdout.split('\n');
    expect(lines.slice(1, 5)).toEqual([
      'Plan',
      '#1 across the flats: 27′ = 27′',
      '    Taped twice, plate to plate',
      '#2 side of the octagon: #1 × (√2 − 1) = 11′ 2 3⁄16″',
    ]);
    expect(lines).toContain('#9 eight posts: 8 × post to ft = 78.7756 ft');
    expect(
      run(
        '--job',
        file((text) => text.replace(`27'`, `26' 4\\"`)),
      ).stdout,
    ).toContain('= 10′ 10 7⁄8″');
  });

  it('prints an object a line, errors among them', () => {
    const { stdout, status } = run(
      '--json',
      '--job',
      file((text) => text.replace('"entry": "8 * #{2}"', '"entry": "8 kg + #{2}"')),
    );
    expect(status).toBe(1);
    const all = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(all[0]).toEqual({ kind: 'heading', label: 'Plan', note: '' });
    expect(all[1]).toEqual({
      ...{ kind: 'worked', number: 1, label: 'across the flats', note: 'Taped twice, plate to plate' },
      ...{ entry: `27'`, readBack: '27′', reading: '27′', plain: `27'`, error: null },
    });
    expect(all.find(({ number }) => number === 4)).toMatchObject({ reading: null, error: { code: 'kind.add' } });
  });

  it('says why a file is none, and where', () => {
    expect(run('--job', join(folder, 'none.json')).status).toBe(2);
    const { stderr, status } = run(
      '--job',
      file((text) => text.replace('"number": 2,', '"number": "2",')),
    );
    expect([stderr, status]).toEqual([
      'Here stands something else than a value of the type number. In the file at slate.2.number.\n',
      2,
    ]);
    expect(run('--job').stderr).toContain('--job takes a job file');
  });
});

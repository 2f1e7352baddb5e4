import { mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';

interface Tool {
  fingerprint(paths: readonly string[]): string;
  buildIfChanged(
    stamp: string,
    inputs: readonly string[],
    output: string,
    build: () => Promise<void>,
  ): Promise<boolean>;
}

let folder: string;
let tool: Tool;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sprell-print-'));
  tool = (await import(new URL('./fingerprint.mjs', import.meta.url).href)) as Tool;
  mkdirSync(join(folder, 'src'));
  writeFileSync(join(folder, 'src', 'a.ts'), 'one');
});
afterEach(() => rmSync(folder, { recursive: true }));

const source = (name: string) => join(folder, 'src', name);

describe('the fingerprint of a build', () => {
  it('changes with every file, and not with what a build itself leaves', () => {
    const before = tool.fingerprint([join(folder, 'src')]);
    mkdirSync(source('node_modules'));
    writeFileSync(join(source('node_modules'), 'x.js'), 'x');
    writeFileSync(source('components.d.ts'), 'made');
    expect(tool.fingerprint([join(folder, 'src')])).toBe(before);
    writeFileSync(source('b.ts'), 'two');
    const added = tool.fingerprint([join(folder, 'src')]);
    expect(added).not.toBe(before);
    utimesSync(source('b.ts'), 1, 1);
    expect(tool.fingerprint([join(folder, 'src')])).not.toBe(added);
  });

  it('builds once for the same inputs, again when one changes or the output is gone', async () => {
    const output = join(folder, 'out.js');
    const build = vi.fn(() => {
      writeFileSync(output, 'built');
      return Promise.resolve();
    });
    const make = () => tool.buildIfChanged(join(folder, 'stamp'), [join(folder, 'src')], output, build);
    expect([await make(), await make()]).toEqual([true, false]);
    writeFileSync(source('a.ts'), 'another');
    expect([await make(), await make()]).toEqual([true, false]);
    rmSync(output);
    expect(await make()).toBe(true);
    expect(build).toHaveBeenCalledTimes(3);
  });

  it('does not count a build that failed', async () => {
    const output = join(folder, 'out.js');
    const make = (build: () => Promise<void>) =>
      tool.buildIfChanged(join(folder, 'stamp'), [join(folder, 'src')], output, build);
    await expect(make(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect(await make(() => Promise.resolve(writeFileSync(output, '')))).toBe(true);
  });
});

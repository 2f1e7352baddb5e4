import { gzipSync } from 'node:zlib';
import { expect, inject, it } from 'vitest';

/** Bytes of script, gzipped, that a page names itself and a phone waits for; everything else comes behind it. */
const MOST = 200_000;

it('the first screen asks for less script than a slow network brings in time', async () => {
  const address = inject('address');
  const page = await (await fetch(address)).text();
  const scripts = [...new Set([...page.matchAll(/(?:src|href)="([^"]+\.js)"/g)].map(([, path]) => path as string))];
  expect(scripts.length).toBeGreaterThan(0);
  let size = 0;
  for (const path of scripts) {
    const answer = await fetch(new URL(path, address));
    expect(answer.ok).toBe(true);
    size += gzipSync(Buffer.from(await answer.arrayBuffer()), { level: 9 }).length;
  }
  expect(size).toBeLessThan(MOST);
});

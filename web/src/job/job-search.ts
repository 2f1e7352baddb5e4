import { allThings, type LineWire } from '@sprell/contract';
import type { ReadingStyle, SlateLine } from '@sprell/core';
import type { Device } from '../adapters/device.ts';
import { heavyWork, HeavyWorkCancelled, type HeavyWork } from '../adapters/heavy-work.ts';
import type { JobHead, LocalJob } from '../adapters/local/local-store.ts';
import { readingOf, shownIn } from './closed-job.ts';
import type { SizeFinder } from './find-sizes.ts';
import { isWorked, readBackOf, withLabel, wordsOf } from './slate-row.ts';

/** Lines of one job that are shown; more than that, and the job itself is what was looked for. */
const MOST = 3;

/** Finds jobs by what stands in them: as this device has them, with no signal too. */
export class JobSearch {
  readonly #device: Device;
  readonly #thread: HeavyWork<SizeFinder>;

  constructor(
    device: Device,
    thread = heavyWork<SizeFinder>(() => new Worker(new URL('./find-worker.ts', import.meta.url), { type: 'module' })),
  ) {
    this.#device = device;
    this.#thread = thread;
  }

  /**
   * @param words as somebody writes them: part of a title, tag, label, note or name, or a size, however it is written
   * @returns for each job that has them, the lines and names where they stand; none where the title or a tag has them
   */
  async find(
    jobs: readonly JobHead[],
    words: string,
    signal: AbortSignal,
  ): Promise<ReadonlyMap<string, readonly string[]>> {
    const found = new Map<string, readonly string[]>();
    const low = words.trim().toLowerCase();
    const store = await this.#device.store();
    for (const job of jobs) {
      if (signal.aborted) return found;
      if ([job.title, ...job.tags].some((text) => text.toLowerCase().includes(low))) found.set(job.id, []);
      else {
        const here = await store.open(job.id);
        const lines = here ? await this.#linesOf(here, words, signal) : [];
        if (lines.length > 0) found.set(job.id, lines);
      }
    }
    return found;
  }

  dispose(): void {
    this.#thread.dispose();
  }

  async #linesOf(here: LocalJob, words: string, signal: AbortSignal): Promise<readonly string[]> {
    const low = words.trim().toLowerCase();
    const names = allThings(here.things).flatMap((thing) => {
      const name = thing.deleted ? undefined : (thing as { readonly name?: unknown }).name;
      return typeof name === 'string' && name.toLowerCase().includes(low) ? [name] : [];
    });
    const reading = readingOf(here);
    const { style } = reading;
    const asShown = shownIn(here, reading);
    const shown = here.lines
      .filter(({ deleted }) => !deleted)
      .sort((a, b) => (a.position < b.position ? -1 : 1))
      .map((line) => ({ line, source: asShown(line.source) }));
    const said = shown.flatMap(({ line, source }) =>
      [line.label ?? '', line.note].some((text) => text.toLowerCase().includes(low))
        ? [shownAs(line, source, style)]
        : [],
    );
    if (names.length + said.length >= MOST || !/\d/.test(low)) return [...names, ...said].slice(0, MOST);
    const worked = shown.flatMap(({ line, source }): SlateLine[] =>
      line.number === null ? [] : [{ id: line.id, number: line.number, position: line.position, source }],
    );
    const ids = await this.#thread
      .ask((finder) => finder.find(worked, words, style, MOST), { signal })
      .catch((error: unknown): readonly string[] => {
        if (error instanceof HeavyWorkCancelled) return [];
        throw error;
      });
    const sizes = shown.filter(({ line }) => ids.includes(line.id));
    return [...names, ...said, ...sizes.map(({ line, source }) => shownAs(line, source, style))].slice(0, MOST);
  }
}

const shownAs = (line: LineWire, source: string, style: ReadingStyle): string =>
  isWorked(line) ? readBackOf(withLabel(line.label, source), style) : wordsOf(line);

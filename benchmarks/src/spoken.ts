/**
 * How well and how fast are phrases understood? Each phrase of the table as it is, and 300 of them with words misheard at
 * random: how often the right entry comes first or second.
 */
import { performance } from 'node:perf_hooks';
import { DEFAULT_STYLE, describeIssue } from '../../core/src/index.ts';
import { SlateDesk } from '../../core/src/conversation/index.ts';
import { CONFUSIONS } from '../../core/src/spoken/heard/confusions.ts';
import { asEntries, heardEntry, rankHeard } from '../../core/src/spoken/heard/index.ts';
import { SAID_LINES, SAID_MARKS, SAID_PHRASES } from '../../core/src/spoken/heard/said-phrases.ts';

const MISHEARD = 300;
const names = Object.keys(SAID_MARKS);
const marks = Object.entries(SAID_MARKS).map(([name, size]) => `${name} = ${size}`);
const desk = new SlateDesk(DEFAULT_STYLE, describeIssue);
for (const entry of [...SAID_LINES, ...marks, ...SAID_LINES.slice(-1)]) desk.put(entry, { to: 'slate' });
const makesSense = ({ entry }: { readonly entry: string }) => desk.works(entry);

/** A number from 0 to 1 that is the same in every run. */
function* seeded(seed: number): Generator<number, never> {
  for (let state = seed; ;) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    yield state / 2 ** 32;
  }
}
const random = seeded(12);
const pick = <One>(all: readonly One[]): One => all[Math.floor(random.next().value * all.length)] as One;

const phrases = Object.values(SAID_PHRASES).flat();
/** A phrase with one or two of its words as a recogniser could have them. */
function misheard(phrase: string): string {
  let words = ` ${phrase} `;
  for (let times = random.next().value < 0.3 ? 2 : 1; times > 0; times -= 1) {
    const fitting = CONFUSIONS.filter(([, said]) => words.includes(` ${said} `));
    if (fitting.length === 0) return words.trim();
    const [heard, said] = pick(fitting);
    words = words.replace(` ${said} `, ` ${heard} `);
  }
  return words.trim();
}

const tried = Array.from({ length: MISHEARD }, () => {
  let [phrase, entry] = pick(phrases);
  let text = misheard(phrase);
  // Some phrases have no word that is confused.
  while (text === phrase) {
    [phrase, entry] = pick(phrases);
    text = misheard(phrase);
  }
  const start = performance.now();
  const ranked = rankHeard([{ text }], { read: asEntries(names), makesSense });
  return { phrase, text, entry, ranked, took: performance.now() - start };
});
const place = ({ ranked, entry }: (typeof tried)[number]) => ranked.findIndex((one) => one.entry === entry);
const within = (most: number) => tried.filter((one) => place(one) >= 0 && place(one) < most).length;
const share = (count: number) => `${((100 * count) / MISHEARD).toFixed(1)} %`;
console.log(`${MISHEARD} misheard phrases: right first ${share(within(1))}, first or second ${share(within(2))}`);
if (process.argv.includes('--missed'))
  for (const one of tried.filter((each) => place(each) < 0 || place(each) > 1))
    console.log(
      `  ${one.text}  (${one.phrase}): ${one.ranked
        .slice(0, 3)
        .map(({ entry }) => entry)
        .join(' | ')}`,
    );

const times = Array.from({ length: 40 }, () => phrases)
  .flat()
  .map(([phrase]) => {
    const start = performance.now();
    heardEntry(phrase, names);
    return performance.now() - start;
  })
  .sort((a, b) => a - b);
const at = (sorted: readonly number[], part: number) => (sorted[Math.floor(sorted.length * part)] ?? NaN).toFixed(3);
console.log(`words to an entry: half within ${at(times, 0.5)} ms, 95 % within ${at(times, 0.95)} ms`);
const ranking = tried.map(({ took }) => took).sort((a, b) => a - b);
console.log(`ways to take one phrase, ranked: half within ${at(ranking, 0.5)} ms, 95 % within ${at(ranking, 0.95)} ms`);

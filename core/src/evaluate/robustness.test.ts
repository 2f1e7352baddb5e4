import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { scan, tokensOf } from '../notation/scanner.ts';
import { bindLast } from '../slate/bind-last.ts';
import { fromStored, toStored } from '../slate/stored-references.ts';
import { entryText, looseText } from '../testing/arbitrary-entry.ts';
import { reckon } from './reckon.ts';
import { Session } from '../session/session.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';

/** Whatever is typed, the answer is a reading or an issue with a place in the text and a sentence; what was typed stays. */
function expectAnswer(source: string): void {
  const reckoned = reckon(source);
  expect(reckoned.parsed.source).toBe(source);
  const { issue, outcome } = reckoned;
  if (issue === undefined) {
    expect(outcome).toBeDefined();
    if (outcome?.kind === 'quantity') expect(reckoned.reading?.text).not.toMatch(/NaN|Infinity|undefined/);
    return;
  }
  expect(issue.start).toBeGreaterThanOrEqual(0);
  expect(issue.start).toBeLessThanOrEqual(issue.end);
  expect(issue.end).toBeLessThanOrEqual(source.length);
  expect(describeIssue(issue)).toMatch(/\.$/);
}

describe('any text at all', () => {
  it('made of bytes, of loose pieces, or of entries, is answered', () => {
    fc.assert(fc.property(fc.string({ unit: 'binary', maxLength: 80 }), expectAnswer), { numRuns: 4000 });
    fc.assert(fc.property(looseText, expectAnswer), { numRuns: 6000 });
    fc.assert(fc.property(entryText, expectAnswer), { numRuns: 3000 });
  });

  it('is cut into tokens that lose no character but white space', () => {
    fc.assert(
      fc.property(fc.oneof(looseText, fc.string({ unit: 'binary' })), (source) => {
        let done = 0;
        for (const { start, end } of tokensOf(scan(source))) {
          expect(start).toBeGreaterThanOrEqual(done);
          expect(source.slice(done, start)).toMatch(/^[\s\p{C}\u2000-\u206f\u1680\u3000\u00ad]*$/u);
          done = end;
        }
        expect(done).toBe(source.length);
      }),
      { numRuns: 3000 },
    );
  });

  it('goes through the forms that are stored and comes back', () => {
    fc.assert(
      fc.property(looseText, (source) => {
        fc.pre(!source.includes('{'));
        const names: string[] = [];
        const idOf = (number: number) => `01900000-0000-7000-8000-${`${number}`.padStart(12, '0')}`;
        const stored = toStored(source, {
          lineId: (number) => (number < 40 ? idOf(number) : undefined),
          markId: (name) => idOf(names.push(name) - 1),
        });
        const nth = (id: string) => Number(id.slice(-12));
        const shown = fromStored(stored, { lineNumber: nth, markName: (id) => names[nth(id)] });
        expect(shown.replaceAll(/#0+(?=\d)/g, '#')).toBe(source.replaceAll(/#0+(?=\d)/g, '#'));
        expect(reckon(shown).readBack).toBe(reckon(source).readBack);
        expect(bindLast(source, 3)).not.toMatch(/undefined/);
      }),
    );
  });
});

describe('hostile input', () => {
  const bytes = Array.from({ length: 4096 }, (_, n) => String.fromCharCode((n * 7919) % 65536)).join('');
  it.each([
    ['ten megabytes of bytes', bytes.repeat(2560)],
    ['a hundred thousand brackets', '('.repeat(100_000)],
    ['a hundred thousand closed brackets', `${'('.repeat(50_000)}5${')'.repeat(50_000)}`],
    ['a megabyte of digits', '9'.repeat(1_000_000)],
    ['a tower of powers', '9^9^9^9'],
    ['powers of powers', '(((9^64)^64)^64)^64'],
    ['products of powers', '9^64 * 9^64 * 9^64 * 9^64'.repeat(12).replaceAll('649', '64 * 9')],
    ['an exponent without end', '1e999999999999999999'],
    ['a tiny exponent', '1e-999999999999'],
    ['five hundred digits', '7'.repeat(500)],
    ['five hundred minus signs', '-'.repeat(500)],
    ['hundreds of roots', '√'.repeat(400) + '2'],
    ['nested functions', `${'sqrt('.repeat(90)}2`],
    ['hundreds of percents', `1${' + 1%'.repeat(80)}`],
    ['a chain of divisions by primes', Array.from({ length: 70 }, (_, n) => `1/${n * n + n + 41}`).join(' + ')],
    ['a sum of many roots', Array.from({ length: 40 }, (_, n) => `√${n + 2}`).join(' + ')],
    ['a product of many roots', Array.from({ length: 40 }, (_, n) => `(1 + √${n + 2})`).join('*')],
    ['a root of a large number', 'sqrt(1000000000000000000000000000057)'],
    ['a large angle', 'sin(1e300)'],
    ['a line number without end', `#${'7'.repeat(40)} + #${'8'.repeat(20)}`],
    ['a tower through exp', 'exp(exp(exp(10)))'],
  ])('%s is answered', (_, source) => {
    expectAnswer(source);
  });

  it('every space and every digit that Unicode has', () => {
    for (let code = 0; code < 0x10000; code += 1) {
      const character = String.fromCharCode(code);
      if (/\p{Nd}|\p{Zs}|\p{Cf}|\p{No}/u.test(character))
        for (const entry of [character, `5${character}3`, `5'${character}`]) expectAnswer(entry);
    }
  });

  it('a line number past all lines reads back as an entry', () => {
    const { readBack, issue } = reckon(`#${'7'.repeat(40)} + 1`);
    expect([reckon(readBack ?? '').readBack, issue?.code]).toEqual([readBack, 'line.unknown']);
  });

  it('a session goes on after errors, and its lines keep their numbers', () => {
    const session = new Session(DEFAULT_STYLE);
    for (const entry of ['5', '((', '1 / 0', '#1 * 2']) session.enter(entry);
    expect(session.enter('#4 + #1').reading?.text).toBe('15');
    expect(session.enter('#2').issue?.code).toBe('line.failed');
  });
});

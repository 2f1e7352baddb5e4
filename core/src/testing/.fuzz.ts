import fc from 'fast-check';
import { parse } from '../notation/parser.ts';
import { printEntry } from '../notation/printer.ts';
import { evaluate } from '../evaluate/evaluate.ts';
import { sameResult } from '../slate/recalculate.ts';
import { entryText, looseText } from './arbitrary-entry.ts';
import { quantityIn } from '../units/quantity.ts';
import { unitById } from '../units/unit-table.ts';
import { makeRational } from '../number/rational.ts';
const rail: any = { ok: true, quantity: quantityIn(makeRational(50), unitById('in')) };
const SCOPE: any = {
  mark: (n: string) => (n === 'rail' ? rail : undefined),
  line: () => rail,
  run: () => [rail],
  last: () => rail,
  names: () => ['rail'],
};
function res(s: string): any {
  const { entry } = parse(s);
  if (!entry) return undefined;
  const r: any = evaluate(entry, s, SCOPE);
  return r.ok ? { ok: true, outcome: r.value } : { ok: false, issue: { ...r.issue, start: 0, fields: {} } };
}
const fails: string[] = [];
let read = 0,
  total = 0,
  refused = 0;
const codes: Record<string, number> = {};
for (const src of [...fc.sample(entryText, 20000), ...fc.sample(looseText, 40000)]) {
  total++;
  const { entry, issues } = parse(src);
  if (!entry || issues.length) continue;
  read++;
  const p = printEntry(entry);
  if (p.length > 500) continue;
  const a = parse(p);
  let why = '';
  if (a.issues.length) why = a.issues[0]!.code;
  else if (printEntry(a.entry!) !== p) why = 'text ' + printEntry(a.entry!);
  else {
    const x = res(src),
      y = res(p);
    if (!x.ok) {
      refused++;
      codes[x.issue.code] = (codes[x.issue.code] ?? 0) + 1;
    }
    if (!sameResult(x, y)) why = 'value ' + JSON.stringify([x.ok ? 'ok' : x.issue.code, y.ok ? 'ok' : y.issue.code]);
  }
  if (why) fails.push(`${src}  →  ${p}   !! ${why}`);
}
console.log({ total, read, refused, fails: fails.length }, codes);
fails.sort((a, b) => a.length - b.length);
for (const f of fails.slice(0, 25)) console.log(f);

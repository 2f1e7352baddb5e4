
import { parse } from '../../core/src/notation/parser.ts';
import { evaluate } from '../../core/src/evaluate/evaluate.ts';
import { readQuantity } from '../../core/src/reading/read-quantity.ts';
import { SITE_ENTRIES } from './site-entries.ts';
import { floorReading } from './floor.ts';
const es = SITE_ENTRIES.map(e => e.entry); let n = 0;
const K = 30000;
function full() { for (let k = 0; k < K; k++) for (const e of es) { const p = parse(e); const r: any = evaluate(p.entry!, e); n += readQuantity(r.value.quantity).text.length; } }
function pars() { for (let k = 0; k < K; k++) for (const e of es) { n += parse(e).source.length; } }
function flo() { for (let k = 0; k < K; k++) for (const e of es) { n += floorReading(e).length; } }
for (let r = 0; r < 4; r++) { const out: string[] = []; for (const f of [full, pars, flo]) { const t = performance.now(); f(); out.push(f.name + ' ' + ((performance.now() - t) * 1e6 / K / 16).toFixed(0) + 'ns'); } console.log(out.join('  ')); }
console.log(n > 0);

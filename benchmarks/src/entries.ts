/** How fast is an entry, from its text to its reading in sixteenths? Against a floor, and against mathjs. */
import { all, create, type FactoryFunctionMap, type Unit } from 'mathjs';
import { reckon } from '../../core/src/index.ts';
import { parse } from '../../core/src/notation/parser.ts';
import { evaluate } from '../../core/src/evaluate/evaluate.ts';
import { readQuantity } from '../../core/src/reading/read-quantity.ts';
import { scan } from '../../core/src/notation/scanner.ts';
import { compare, print } from './compare.ts';
import { floorReading } from './floor.ts';
import { SITE_ENTRIES } from './site-entries.ts';

const numbers = create(all as FactoryFunctionMap);
const fractions = create(all as FactoryFunctionMap);
fractions.config({ number: 'Fraction' });

/** Sixteenths of a unit's inches as text, the same way for both. */
function sixteenths(inches: number): string {
  const steps = Math.round(Math.abs(inches) * 16);
  const rest = steps % 16;
  return `${inches < 0 ? '−' : ''}${Math.floor(steps / 192)}′ ${Math.floor(steps / 16) % 12} ${rest}⁄16″`;
}

function withMathjs(math: typeof numbers, translated: string): string {
  const value = math.evaluate(`(${translated}) to inch`) as Unit;
  return sixteenths(value.toNumber('inch'));
}

for (const { entry, translated } of SITE_ENTRIES) {
  const ours = reckon(entry).reading?.text;
  const floor = floorReading(entry);
  if (ours !== floor) throw new Error(`${entry}: ours is ${ours}, the floor's ${floor}`);
  const inches = Number((numbers.evaluate(translated) as Unit).toNumber('inch'));
  const oursInches = Number(reckon(entry).reading?.steps) / 16;
  if (Math.abs(inches - oursInches) > 1 / 32 + 1e-9)
    throw new Error(`${entry}: ours is ${oursInches} in, mathjs's ${inches} in`);
}

const timings = compare([
  { name: 'ours: tree, places, exact, read-back apart', run: () => SITE_ENTRIES.map(({ entry }) => readingOf(entry)) },
  { name: 'the floor', run: () => SITE_ENTRIES.map(({ entry }) => floorReading(entry)) },
  {
    name: 'mathjs 15.2.0 with numbers',
    run: () => SITE_ENTRIES.map(({ translated }) => withMathjs(numbers, translated)),
  },
  {
    name: 'mathjs 15.2.0 with fractions',
    run: () => SITE_ENTRIES.map(({ translated }) => withMathjs(fractions, translated)),
  },
]);
print(`Sixteen entries, text to reading in sixteenths`, timings);
const [, floor, plain, exact] = timings.map(({ ratio }) => ratio) as [number, number, number, number];
console.log(
  `\n  ${floor.toFixed(2)} times the floor, ${plain.toFixed(0)} times mathjs with numbers, ${exact.toFixed(0)} times mathjs with fractions`,
);

/** Text to reading, as the bench does it at a keystroke, but for the read-back. */
function readingOf(entry: string): string | undefined {
  const parsed = parse(entry);
  if (!parsed.entry || parsed.issues.length > 0) return undefined;
  const result = evaluate(parsed.entry);
  return result.ok && result.value.kind === 'quantity' ? readQuantity(result.value.quantity).text : undefined;
}

if (process.argv.includes('--parts')) {
  const entries = SITE_ENTRIES.map(({ entry }) => entry);
  const trees = entries.map((entry) => parse(entry).entry as never);
  const quantities = trees.map((tree) => {
    const r = evaluate(tree);
    return r.ok && r.value.kind === 'quantity' ? r.value.quantity : (undefined as never);
  });
  print(
    'Its parts',
    compare([
      { name: 'all', run: () => entries.map(readingOf) },
      { name: 'scan', run: () => entries.map((entry) => scan(entry)) },
      { name: 'scan and parse', run: () => entries.map((entry) => parse(entry)) },
      { name: 'evaluate', run: () => trees.map((tree) => evaluate(tree)) },
      { name: 'read', run: () => quantities.map((quantity) => readQuantity(quantity)) },
      { name: 'all with the read-back', run: () => entries.map((entry) => reckon(entry)) },
    ]),
  );
}

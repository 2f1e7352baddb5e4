/** Fixes for a plain number among sizes: the number with a unit. */
import type { Fix } from '../base/issue.ts';
import type { Expr } from '../notation/ast.ts';
import { printUnits } from '../notation/printer.ts';
import type { Kind } from '../units/dimension.ts';
import { isBracketed } from './bracketed.ts';
import { findNode, firstNode } from './find-node.ts';
import type { IssueOf } from './issue-of.ts';
import { rewrite } from './rewrite.ts';

const INCH = { mark: '″', written: '"' };
const FOOT = { mark: '′', written: "'" };
const unit = (mark: string) => ({ mark: ` ${mark}`, written: ` ${mark}` });

/** Units that a plain number among sizes of a kind was most likely meant in. */
const METRIC_LENGTHS = [unit('mm'), unit('m'), INCH, FOOT];
const USUAL: Readonly<Partial<Record<Kind, readonly { readonly mark: string; readonly written: string }[]>>> = {
  length: [INCH, FOOT, unit('mm')],
  area: [unit('sq ft'), unit('m²')],
  volume: [unit('cu ft'), unit('cu yd'), unit('m³')],
  mass: [unit('lb'), unit('kg')],
  time: [unit('h'), unit('min')],
  money: [unit('$')],
  speed: [unit('ft/s'), unit('mph'), unit('km/h')],
  angle: [{ mark: '°', written: '°' }],
};

/**
 * A plain number that stands with a size: the number in the units of that kind, the one used beside it first. Among
 * lengths the usual ones keep their places, those of the job in front.
 */
export function unitFixes(
  issue: IssueOf<'kind.add_plain' | 'kind.compare' | 'kind.function'>,
  expr: Expr,
  source: string,
  isMetricJob: boolean,
): readonly Fix[] {
  const at = plainAmongSizes(issue, expr);
  if (at === undefined) return [];
  const { plain, kind, beside } = at;
  const text = source.slice(plain.start, plain.end);
  const written = plain.kind === 'number' || isBracketed(text) ? text : `(${text})`;
  const usual = kind === 'length' && isMetricJob ? METRIC_LENGTHS : (USUAL[kind] ?? []);
  const used = usedUnit(beside);
  const isUsed = ({ mark }: { mark: string }) => mark === used;
  const own = used === undefined ? [] : [usual.find(isUsed) ?? { mark: used, written: used }];
  const units = kind === 'length' ? [...new Set([...usual, ...own])] : [...new Set([...own, ...usual])];
  return units.map(({ mark, written: sign }) => ({
    label: `${written}${mark}`,
    entry: rewrite(source, plain, `${written}${sign}`),
  }));
}

/** The plain number, what kind the others are of, and one of them. */
function plainAmongSizes(
  issue: IssueOf<'kind.add_plain' | 'kind.compare' | 'kind.function'>,
  expr: Expr,
): { readonly plain: Expr; readonly kind: Kind; readonly beside: Expr } | undefined {
  const found = findNode(expr, issue);
  if (found === undefined) return undefined;
  const { node, parent } = found;
  if (issue.code === 'kind.function') {
    const { kind, wanted } = issue.fields;
    if (parent?.kind === 'binary' && kind === 'number')
      return { plain: node, kind: wanted as Kind, beside: parent.left };
    if (parent?.kind !== 'call') return undefined;
    const first = parent.args[0] as Expr;
    if (kind === 'number') return { plain: node, kind: wanted as Kind, beside: first };
    // The second value showed what was meant by the first.
    return wanted === 'number' && parent.args[1] === node
      ? { plain: first, kind: kind as Kind, beside: node }
      : undefined;
  }
  const both = issue.code === 'kind.compare' ? node : parent;
  if (both?.kind !== 'compare' && both?.kind !== 'binary') return undefined;
  const { left, right } = issue.fields as { left: Kind; right: Kind };
  if (left === 'number') return { plain: both.left, kind: right, beside: both.right };
  return right === 'number' ? { plain: both.right, kind: left, beside: both.left } : undefined;
}

/** A unit that is written in a part of an entry, as it stands behind a number. */
function usedUnit(expr: Expr): string | undefined {
  const node = firstNode(expr, ({ kind }) => kind === 'measure' || kind === 'scaled');
  const units =
    node?.kind === 'measure'
      ? [{ unit: (node.parts[0] as (typeof node.parts)[number]).unit, power: 1 }]
      : node?.kind === 'scaled'
        ? node.units
        : undefined;
  const words = units && printUnits(units);
  if (words === undefined || words.startsWith('°')) return words;
  if (words === 'in' || words === 'ft') return words === 'in' ? '″' : '′';
  if (words === 'mi/h') return ' mph';
  return ` ${words.replace(/^(in|ft|yd)²$/, 'sq $1').replace(/^(in|ft|yd)³$/, 'cu $1')}`;
}

/** Fixes drawn from the tree of an entry: what was meant is near, and the parts to say it with are there. */
import type { Fix } from '../base/issue.ts';
import type { Span } from '../base/span.ts';
import type { Entry, Expr } from '../notation/ast.ts';
import { printUnits } from '../notation/printer.ts';
import { LENGTH } from '../units/dimension.ts';
import { bare, isBracketed } from './bracketed.ts';
import { findNode } from './find-node.ts';
import type { IssueOf } from './issue-of.ts';
import { rewrite } from './rewrite.ts';

/** An angle goes through one of its functions before it multiplies. */
export function angleFixes(expr: Expr, issue: IssueOf<'kind.multiply'>, source: string): readonly Fix[] {
  const node = findNode(expr, issue)?.node;
  const { left, right } = issue.fields;
  if (node?.kind !== 'binary' || left === right) return [];
  const angle = left === 'angle' ? node.left : node.right;
  const text = bare(source, angle);
  return ['sin', 'cos', 'tan'].map((name) => ({
    label: `${name}(${text})`,
    entry: rewrite(source, angle, `${name}(${text})`),
  }));
}

/** (5') mm: a quantity needs no unit; most likely it was to be read in that one. */
export function secondUnitFixes(expr: Expr, issue: Span, source: string): readonly Fix[] {
  const node = findNode(expr, issue)?.node;
  if (node?.kind !== 'scaled') return [];
  const close = source.indexOf(')', node.operand.end);
  const at = close === -1 || close >= node.end ? node.operand.end : close + 1;
  const word = source.slice(at, node.end).trim();
  const isWhole = source.slice(0, node.start).trim() === '' && source.slice(node.end).trim() === '';
  const without = { label: `Leave out ${word}`, entry: rewrite(source, { start: at, end: node.end }, '') };
  const read = { label: `Read it in ${word}`, entry: `${source.slice(0, at)} to ${printUnits(node.units)}` };
  return isWhole ? [read] : [without];
}

/** What may not be below nothing, without its sign. */
export function signFixes(expr: Expr, issue: Span, source: string): readonly Fix[] {
  const found = findNode(expr, issue)?.node;
  const node = found?.kind === 'power' ? found.base : found;
  if (node === undefined) return [];
  const signed = node.kind === 'signed';
  const text = signed ? source.slice(node.operand.start, node.operand.end) : `abs(${bare(source, node)})`;
  return [{ label: signed ? `Without the sign: ${text}` : text, entry: rewrite(source, node, text) }];
}

/** leg(3'; 5') and asin(5/4): the other way round. */
export function swapFixes(expr: Expr, issue: IssueOf<'range.leg' | 'range.arc'>, source: string): readonly Fix[] {
  const node = findNode(expr, issue)?.node;
  if (node === undefined) return [];
  const textOf = ({ start, end }: Span) => source.slice(start, end);
  if (node.kind === 'call' && node.args.length === 2) {
    const [first, second] = node.args as [Expr, Expr];
    const text = `${node.name}(${textOf(second)}; ${textOf(first)})`;
    return [{ label: text, entry: rewrite(source, node, text) }];
  }
  if (node.kind === 'number' && node.form === 'fraction' && node.whole === 0) {
    const text = `${node.bottom}/${node.top}`;
    return [{ label: text, entry: rewrite(source, node, text) }];
  }
  if (node.kind !== 'binary' || node.operator !== 'divide') return [];
  const top = textOf(node.left);
  const under = node.left.kind === 'binary' && !isBracketed(top) ? `(${top})` : top;
  const text = `${textOf(node.right)} / ${under}`;
  return [{ label: text, entry: rewrite(source, node, isBracketed(textOf(node)) ? `(${text})` : text) }];
}

/** 5'^5': a power without its unit, or a product that was meant. */
export function powerFixes(expr: Expr, issue: Span, source: string): readonly Fix[] {
  const found = findNode(expr, issue);
  if (found?.parent?.kind !== 'power') return [];
  const { base, exponent } = found.parent;
  const times = { label: 'Multiply', entry: rewrite(source, { start: base.end, end: exponent.start }, ' × ') };
  const number = /^[\d.,/⁄ ]*\d/.exec(source.slice(exponent.start, exponent.end))?.[0];
  if (exponent.kind !== 'measure' || exponent.parts.length > 1 || number === undefined) return [times];
  return [{ label: `To the power ${number}`, entry: rewrite(source, exponent, number) }, times];
}

/** 9' to kg: without it, or the same unit to the power that the value has. */
export function directiveFixes(entry: Entry, issue: IssueOf<'directive.kind'>, source: string): readonly Fix[] {
  const directive = entry.directives.find(({ start }) => start === issue.start);
  if (directive === undefined) return [];
  const power = { length: 1, area: 2, volume: 3 }[issue.fields.kind];
  const { target } = directive;
  const asked = target.kind === 'units' && target.units.length === 1 ? target.units[0] : undefined;
  const leaveOut = { label: 'Leave it out', entry: rewrite(source, directive, '') };
  if (power === undefined || asked?.unit.dimension !== LENGTH) return [leaveOut];
  const words = printUnits([{ unit: asked.unit, power }]);
  return [{ label: `to ${words}`, entry: rewrite(source, directive, `to ${words}`) }, leaveOut];
}

/** atan(3'; 4'): rise and run are one ratio. */
export function ratioFixes(issue: IssueOf<'call.arguments'>, source: string): readonly Fix[] {
  const two = /^atan\s*\(([^;()]+);([^;()]+)\)$/i.exec(source.slice(issue.start, issue.end));
  if (two === null) return issue.fixes;
  const ratio = `atan(${(two[1] as string).trim()} / ${(two[2] as string).trim()})`;
  return [{ label: ratio, entry: rewrite(source, issue, ratio) }];
}

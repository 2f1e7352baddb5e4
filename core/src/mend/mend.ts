import type { Fix, Issue } from '../base/issue.ts';
import { issueIn, type Reckoned, type ReckonOptions } from '../evaluate/reckon.ts';
import type { Parsed } from '../notation/parser.ts';
import type { Span } from '../base/span.ts';
import { rewrite } from './rewrite.ts';
import { isMetric } from '../reading/style.ts';
import { asRead } from './as-read.ts';
import {
  angleFixes,
  directiveFixes,
  powerFixes,
  ratioFixes,
  secondUnitFixes,
  signFixes,
  swapFixes,
} from './tree-fixes.ts';
import { unitFixes } from './unit-fixes.ts';
import {
  commaFixes,
  emptyFixes,
  inToFixes,
  itFixes,
  nameFixes,
  numberFixes,
  sideBySideFixes,
  spacingFixes,
  symbolFixes,
  unitNameFixes,
} from './word-fixes.ts';

/** No more buttons than one row on a phone holds. */
const MOST = 4;

/**
 * The issue of an entry with the fixes that mend it: those that the reader had at hand and those that follow from the
 * tree, each tried first. Undefined where nothing is in the way.
 * @example mended(reckon("5' + 3")).fixes[0].entry // => "5' + 3\""
 */
export function mended({ parsed, issue }: Reckoned, options: ReckonOptions = {}): Issue | undefined {
  if (issue === undefined) return undefined;
  const { source } = parsed;
  const candidates = fixesOf(issue, parsed, options);
  const sound = candidates.filter((fix) => isNearer(fix, issue, source, issueIn(fix.entry, options)));
  return { ...issue, fixes: sound.slice(0, MOST).map((fix) => ({ ...fix, label: asRead(fix.label, options.style) })) };
}

/** What may be left to do once the entry says what was meant: go on typing, give a number its unit, mend what is used. */
const MENDED_ELSEWHERE: ReadonlySet<Issue['code']> = new Set([
  'entry.unfinished',
  'kind.add_plain',
  'line.failed',
  'mark.failed',
]);

/** Whether a fix leads on: to a result, to what is mended elsewhere, or to trouble in another place of the entry. */
function isNearer(fix: Fix, issue: Issue, source: string, left: Issue | undefined): boolean {
  if (left === undefined || MENDED_ELSEWHERE.has(left.code)) return true;
  const behind = source.length - issue.end;
  const end = fix.entry.length - behind;
  // What stands next to the place is a part of the same trouble: 16" + oc is no better than 16" oc.
  if (left.start >= end) return fix.entry.slice(end, left.start).trim() !== '';
  return left.end <= issue.start && source.slice(left.end, issue.start).trim() !== '';
}

/** rail = 5' > 4': the comparison without the mark that was to hold it. */
function keepNothing({ start, end, name }: Span & { readonly name: string }, source: string): Fix {
  return { label: `Compare, and store nothing in ${name}`, entry: rewrite(source, { start, end }, '') };
}

/** What may mend the entry, likeliest first. */
function fixesOf(issue: Issue, { source, entry }: Parsed, { scope, style }: ReckonOptions): readonly Fix[] {
  const names = scope?.names() ?? [];
  const expr = entry?.expr;
  switch (issue.code) {
    case 'kind.add_plain':
    case 'kind.compare':
    case 'kind.function':
      return expr ? unitFixes(issue, expr, source, style !== undefined && isMetric(style.length)) : [];
    case 'kind.multiply':
      return expr ? angleFixes(expr, issue, source) : [];
    case 'kind.unit_on_quantity':
      return expr ? secondUnitFixes(expr, issue, source) : [];
    case 'root.of_negative':
    case 'range.step':
      return expr ? signFixes(expr, issue, source) : [];
    case 'range.leg':
    case 'range.arc':
      return expr ? swapFixes(expr, issue, source) : [];
    case 'call.arguments':
      return ratioFixes(issue, source);
    case 'power.not_plain':
      return expr ? powerFixes(expr, issue, source) : [];
    case 'directive.kind':
      return entry ? directiveFixes(entry, issue, source) : [];
    case 'directive.unknown':
      return [...unitNameFixes(issue, issue.fields.target, source), ...issue.fixes];
    case 'run.backwards': {
      const run = `${issue.fields.to}..${issue.fields.from}`;
      return [{ label: run, entry: rewrite(source, issue, run) }];
    }
    case 'name.unknown':
      return issue.fixes.length > 0 ? issue.fixes : nameFixes(issue, source, names);
    case 'percent.of_it':
      return itFixes(issue, source);
    case 'entry.side_by_side':
      return sideBySideFixes(issue, source, names);
    case 'symbol.unexpected':
      return [...symbolFixes(issue, source), ...issue.fixes];
    case 'comma.unexpected':
      return commaFixes(issue, source);
    case 'unit.without_number':
      return [...numberFixes(issue, source), ...inToFixes(issue, source), ...issue.fixes];
    case 'character.unknown':
      return [...spacingFixes(issue, source), ...issue.fixes];
    case 'answer.kept':
      return entry?.assignment ? [keepNothing(entry.assignment, source)] : [];
    case 'bracket.empty':
      return emptyFixes(issue, source);
    default:
      return issue.fixes;
  }
}

/** Writes what the code's own tables say into docs/: `bin/test reference` fails when a page is not as the tables are. */
import { readFileSync, writeFileSync } from 'node:fs';
import {
  ABOUT_FUNCTIONS,
  ACCEPTED_FORMS,
  BARE_RULE,
  DEFAULT_STYLE,
  IN_INCHES,
  IN_MILLIMETRES,
  type BareRow,
  describeIssue,
  FUNCTIONS,
  ISSUE_CODES,
  LIMITS,
  reckon,
  SHAPE_ISSUE_CODES,
  ABOUT_UNITS,
  UNITS,
  type FunctionName,
  type UnitId,
  type Unit,
} from '@sprell/core';
import { FILE_SCHEMAS } from '@sprell/contract/file-schemas';
import { readJig, SHIPPED_JIGS } from '@sprell/core/jig';

/** The rule in words; its rows are the golden ones that the tests go through. */
function bareNumbers(): string {
  const rows = (all: readonly BareRow[]) =>
    table(
      ['typed', 'kept as'],
      all.map(([typed, kept]) => [code(typed), code(kept)]),
    );
  return `## Numbers without a unit

${BARE_RULE}

As millimetres, with a mark \`rail\` of 3 m, a count \`studs\`, an area \`floor\`, and a length in line 1:

${rows(IN_MILLIMETRES)}

As inches:

${rows(IN_INCHES)}`;
}

/** Jigs in entries, shown by one that ships. */
function jigsInEntries(): string {
  const [decking] = SHIPPED_JIGS;
  const program = decking && readJig({ jig: decking, uses: [] }).program;
  const style = { ...DEFAULT_STYLE, jigs: new Map(program ? [['decking', program]] : []) };
  const entries = [
    `decking(12')`,
    `decking(12'; gap = 1/4")`,
    `last_board from decking(width = 14')`,
    `2 * decking(12') * 16'`,
  ];
  const rows = entries.map((entry) => {
    const { readBack = '', reading } = reckon(entry, { style });
    return [code(entry), readBack, reading?.text ?? ''];
  });
  return `## Jigs

A jig, a calculation that somebody saved, is a function of the job. Its inputs are given in order or by name; what is not given has
its usual value, and a number without a unit is in the unit of its input. The first of its answers is what it stands for; another
is named in front, with \`from\`. Entries keep the version that the job used first.

${table(['entry', 'read-back', 'reading'], rows)}`;
}

const GENERATED = '<!-- Made from the tables in core/ by tools/reference; edit those. -->';

const code = (text: string) => `\`${text.replaceAll('|', '\\|')}\``;
const row = (...cells: readonly string[]) => `| ${cells.join(' | ')} |`;
const table = (head: readonly string[], rows: readonly (readonly string[])[]) =>
  [row(...head), row(...head.map(() => '---')), ...rows.map((cells) => row(...cells))].join('\n');

function notationPage(): string {
  const groups = ACCEPTED_FORMS.map(({ title, rule, forms }) => {
    const rows = forms.map(({ entry, readBack, reads, about }) => [
      code(entry),
      readBack.replaceAll('|', '\\|'),
      reads,
      about ?? '',
    ]);
    return `## ${title}\n\n${rule}\n\n${table(['entry', 'read-back', 'reading', ''], rows)}`;
  });
  const functions = table(
    ['function', 'what it gives'],
    Object.entries(FUNCTIONS).map(([name, { args }]) => [
      code(`${name}(${args})`),
      ABOUT_FUNCTIONS[name as FunctionName],
    ]),
  );
  const units = table(
    ['unit', 'words', 'what it is'],
    (UNITS as readonly Unit[]).map(({ id, symbol, words }) => [
      symbol,
      words.map(code).join(' '),
      ABOUT_UNITS[id as UnitId],
    ]),
  );
  return `# How an entry is written

${GENERATED}

One notation everywhere. Letter case never matters, and spaces of any width are spaces. What was taken is always shown in
the read-back, which is itself an entry of the same value. Readings below are to the sixteenth of an inch.

${groups.join('\n\n')}

${bareNumbers()}

${jigsInEntries()}

## The functions

${functions}

## The units

${units}

## Limits

An entry holds ${LIMITS.characters} characters and brackets ${LIMITS.depth} deep; powers go up to ${LIMITS.power}; a value holds
whole numbers of up to ${LIMITS.bits} bits. Past any of them the entry is answered with an issue like any other.
`;
}

/** Examples of issues are rows of the golden table: its first entry for each code. */
function issuesPage(): string {
  const golden = readFileSync(new URL('../core/golden/issues.tsv', import.meta.url), 'utf8');
  const examples = new Map<string, string>();
  for (const line of golden.split('\n')) {
    const [entry = '', issue = ''] = line.split('\t');
    if (!line.startsWith('# ') && entry.length < 40 && entry.trim() !== '' && !examples.has(issue))
      examples.set(issue, entry);
  }
  const rows = [...ISSUE_CODES, ...SHAPE_ISSUE_CODES].sort().map((issue) => {
    const entry = examples.get(issue);
    const found = entry === undefined ? undefined : reckon(entry).issue;
    return [
      code(issue),
      entry === undefined ? '' : code(entry),
      found?.code === issue ? describeIssue(found).replaceAll('|', '\\|') : '',
    ];
  });
  return `# Issues

${GENERATED}

Everything that may keep an entry from being reckoned. Each issue names its place in the entry and, where there is one,
offers fixes that one touch applies.

${table(['code', 'for instance', 'what is said'], rows)}
`;
}

const PAGES: Readonly<Record<string, () => string>> = {
  'docs/notation.md': notationPage,
  'docs/reference/issues.md': issuesPage,
  ...Object.fromEntries(
    Object.entries(FILE_SCHEMAS).map(([name, schema]) => [
      `docs/${name}`,
      () => `${JSON.stringify(schema(), undefined, 2)}\n`,
    ]),
  ),
};

/** Writes the pages, or, when only checking, names those that differ. */
export function main(checking: boolean): readonly string[] {
  const differing: string[] = [];
  for (const [path, page] of Object.entries(PAGES)) {
    const url = new URL(`../${path}`, import.meta.url);
    const text = page();
    let before = '';
    try {
      before = readFileSync(url, 'utf8');
    } catch {
      // A page that is not there yet differs.
    }
    if (before === text) continue;
    differing.push(path);
    if (!checking) writeFileSync(url, text);
  }
  return differing;
}

import Papa from 'papaparse';

/** What the slate's own CSV has over its columns. */
const HEADS = ['line', 'label', 'entry', 'result', 'note'];
/** A cell that begins a sum or a size. */
const FIGURE = /^[\s(#√]*[-+]?[\d½¼¾⅛⅜⅝⅞.,]/u;

/**
 * Rows of a table as lines that can be pasted: from the slate's own CSV as they were, from any other the first cell of words as
 * the label, the first that begins with a figure as the entry, and the rest as the note.
 * @returns undefined for text that is no table
 */
export function tableLines(text: string): string | undefined {
  const plain = text.replace(/^\uFEFF/u, '');
  const rows = rowsOf(plain);
  if (rows === undefined) return undefined;
  const heads = (rows[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const isOwn = HEADS.every((head) => heads.includes(head));
  const at = (row: readonly string[], head: string) => (row[heads.indexOf(head)] ?? '').trim();
  const lines = isOwn
    ? rows.slice(1).map((row) => ownLine(at(row, 'line'), at(row, 'label'), at(row, 'entry'), at(row, 'note')))
    : rows.map(foreignLine);
  return lines.filter((line) => line !== '').join('\n');
}

/** A table has cells in most of its rows; the text of a message has a tab or a comma here and there. */
function rowsOf(text: string): readonly (readonly string[])[] | undefined {
  const delimiter = text.includes('\t') ? '\t' : '';
  const parsed = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy' });
  const isBroken = parsed.errors.some(({ type }) => type === 'Quotes');
  // Inch marks that stand alone are no quotes.
  const rows = isBroken
    ? Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy', quoteChar: '\u0000' }).data
    : parsed.data;
  const width = Math.max(0, ...rows.map((row) => row.length));
  const several = rows.filter((row) => row.filter((cell) => cell.trim() !== '').length > 1);
  const isOwn = rows[0]?.some((cell) => cell.trim().toLowerCase() === 'entry') === true;
  return width > 1 && (isOwn || several.length * 2 >= rows.length) ? rows : undefined;
}

const withNote = (line: string, note: string) =>
  note === '' ? line : `${line}\n    ${note.replace(/\r?\n/gu, '\n    ')}`;

function ownLine(number: string, label: string, entry: string, note: string): string {
  if (number !== '') return withNote(`#${number} ${label === '' ? '' : `${label}: `}${unescaped(entry)}`, note);
  // Words among the lines.
  return label === '' ? `-- ${note.replace(/\r?\n/gu, ' ')}` : label;
}
/** What would have been worked out by a spreadsheet was written as words. */
const unescaped = (entry: string) => entry.replace(/^'(?=[=@+-])/u, '');

function foreignLine(row: readonly string[]): string {
  const cells = row.map((cell) => cell.trim()).filter((cell) => cell !== '');
  const figure = cells.findIndex((cell) => FIGURE.test(cell));
  if (figure < 0) return cells.join(' ');
  const words = cells.findIndex((cell, n) => n !== figure && !FIGURE.test(cell) && !cell.includes(':'));
  const rest = cells.filter((_, n) => n !== figure && n !== words).join(', ');
  return withNote(`${words < 0 ? '' : `${cells[words]}: `}${cells[figure]}`, rest);
}

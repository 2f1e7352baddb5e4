import { isFunctionName, RESERVED_WORDS } from './functions.ts';
import { labelColon } from './label.ts';
import { scan, tokensOf, type ScanOptions } from './scanner.ts';
import * as T from './token.ts';
import { isUnitWord } from './unit-reader.ts';

/** What a stretch of an entry is, for an editor that marks them. */
export type TokenRole =
  | 'label'
  | 'number'
  | 'fraction'
  | 'prime'
  | 'unit'
  | 'function'
  | 'name'
  | 'word'
  | 'line'
  | 'operator'
  | 'open'
  | 'close'
  | 'other';

export interface RoledToken {
  readonly start: number;
  readonly end: number;
  readonly role: TokenRole;
}

const ROLES: Readonly<Record<T.TokenKind, TokenRole>> = {
  [T.INTEGER]: 'number',
  [T.DECIMAL]: 'number',
  [T.FRACTION]: 'fraction',
  [T.FOOT_MARK]: 'prime',
  [T.INCH_MARK]: 'prime',
  [T.DEGREE]: 'prime',
  [T.NAME]: 'name',
  [T.LINE]: 'line',
  [T.OPEN]: 'open',
  [T.CLOSE]: 'close',
  [T.PLUS]: 'operator',
  [T.MINUS]: 'operator',
  [T.HYPHEN]: 'operator',
  [T.TIMES]: 'operator',
  [T.DIVIDE]: 'operator',
  [T.SLASH]: 'operator',
  [T.CARET]: 'operator',
  [T.ROOT]: 'operator',
  [T.AT]: 'operator',
};

/** The tokens of an entry with what each one is, as far as that is known without parsing it. END is left out. */
export function rolesOf(source: string, options: ScanOptions = {}): readonly RoledToken[] {
  const colon = labelColon(source) ?? -1;
  const roleOf = ({ kind, start, end }: T.Token): TokenRole => {
    if (start <= colon) return 'label';
    return kind === T.WORD ? roleOfWord(source.slice(start, end).toLowerCase()) : (ROLES[kind] ?? 'other');
  };
  return tokensOf(scan(source, options))
    .filter(({ kind }) => kind !== T.END)
    .map((token) => ({ start: token.start, end: token.end, role: roleOf(token) }));
}

function roleOfWord(word: string): TokenRole {
  if (isFunctionName(word)) return 'function';
  if (isUnitWord(word.endsWith('.') ? word.slice(0, -1) : word)) return 'unit';
  return RESERVED_WORDS.has(word) || word === 'per' ? 'word' : 'name';
}

/**
 * The places of the bracket beside a cursor and of its partner, the one in front of the cursor first; undefined when the
 * cursor touches none. A bracket without a partner stands alone.
 */
export function bracketsAt(tokens: readonly RoledToken[], cursor: number): readonly number[] | undefined {
  const isBracket = ({ role }: RoledToken) => role === 'open' || role === 'close';
  const before = tokens.findIndex((one) => isBracket(one) && one.end === cursor);
  const found = before === -1 ? tokens.findIndex((one) => isBracket(one) && one.start === cursor) : before;
  const token = tokens[found];
  if (token === undefined) return undefined;
  const step = token.role === 'open' ? 1 : -1;
  let depth = 0;
  for (let at = found; at >= 0 && at < tokens.length; at += step) {
    const { role, start } = tokens[at] as RoledToken;
    if (role === 'open') depth += step;
    if (role === 'close') depth -= step;
    if (depth === 0) return [token.start, start];
  }
  return [token.start];
}

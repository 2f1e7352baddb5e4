/** 2x6, 2 × 6, 5/4 x 6: a nominal section, as timber is ordered. */
const SECTION = /^\s*(\d+(?:[/⁄]\d+)?)\s*[x×]\s*(\d+)\s*$/iu;

/**
 * A nominal section in inches, as an entry; undefined for what is none.
 * @example nominalSection('2x6') // => '2" * 6"'
 */
export function nominalSection(typed: string): string | undefined {
  const [, thick, wide] = SECTION.exec(typed) ?? [];
  return thick === undefined || wide === undefined ? undefined : `${thick}" * ${wide}"`;
}

const MORE = ['', '', 'two', 'three', 'four', 'five', 'six'];

/** What is still missing, in a sentence; undefined where nothing is. */
export function wantedWords(
  wanted: readonly (readonly string[])[],
  titleOf: (field: string) => string,
): string | undefined {
  const [first] = wanted;
  if (first === undefined) return undefined;
  const titles = [...new Set(wanted.flat())].map(titleOf);
  if (first.length === 1) return `Enter one more: ${either(titles)}.`;
  return `Enter ${MORE[first.length] ?? first.length} more of: ${titles.join(', ')}.`;
}

function either(titles: readonly string[]): string {
  return titles.length < 2 ? (titles[0] ?? '') : `${titles.slice(0, -1).join(', ')} or ${titles[titles.length - 1]}`;
}

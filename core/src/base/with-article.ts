/** With its article: "a length", "an area". */
export function withArticle(kind: string): string {
  const name = SAID_AS[kind] ?? kind;
  return `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
}

const SAID_AS: Readonly<Partial<Record<string, string>>> = {
  number: 'plain number',
  compound: 'mixed kind of quantity',
  money: 'sum of money',
};

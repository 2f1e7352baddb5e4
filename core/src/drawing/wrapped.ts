/** Of the type's height: how wide a sign is at most, on the average of a line. */
const SIGN = 0.5;

/**
 * Words over as many lines as they need; a word that is longer than a line is broken.
 * @param width of a line, in millimetres
 * @param size height of the type, in millimetres
 * @returns no line for no words
 */
export function wrapped(text: string, width: number, size: number): readonly string[] {
  const most = Math.max(4, Math.floor(width / (size * SIGN)));
  const lines: string[] = [];
  let now = '';
  for (const word of text.split(/\s+/).filter((one) => one !== '')) {
    let rest = word;
    if (now !== '' && now.length + 1 + rest.length > most) {
      lines.push(now);
      now = '';
    }
    while (rest.length > most) {
      lines.push(rest.slice(0, most));
      rest = rest.slice(most);
    }
    now = now === '' ? rest : `${now} ${rest}`;
  }
  return now === '' ? lines : [...lines, now];
}

/** The height of type at which words stand on one line: what is asked for, or as much smaller as they need. Millimetres. */
export const fittingSize = (text: string, width: number, size: number): number =>
  Math.min(size, width / (Math.max(1, text.length) * SIGN));

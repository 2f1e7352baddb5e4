const DECODERS: readonly (readonly [string, readonly number[]])[] = [
  ['utf-16le', [0xff, 0xfe]],
  ['utf-16be', [0xfe, 0xff]],
];

/** The text of a file: as its mark says, as UTF-8 where it is that, or else as the older programs of Windows write. */
export function textOfBytes(bytes: Uint8Array): { readonly text: string; readonly remark: string | undefined } {
  const marked = DECODERS.find(([, mark]) => mark.every((byte, at) => bytes[at] === byte));
  if (marked) return { text: new TextDecoder(marked[0]).decode(bytes), remark: undefined };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), remark: undefined };
  } catch {
    const text = new TextDecoder('windows-1252').decode(bytes);
    return { text, remark: 'The file is not in UTF-8: it was read as Windows writes it. Look at its accents.' };
  }
}

/** Tables of XLSX files, read within bounds. */
import { unzipSync, zipSync } from 'fflate';
import readXlsxFile from 'read-excel-file/universal';

/** Why a table cannot be read at all: a sentence with a way out. */
export interface BlockRefusal {
  readonly refused: string;
}

/** A sheet of a file, its cells as text. */
export interface ReadSheet {
  readonly name: string;
  readonly cells: readonly (readonly string[])[];
}

/** A list of 10,000 rows has 3 MB unpacked; pictures and the like are not unpacked at all. */
const MOST_UNPACKED = 40_000_000;
const MOST_PARTS = 500;
const NEEDED = /\.(xml|rels)$/i;

const BROKEN = 'The file is broken, or it is no XLSX file. Open it where it was made and save it again.';
const TOO_LARGE =
  'Unpacked, that file is far larger than a list of materials. Copy the rows that are wanted and paste them.';
const OLD = 'That is a file of the older kind (.xls), or one with a password. Save it as .xlsx without one.';

/** How files begin: a ZIP, and the older kind, which is also what one with a password is wrapped in. */
const ZIP = [0x50, 0x4b];
const WRAPPED = [0xd0, 0xcf, 0x11, 0xe0];
const begins = (bytes: Uint8Array, mark: readonly number[]) => mark.every((byte, at) => bytes[at] === byte);
export const isWorkbook = (bytes: Uint8Array): boolean => begins(bytes, ZIP) || begins(bytes, WRAPPED);

class TooLarge extends Error {}

/**
 * The sheets of a file that have anything in them. The file says how large its parts are before they are unpacked, and none is
 * unpacked to more than it said: what says too much is refused, what says too little is broken.
 */
export async function sheetsOf(bytes: Uint8Array): Promise<readonly ReadSheet[] | BlockRefusal> {
  if (begins(bytes, WRAPPED)) return { refused: OLD };
  try {
    let [size, parts] = [0, 0];
    const unpacked = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!NEEDED.test(name)) return false;
        parts += 1;
        size += originalSize;
        if (size > MOST_UNPACKED || parts > MOST_PARTS) throw new TooLarge();
        return true;
      },
    });
    const safe = zipSync(unpacked, { level: 0 });
    const sheets = await readXlsxFile(safe.buffer as ArrayBuffer);
    return sheets
      .filter(({ data }) => data.length > 0)
      .map(({ sheet, data }) => ({ name: sheet, cells: data.map((row) => row.map(asText)) }));
  } catch (error) {
    return { refused: error instanceof TooLarge ? TOO_LARGE : BROKEN };
  }
}

/** As far as a double says anything. */
const DIGITS = 12;
function asText(value: unknown): string {
  if (value === null || value === undefined) return '';
  if (typeof value === 'number') return String(Number(value.toPrecision(DIGITS)));
  if (value instanceof Date) return value.toISOString().slice(0, 10);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return typeof value === 'string' ? value : '';
}

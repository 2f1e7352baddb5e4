import type { JigSet } from '@sprell/core/jig';

/**
 * The jig of a file that this device or the server has: it was checked as it came in, by the door of files or of changes, and is
 * not checked again. Undefined for what cannot be read all the same.
 */
export function jigOfFile(file: string): JigSet | undefined {
  try {
    const { jig, uses } = JSON.parse(file) as JigSet;
    return { jig, uses };
  } catch {
    return undefined;
  }
}

/** Where things are, whatever folder a command is called from. */
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(dirname(fileURLToPath(import.meta.url))));
export const at = (...parts) => join(ROOT, ...parts);

/** Reads tables from elsewhere on a thread of its own. */
import { expose } from 'comlink';
import { preview, type BlockReader } from './block-table.ts';

expose({ preview } satisfies BlockReader);

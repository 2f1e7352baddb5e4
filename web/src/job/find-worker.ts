/** Looks for sizes on a thread of its own. */
import { expose } from 'comlink';
import { findSizes, type SizeFinder } from './find-sizes.ts';

expose({ find: findSizes } satisfies SizeFinder);

/** Sizes as they are said aloud. */
export { inWords, type WrittenStyle } from './in-words.ts';

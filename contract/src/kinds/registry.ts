import type { Kind } from './kind.ts';
import { markKind } from './mark/kind.ts';
import { scaleKind } from './scale/kind.ts';
import { setOutKind } from './set-out/kind.ts';

/** Every kind of thing that a job keeps. */
export const KINDS: readonly Kind[] = [markKind, scaleKind, setOutKind];

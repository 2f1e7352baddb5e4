import type { Kind } from './kind.ts';
import { jigKind } from './jig/kind.ts';
import { itemKind } from './item/kind.ts';
import { markKind } from './mark/kind.ts';
import { scaleKind } from './scale/kind.ts';
import { sectionKind } from './section/kind.ts';
import { setOutKind } from './set-out/kind.ts';
import { timberKind } from './timber/kind.ts';
import { taxKind } from './tax/kind.ts';
import { versionKind } from './version/kind.ts';

/** Every kind of thing that a job keeps. */
export const KINDS: readonly Kind[] = [
  markKind,
  scaleKind,
  setOutKind,
  sectionKind,
  versionKind,
  taxKind,
  itemKind,
  jigKind,
  timberKind,
];

import { LIMITS } from '@sprell/core';
import { z } from 'zod';
import { isOneLine } from '../../text.ts';
import { kindWire } from '../kind-wire.ts';
import { markKind } from './kind.ts';

/** The name of a mark of a job, as it stands in entries. */
export const markWire = kindWire(markKind, {
  /** One word; another mark may have the same by now, which then shows a number behind it. */
  name: z.string().min(1).max(LIMITS.characters).regex(/^\S+$/u).refine(isOneLine, 'Control characters are not text.'),
});

import { z } from 'zod';
import { isTimber, TIMBER_NAME_LIMIT } from '@sprell/core/tables';
import { sourceWire, titleWire } from '../../wire/line.ts';
import { kindWire } from '../kind-wire.ts';
import { timberKind } from './kind.ts';

/** What a size is sold as, and entries for what it measures, with decimal points; the width may be left out. */
export const timberWire = kindWire(
  timberKind,
  { called: titleWire.max(TIMBER_NAME_LIMIT), thick: sourceWire, wide: z.union([z.literal(''), sourceWire]) },
  (said) => said.refine(isTimber, 'No size that can be measured.'),
);

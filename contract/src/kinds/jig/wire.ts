import { z } from 'zod';
import { JIG_FILE_LIMIT, jigSetOf } from '../../jig-file.ts';
import { titleWire } from '../../wire/job-fields.ts';
import { kindWire } from '../kind-wire.ts';
import { jigKind } from './kind.ts';

/** One version of a jig. It never changes: what is changed is the next. */
export const jigWire = kindWire(
  jigKind,
  {
    /** The jig, the same for all of its versions. */
    jig: z.uuid(),
    version: z.int().min(1).max(100_000),
    /** What entries of this job call it. */
    name: z.string().regex(/^\p{L}[\p{L}\p{N}_]{0,39}$/u),
    title: titleWire,
    /** The whole of it with the jigs that it uses, as a jig file (`jig-file.ts`), byte for byte. */
    file: z.string().max(JIG_FILE_LIMIT),
  },
  (said) =>
    said.refine(({ jig, version, file }) => {
      const set = jigSetOf(file);
      return set.ok && set.value.jig.id === jig && set.value.jig.version === version;
    }, 'The file is no jig of this id and version.'),
);

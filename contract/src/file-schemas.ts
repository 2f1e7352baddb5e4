import { z } from 'zod';
import { jigFileWire } from './jig-file.ts';
import { jobFileWire } from './job-file/job-file.ts';

const schema = (title: string, wire: z.ZodType) => ({
  title,
  ...z.toJSONSchema(wire, { io: 'input', target: 'draft-2020-12' }),
});

/** What other programs can check the files of Sprell with, by the names that they are given out under. JSON Schema, 2020-12. */
export const FILE_SCHEMAS: Readonly<Record<string, () => object>> = {
  'job-file.schema.json': () => schema('A job file of Sprell', jobFileWire),
  'jig-file.schema.json': () => schema('A jig file of Sprell', jigFileWire),
};

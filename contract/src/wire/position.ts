import { z } from 'zod';

/** Where a line stands on its slate: a key between the keys of its neighbours, compared as plain text by code unit. */
export const positionWire = z
  .string()
  .min(2)
  .max(200)
  .regex(/^[0-9A-Za-z]+$/);

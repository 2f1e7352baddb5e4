import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB, two passes, one lane: the least that OWASP's password storage cheat sheet names. */
const PASSWORD = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export const hashPassword = (password: string): Promise<string> => hash(password, PASSWORD);

/** Hashed once, to be checked against where there is no account: both take as long. */
let decoy: Promise<string> | undefined;

/** @param stored undefined where there is no such account; the answer is then no, and takes as long */
export async function isPassword(stored: string | null | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword(randomBytes(16).toString('hex'));
  const matches = await verify(stored ?? (await decoy), password);
  return matches && typeof stored === 'string';
}

/** 256 bits, for a link. */
export const makeToken = (): string => randomBytes(32).toString('base64url');

/** Without 0 and O, 1, I and L, U and V, which are mistaken for each other: 30 signs, ten of them about 49 bits. */
const SIGNS = '23456789ABCDEFGHJKMNPQRSTWXYZ'.concat('V');

export const makeDeviceCode = (): string => Array.from({ length: 10 }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/** What is kept of a secret: a leaked database opens nothing. */
export const hashSecret = (secret: string): string => createHash('sha256').update(secret).digest('hex');

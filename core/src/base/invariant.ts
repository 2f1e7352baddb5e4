/** A promise of our own code was broken. Never thrown for anything a person typed. */
export class InvariantError extends Error {
  override readonly name = 'InvariantError';
}

/** @throws {InvariantError} when `condition` is false. */
export function invariant(condition: boolean, promise: string): asserts condition {
  if (!condition) throw new InvariantError(promise);
}

/** Closes a switch over a union: a member that was forgotten does not compile. */
export function assertNever(value: never): never {
  throw new InvariantError(`unexpected ${JSON.stringify(value)}`);
}

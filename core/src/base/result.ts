/** What a computation that may be refused returns: the value, or the issue as data. Nothing in the core throws at its callers. */
export type Result<T, I> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issue: I };

export function ok<T>(value: T): { readonly ok: true; readonly value: T } {
  return { ok: true, value };
}

export function fail<I>(issue: I): { readonly ok: false; readonly issue: I } {
  return { ok: false, issue };
}

declare const drawnValue: unique symbol;

/**
 * A value that is kept for drawing: it may be that of a frame or more ago. Nothing that is stored, posted, copied or written
 * may come of it, and its type says so: an action that wants the value itself cannot be given this. Actions are given what
 * was touched and look the value up when they run.
 */
export interface Drawn<T> {
  readonly [drawnValue]: T;
}

/** The value for a template, or for what is computed for one. */
export function forDrawing<T>(drawn: Drawn<T>): T {
  return drawn as unknown as T;
}

/** A value on its way to the screen. */
export function drawn<T>(value: T): Drawn<T> {
  return value as unknown as Drawn<T>;
}

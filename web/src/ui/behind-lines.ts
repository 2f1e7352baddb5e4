let linesAreThere: Promise<void> = Promise.resolve();

/** The longest that anything is held back. */
const AT_MOST = 3000;

/**
 * Holds back what can wait until the lines of the job have come: on a slow network all that is asked for at once shares six
 * ways to the server, and what is asked for first is in the way of what is wanted first.
 * @returns what to call when they are there
 */
export function awaitLines(): () => void {
  let done: () => void = () => undefined;
  linesAreThere = new Promise((resolve) => (done = resolve));
  setTimeout(done, AT_MOST);
  return done;
}

/** Loads something behind the lines of the job, where they are still awaited; at once otherwise. */
export async function behindLines<T>(load: () => Promise<T>): Promise<T> {
  await linesAreThere;
  return load();
}

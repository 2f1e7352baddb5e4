/** A reporter: why a test that passed had to be tried a second time. What it waited for is a fault of it, or of the page. */
export default class TriedAgain {
  /** @param {import('vitest/node').TestCase} test */
  onTestCaseResult(test) {
    const { state, errors } = test.result();
    if (state !== 'passed' || !errors || errors.length === 0) return;
    console.log(`\nTried again: ${test.fullName}`);
    for (const error of errors) console.log(whole(error));
  }
}

/**
 * What went wrong, and what was being done then.
 * @param {{ message: string, stack?: string, cause?: unknown }} error
 * @returns {string}
 */
function whole({ message, stack, cause }) {
  const own = stack?.split('\n').slice(0, 10).join('\n  ') ?? message;
  return cause && typeof cause === 'object' && 'message' in cause
    ? `  ${own}\nin: ${whole(/** @type {{ message: string }} */ (cause))}`
    : `  ${own}`;
}

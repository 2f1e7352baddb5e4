/** A reporter: why a test that passed had to be tried a second time. What it waited for is a fault of it, or of the page. */
export default class TriedAgain {
  /** @param {import('vitest/node').TestCase} test */
  onTestCaseResult(test) {
    const { state, errors } = test.result();
    if (state !== 'passed' || !errors || errors.length === 0) return;
    console.log(`\nTried again: ${test.fullName}`);
    for (const { message, stack } of errors)
      console.log(`  ${stack?.split('\n').slice(0, 8).join('\n  ') ?? message}`);
  }
}

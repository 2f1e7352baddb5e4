import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { runJig } from '../evaluate/evaluate.ts';
import { fixedValue } from './fixed-value.ts';
import { readJig } from './read-jig.ts';
import { runChecks } from './run-checks.ts';
import { SHIPPED_JIGS } from './shipped-jigs.ts';
import { writtenSteps } from './written-steps.ts';

describe.each(SHIPPED_JIGS.map((jig) => [jig.title, jig] as const))('%s', (_title, jig) => {
  const { program, troubles } = readJig({ jig, uses: [] });

  it('can be read, and comes to what was worked out by hand', () => {
    expect(troubles.map(({ issue, part, index }) => `${part} ${index}: ${describeIssue(issue)}`)).toEqual([]);
    const checks = program ? runChecks(jig, program) : [];
    expect(checks.length).toBeGreaterThan(1);
    expect(
      checks
        .filter(({ holds }) => !holds)
        .map(({ check, got, issue }) => [check.title, got, issue && describeIssue(issue)]),
    ).toEqual([]);
  });

  it('runs with its usual values, and with those of a metric job', () => {
    if (program === undefined) throw new Error('It cannot be read.');
    for (const field of ['usual', 'metric'] as const) {
      const given = jig.inputs.map(({ [field]: text, title }) => {
        if (text === '') return undefined;
        const value = fixedValue(text, false, title);
        return value.ok ? value.value : undefined;
      });
      const run = runJig(program, given);
      expect(run.ok && run.value.issue).toBeUndefined();
      if (!run.ok) continue;
      const steps = writtenSteps(program, run.value, DEFAULT_STYLE);
      expect(steps.filter(({ readings, outcome }) => readings.length === 0 && outcome?.kind !== 'answer')).toEqual([]);
      expect(steps.map(({ figures }) => figures).join()).not.toMatch(/undefined|NaN/);
    }
  });
});

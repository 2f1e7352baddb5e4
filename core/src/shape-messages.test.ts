import { describe, expect, it } from 'vitest';
import { makeShapeIssue, type ShapeIssueFields } from './base/issue.ts';
import { reckon } from './evaluate/reckon.ts';
import { ISSUE_CODES, describeIssue } from './messages.ts';
import { describeShapeIssue, SHAPE_ISSUE_CODES } from './shape-messages.ts';

/** Facts that sentences need, made up. */
const FACTS = { field: 'Rise', kind: 'area', wanted: 'a length', limit: '60', sheets: '99', number: '6' };

describe('an issue of a shape', () => {
  it.each([...SHAPE_ISSUE_CODES])('%s has a sentence with nothing left open', (code) => {
    const issue = makeShapeIssue(code, { start: 0, end: 0 }, FACTS as ShapeIssueFields[typeof code]);
    expect(describeShapeIssue(issue)).toMatch(/^[\p{Lu}].*[.]$/u);
    expect(describeShapeIssue(issue)).not.toMatch(/undefined|\[object/);
  });

  it('differs from those of an entry, which read as everywhere', () => {
    expect(SHAPE_ISSUE_CODES.filter((code) => (ISSUE_CODES as readonly string[]).includes(code))).toEqual([]);
    const { issue } = reckon('3 +* 4');
    expect(issue && describeShapeIssue(issue)).toBe(issue && describeIssue(issue));
  });
});

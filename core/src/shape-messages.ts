import type { ShapeIssue, ShapeIssueCode } from './base/issue.ts';
import { describeIssue } from './messages.ts';
import { SHAPE_SENTENCES } from './setting-out/issues.ts';

/** The sentence for an issue of a shape, or of an entry in one of its fields. */
export function describeShapeIssue(issue: ShapeIssue): string {
  const sentence = (SHAPE_SENTENCES as Readonly<Record<string, ((fields: unknown) => string) | undefined>>)[issue.code];
  return sentence ? sentence(issue.fields) : describeIssue(issue as Parameters<typeof describeIssue>[0]);
}

/** Every code of a shape, for the tests and the reference that hold the lists together. */
export const SHAPE_ISSUE_CODES = Object.keys(SHAPE_SENTENCES) as readonly ShapeIssueCode[];

import { describe, expect, it } from 'vitest';
import { reckon } from '../evaluate/reckon.ts';
import { Session } from '../session/session.ts';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { repeatedStep } from './next-step.ts';
import { parse } from './parser.ts';
import { bracketsAt, rolesOf } from './token-roles.ts';

describe('what the parts of an entry are', () => {
  it.each([
    [`5' 3 1/2" + rail`, `number prime number fraction prime operator name`],
    ['sqrt(#4) * 2 ft. per m', 'function open line close operator number unit word unit'],
    ['3/8 of 2 m to mm', 'fraction word number unit word unit'],
    ['2.5 € ?', 'number other other'],
    ['30° × π', 'number prime operator other'],
    ['top rail: rail * 2', 'label label label name operator number'],
    ['6:12', 'number other number'],
  ])('%s', (source, roles) => {
    expect(
      rolesOf(source)
        .map(({ role }) => role)
        .join(' '),
    ).toBe(roles);
  });

  it.each([
    ['(1 + (2)) * 3', 1, [0, 8]],
    ['(1 + (2)) * 3', 9, [8, 0]],
    ['(1 + (2)) * 3', 8, [7, 5]],
    ['(1 + (2)) * 3', 5, [5, 7]],
    ['(1 + (2)) * 3', 3, undefined],
    ['(1 + 2', 1, [0]],
  ])('the brackets of %s at %i', (source, cursor, places) => {
    expect(bracketsAt(rolesOf(source), cursor)).toEqual(places);
  });
});

describe('the last step again', () => {
  it.each([
    [`12' + 16"`, 'last + 16"'],
    [`3 * (4' + 2")`, `last × (4' + 2")`],
    [`12' - 2" - 3"`, 'last − 3"'],
    ['8 + 2 * 3', 'last + 2 * 3'],
    [`1/3 of 7' 6"`, 'last × 1/3'],
    [`9' + 12%`, 'last + 12%'],
    ['5 ft^2', undefined],
    [`(3')^2`, 'last^2'],
    [`9'`, undefined],
    ['', undefined],
  ])('%s', (source, again) => {
    expect(repeatedStep(parse(source))).toBe(again);
  });

  it('steps off the same distance as often as it is asked', () => {
    const session = new Session(DEFAULT_STYLE);
    let entry: string | undefined = `3' + 16"`;
    const readings = [0, 1, 2].map(() => {
      const reckoned = session.enter(entry as string);
      entry = repeatedStep(reckoned.parsed);
      return reckoned.reading?.text;
    });
    expect(readings).toEqual(['4′ 4″', '5′ 8″', '7′']);
    expect(reckon('last + 16"').issue?.code).toBe('last.none');
  });
});

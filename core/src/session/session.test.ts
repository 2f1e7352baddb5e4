import { describe, expect, it } from 'vitest';
import { DEFAULT_STYLE } from '../reading/style.ts';
import { Session } from './session.ts';

function run(...entries: readonly string[]) {
  const session = new Session(DEFAULT_STYLE);
  return entries.map((entry) => {
    const { reading, outcome, issue } = session.enter(entry);
    return issue?.code ?? (outcome?.kind === 'answer' ? outcome.yes : reading?.text);
  });
}

describe('entries one after the other', () => {
  it('use the lines before them by number, as the last, and by a leading operator', () => {
    expect(run(`5' 3"`, '#1 * 2', 'last + 1"', '/ 2', '^2', '- 3')).toEqual([
      '5′ 3″',
      '10′ 6″',
      '10′ 7″',
      '5′ 3 1⁄2″',
      '28.002 sq ft',
      '−3',
    ]);
  });

  it('keep marks, post to them, and keep them anew', () => {
    expect(run(`rail = 4' 2"`, 'rail += 2"', 'rail -= 1/2"', 'RAIL * 2', `rail = rail + 1'`, 'rail')).toEqual([
      '4′ 2″',
      '4′ 4″',
      '4′ 3 1⁄2″',
      '8′ 7″',
      '5′ 3 1⁄2″',
      '5′ 3 1⁄2″',
    ]);
  });

  it('give a posting the value that the mark comes to, as the last result and as its line', () => {
    expect(run(`rail = 4'`, 'rail += 2"', 'last', '#2')).toEqual(['4′', '4′ 2″', '4′ 2″', '4′ 2″']);
  });

  it('refuse a posting to nothing or of another kind, and leave the mark as it was', () => {
    expect(run('rail += 2"', `rail = 4'`, 'rail += 3 sq ft', 'rail')).toEqual(['name.unknown', '4′', 'kind.add', '4′']);
  });

  it('number lines in error as well, which then have no result to use', () => {
    expect(run('5', '1 / 0', '#1 + 1', '#2 + 1', '#9', 'sum(#1..#3)', 'sum(#3..#3)')).toEqual([
      '5',
      'division.by_zero',
      '6',
      'line.failed',
      'line.unknown',
      'line.failed',
      '6',
    ]);
  });

  it('answer a comparison, which no later line can use', () => {
    expect(run(`5' > 4'`, '#1 + 1')).toEqual([true, 'line.unknown']);
  });

  it('go on from the result before a comparison, and add up past it', () => {
    expect(run(`5'`, `5' > 4'`, 'last', '* 2', 'sum(#1..#3)', 'sum(#1..#2)')).toEqual([
      '5′',
      true,
      '5′',
      '10′',
      '10′',
      '5′',
    ]);
  });

  it('have nothing to go on from where only comparisons came before', () => {
    expect(run('1 < 2', 'last + 1')).toEqual([true, 'last.none']);
  });

  it('refuse to keep a comparison as a mark, which stays what it was', () => {
    expect(run(`rail = 5'`, `rail = 5' > 4'`, `rail += 5' > 4'`, 'rail')).toEqual([
      '5′',
      'answer.kept',
      'answer.kept',
      '5′',
    ]);
  });

  it('have no last result at first', () => {
    expect(run('* 2')).toEqual(['last.none']);
  });

  it('run over the lines as they stand, in sum, mean, min and max', () => {
    expect(
      run(`1'`, `2'`, `6'`, 'sum(#1..#3)', 'mean(#1..#3)', 'min(#1..#3)', "max(#1..#3; 7')", 'sum(#2..#2; #1)'),
    ).toEqual(['1′', '2′', '6′', '9′', '3′', '1′', '7′', '3′']);
  });
});

import { describeIssue, reckon } from '@sprell/core';
import { describe, expect, it } from 'vitest';
import golden from '../../../../core/golden/issues.tsv?raw';
import { ROOMS } from '../../parts/head/rooms.ts';
import { helpGroups, messagesOf, textOf } from './help-pages.ts';
import { helpSearch } from './help-search.ts';
import { HELP_TASKS } from './tasks.ts';

const groups = helpGroups(golden);
const pages = groups.flatMap((group) => group.pages);

describe('the help', () => {
  it.each(HELP_TASKS.flatMap(({ tries }) => tries))('%s comes to %s', (entry, comesTo) => {
    const { issue, reading } = reckon(entry);
    expect(issue && describeIssue(issue)).toBeUndefined();
    expect(reading?.text.replace(/^≈ /, '')).toBe(comesTo);
  });

  it('has pages of their own, each with something on it, about rooms that there are', () => {
    expect(new Set(pages.map(({ id }) => id)).size).toBe(pages.length);
    for (const page of pages) {
      expect(page.sections.length, page.title).toBeGreaterThan(0);
      if (!page.sections.some(({ isSpoken }) => isSpoken)) expect(textOf(page).length, page.title).toBeGreaterThan(80);
      if (page.room !== undefined) expect(ROOMS.map(({ path }) => path)).toContain(page.room);
    }
  });

  it('says what a message means with an entry that brings it about', () => {
    const messages = messagesOf(golden);
    expect(messages.length).toBeGreaterThan(25);
    for (const { text = '', forms = [] } of messages) {
      const issue = reckon(forms[0]?.entry ?? '').issue;
      expect(issue && describeIssue(issue)).toBe(text);
    }
  });

  it.each([
    ['memory', 'store'],
    ['register', 'store'],
    ['remainder', 'left-of-a-board'],
    ['offcut', 'left-of-a-board'],
    ['kerf', 'left-of-a-board'],
    ['blueprint', 'drawing-to-site'],
    ['convert', 'metric'],
    ['centimetre', 'metric'],
    ['pythagoras', 'square'],
    ['diagonal', 'square'],
    ['stair', 'roof-and-stairs'],
    ['offline', 'no-signal'],
    ['voice', 'speak'],
    ['microphone', 'speak'],
    ['macro', 'again'],
    ['estimate', 'material'],
    ['undo', 'correct'],
    ['mistake', 'correct'],
    ['glossary', 'words'],
    ['shortcut', 'keys'],
    ['hyp', 'functions'],
    ['hectare', 'units'],
    ['how do I round', 'round'],
    ['spacing of balusters', 'divide'],
    ['pithagoras', 'square'],
    ['by zero', 'messages'],
    ['export', 'send'],
    ['shy', 'words'],
    ['printer', 'paper'],
    ['laser', 'meter'],
    ['import', 'lines-in'],
  ])('finds “%s”', (words, page) => {
    expect(
      helpSearch(groups)(words)
        .slice(0, 3)
        .map(({ id }) => id),
    ).toContain(page);
  });

  it('finds nothing where there is nothing', () => {
    expect(helpSearch(groups)('zzzqx')).toEqual([]);
  });
});

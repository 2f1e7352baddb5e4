import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';

const HERE = import.meta.dirname;
const screens = readdirSync(HERE, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith('.vue'));
const template = (file: string) => {
  const text = readFileSync(join(HERE, file), 'utf8');
  return text.slice(text.indexOf('<template>'), text.lastIndexOf('</template>')).replace(/<!--.*?-->/gs, '');
};

/** What a person reads or hears: text between tags, and what titles, labels and placeholders say. */
function wordsIn(file: string): readonly string[] {
  const markup = template(file);
  const between = [...markup.matchAll(/>([^<>{}]*[A-Za-z][^<>{}]*)</g)].map(([, text]) => text);
  const said = [...markup.matchAll(/(?:title|label|aria-label|placeholder|about|action)="([^"]*)"/g)].map(
    ([, text]) => text,
  );
  return [...between, ...said].flatMap((text) => text?.replace(/\s+/g, ' ').trim() || []);
}

/** Words that were tried on people and not understood, with the ones that are used instead. */
const RETIRED: readonly (readonly [RegExp, string])[] = [
  [/\btake (it |them |all .*)?off\b/i, 'Delete'],
  [/\bstrike out|\bput back\b/i, 'Remove, Restore'],
  [/^leave$/i, 'Cancel'],
  [/^keep$/i, 'Save or Store'],
  [/\banew\b/i, 'Edit, Start over'],
  [/\bknock off|write over\b/i, 'Subtract, Replace'],
  [/^(take )?in hand$/i, 'Use this one, Active'],
  [/\bturn round\b/i, 'swap'],
  [/\bonly looked at\b|^for good$|^as before$/i, 'Just for now, Always, Undo this'],
  [/\bthe true size\b/i, 'exact'],
  [/\bnought\b/i, 'zero'],
  [/looks and comfort/i, 'Settings'],
];

describe('the words on the screens', () => {
  it.each(screens)('are plain in %s', (file) => {
    for (const words of wordsIn(file))
      for (const [retired, instead] of RETIRED)
        expect(retired.test(words), `“${words}”: rather ${instead}`).toBe(false);
  });

  it('call one thing that is done by one name', () => {
    const labels = new Map<string, Set<string>>();
    /** What is done, by what a test calls its button. */
    const DONE: readonly (readonly [RegExp, string])[] = [
      [/^(remove|delete)(-(mark|scale|set-out|now|chosen))?$|^take-off$/, 'Delete'],
      [/^save-job$|^keep-edit$/, 'Save'],
    ];
    for (const file of screens)
      for (const [, test, label] of template(file).matchAll(
        /<PlainButton[^>]*?data-test="([^"]+)"[^>]*>([^<>{}]+)<\/PlainButton/g,
      ))
        for (const [which, name] of DONE)
          if (which.test(test ?? '')) labels.set(name, (labels.get(name) ?? new Set()).add((label ?? '').trim()));
    expect([...(labels.get('Delete') ?? [])]).toEqual(['Delete']);
    expect([...(labels.get('Save') ?? [])]).toEqual(['Save']);
  });
});

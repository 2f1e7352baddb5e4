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

  it('call one thing that is done by one name, and nothing else by that', () => {
    /** What is done, as its button says it first, by what the page calls the button or the handler of its click. */
    const DONE: readonly (readonly [label: string, does: RegExp])[] = [
      [
        'Cancel',
        /'(leave|cancel)'|\bleave(Name)?$|^(is\w+|copied|leaving) = (false|undefined)|^leave-(?!now)|withdraw/,
      ],
      ['Delete', /'(remove|takeOff|takeOut)'|\b(remove|delete|clear|drop)-(?!entry|keeping)|\bremove\(false|'clear'/],
      ['Keep', /keepValue|remove-keeping|clear-keeping/],
      ['Save', /^(save|write)-(?!again|over)|^keep-(set-out|another)$|^confirm$/],
      ['Rename', /^rename/],
      ['Edit', /^edit-/],
      ['Redo', /^redo/],
      ['Undo', /^undo|'drop'|^go-back$/],
      ['Print', /^print-/],
      ['Copy', /^copy(-(slate|refused|chosen|places|all))?$/],
      ['Start again', /^startAgain$|^clear$/],
      ['OK', /'seen'/],
      ['Try again', /jobs\.start/],
    ];
    const odd: string[] = [];
    for (const file of screens)
      for (const { label, does } of buttonsIn(file)) {
        const wanted = DONE.filter(([, act]) => does.some((one) => act.test(one))).map(([name]) => name);
        const said = DONE.filter(([name]) => new RegExp(`^${name}\\b`, 'i').test(label)).map(([name]) => name);
        if (label !== '' && wanted.length + said.length > 0 && !said.some((name) => wanted.includes(name)))
          odd.push(`${file}: “${label}” for ${does.join(', ')}`);
      }
    expect(odd).toEqual([]);
  });
});

/** Buttons with words on them that do not change, and what they do. */
function buttonsIn(file: string): readonly { readonly label: string; readonly does: readonly string[] }[] {
  const BUTTON = /<(PlainButton|button)\b((?:[^>"]|"[^"]*")*)>([\s\S]*?)<\/\1/g;
  return [...template(file).matchAll(BUTTON)].flatMap(([, , attributes = '', inside = '']) => {
    const label = inside
      .replace(/<[^>]*>/g, ' ')
      .replace(/\s+/g, ' ')
      .trim();
    if (label.startsWith('{{')) return [];
    const does = [/data-test="([^"]+)"/, /@click(?:\.\w+)*="([^"]*)"/].flatMap((of) => of.exec(attributes)?.[1] ?? []);
    return [{ label, does }];
  });
}

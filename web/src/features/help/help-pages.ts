import {
  ABOUT_FUNCTIONS,
  ABOUT_UNITS,
  ACCEPTED_FORMS,
  BARE_RULE,
  describeIssue,
  FUNCTIONS,
  IN_INCHES,
  IN_MILLIMETRES,
  reckon,
  UNITS,
  type AcceptedForm,
  type FunctionName,
  type UnitId,
} from '@sprell/core';
import { SAID_PHRASES } from '@sprell/core/said';
import { SHORTCUTS, TOUCHES } from '../../parts/keys/shortcuts.ts';
import { ABOUT_QUANTITIES, QUANTITY_KEYS } from '../quantities/index.ts';
import { HELP_TASKS } from './tasks.ts';
import { HELP_WORDS } from './words.ts';

/** What is touched, typed or called so, with what it does. */
export type HelpRow = readonly [what: string, says: string];

/** Part of a page of the help: each of these is shown in its own way. */
export interface HelpSection {
  readonly title?: string;
  readonly text?: string;
  readonly steps?: readonly string[];
  /** Entries that one touch puts into the bench's own, with what is made of them. */
  readonly forms?: readonly (Pick<AcceptedForm, 'entry' | 'reads' | 'about'> & { readonly readBack?: string })[];
  readonly rows?: readonly HelpRow[];
  /** What stands in front of the rows is typed as it is. */
  readonly isTyped?: boolean;
  /** What can be said has a list of its own. */
  readonly isSpoken?: boolean;
}

export interface HelpPage {
  readonly id: string;
  readonly title: string;
  /** What people call it who do not call it so. */
  readonly also: string;
  /** Where it is done; undefined where that is everywhere. */
  readonly room?: string;
  readonly sections: readonly HelpSection[];
}

/** Pages of one kind. */
export interface HelpGroup {
  readonly title: string;
  readonly pages: readonly HelpPage[];
}

const word = (title: string) =>
  title
    .toLowerCase()
    .replace(/[^a-z0-9]+/gu, '-')
    .replace(/^-|-$/gu, '');

const TASKS: readonly HelpPage[] = HELP_TASKS.map(({ id, title, also, room, steps, tries }) => ({
  ...{ id, title, also, room },
  sections: [
    { steps },
    ...(tries.length === 0 ? [] : [{ title: 'Try it', forms: tries.map(([entry, reads]) => ({ entry, reads })) }]),
  ],
}));

const FORMS: readonly HelpPage[] = ACCEPTED_FORMS.map(({ title, rule, forms }) => ({
  id: `write-${word(title)}`,
  title,
  also: 'notation how to write entry',
  sections: [{ text: rule, forms }],
}));

/** Enough of the rule to see how it goes; all of its rows are in the notation's own page. */
const KINDS_SHOWN = ['2400', '2400 + 300', '2400 / 7', '3 * 450', '2400 * 1200', '2400 * 1200 * 18', '7 ea'];
const bare: HelpPage = {
  id: 'bare-numbers',
  title: 'Numbers without a unit',
  also: 'bare no unit millimetres inches default',
  sections: [
    {
      text: BARE_RULE,
      rows: [...IN_MILLIMETRES.filter(([typed]) => KINDS_SHOWN.includes(typed)), ...IN_INCHES.slice(0, 3)],
      isTyped: true,
    },
  ],
};
const speaking: HelpPage = {
  id: 'speaking',
  title: 'What can be said',
  also: `voice speech microphone ${Object.keys(SAID_PHRASES).join(' ')}`,
  sections: [{ isSpoken: true }],
};

const functions = Object.entries(FUNCTIONS).map(([name, { args }]): HelpRow => [
  `${name}(${args})`,
  ABOUT_FUNCTIONS[name as FunctionName],
]);
const units = UNITS.filter(({ words }) => words.length > 0).map(({ id, words }): HelpRow => [
  words.join('  '),
  ABOUT_UNITS[id as UnitId],
]);

/**
 * What is said where an entry cannot be worked out, each with an entry that brings it about.
 * @param golden the table of the tests: an entry and the code of its issue, between tabs
 */
export function messagesOf(golden: string): readonly HelpSection[] {
  const seen = new Set<string>();
  return golden.split('\n').flatMap((line): HelpSection[] => {
    const [entry = '', code = ''] = line.split('\t');
    if (line.startsWith('# ') || entry.trim() === '' || entry.length > 40 || seen.has(code)) return [];
    const issue = reckon(entry).issue;
    if (issue?.code !== code) return [];
    seen.add(code);
    const [fix] = issue.fixes;
    const wayOut = fix === undefined ? '' : `One touch makes it ${fix.entry}`;
    return [{ text: describeIssue(issue), forms: [{ entry, reads: wayOut }] }];
  });
}

/** @param golden the table of issues that the tests run */
export function helpGroups(golden: string): readonly HelpGroup[] {
  return [
    { title: 'How do I …', pages: TASKS },
    { title: 'How to write it', pages: [...FORMS, bare, speaking] },
    {
      title: 'To look up',
      pages: [
        {
          id: 'words',
          title: 'The words',
          also: 'glossary terms meaning what is',
          sections: [{ rows: HELP_WORDS }],
        },
        {
          id: 'keys',
          title: 'Keys and touches',
          also: 'keyboard shortcut gesture finger mouse',
          sections: [
            { title: 'On the bench', rows: TOUCHES.map(({ where, about }): HelpRow => [where, about]) },
            { title: 'Keyboard', rows: SHORTCUTS.map(({ keys, about }): HelpRow => [keys, about]), isTyped: true },
            { title: 'Keyboard, in the list of quantities', rows: QUANTITY_KEYS, isTyped: true },
          ],
        },
        {
          id: 'about-quantities',
          title: 'The list of quantities',
          also: 'take off columns cells waste pack price totals paste excel csv',
          room: '/quantities',
          sections: [{ rows: ABOUT_QUANTITIES }],
        },
        {
          id: 'functions',
          title: 'All functions',
          also: 'formula sin cos sqrt hyp',
          sections: [{ rows: functions, isTyped: true }],
        },
        {
          id: 'units',
          title: 'All units',
          also: 'feet metres pounds gallons',
          sections: [{ rows: units, isTyped: true }],
        },
        {
          id: 'messages',
          title: 'What messages mean',
          also: 'error problem wrong red cannot refuse',
          sections: messagesOf(golden),
        },
      ],
    },
  ];
}

/** Everything that a page says, for looking in it. */
export const textOf = ({ sections }: HelpPage): string =>
  sections
    .flatMap(({ title = '', text = '', steps = [], forms = [], rows = [] }) => [
      title,
      text,
      ...steps,
      ...forms.map(({ entry, about = '' }) => `${entry} ${about}`),
      ...rows.flat(),
    ])
    .filter(Boolean)
    .join('\n');

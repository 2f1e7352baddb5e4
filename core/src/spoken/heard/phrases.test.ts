import { describe, expect, it } from 'vitest';
import { DEFAULT_STYLE } from '../../reading/style.ts';
import { Session } from '../../session/session.ts';
import { heardEntry } from './entry.ts';
import { SAID_LINES, SAID_MARKS, SAID_PHRASES } from './said-phrases.ts';

function slate(): Session {
  const session = new Session(DEFAULT_STYLE);
  const marks = Object.entries(SAID_MARKS).map(([name, size]) => `${name} = ${size}`);
  for (const entry of [...SAID_LINES, ...marks, ...SAID_LINES.slice(-1)]) session.enter(entry);
  return session;
}

describe.each(Object.entries(SAID_PHRASES))('phrases of %s', (_, phrases) => {
  it.each(phrases)('%s', (phrase, entry, reads) => {
    const heard = heardEntry(phrase, Object.keys(SAID_MARKS));
    expect(heard.entry).toBe(entry);
    const { reading, issue } = slate().enter(heard.entry);
    expect(issue).toBeUndefined();
    expect(reading?.text.replace('≈ ', '')).toBe(reads);
  });
});

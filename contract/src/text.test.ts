import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { asOneLine, asText, isOneLine, isText } from './text.ts';
import { labelWire, noteWire, sourceWire } from './wire/line.ts';

describe('text that is kept', () => {
  it('is taken by every schema once it was made so, whatever was pasted', () => {
    const anything = fc.string({
      unit: fc.oneof(
        fc.nat(0xffff).map((unit) => String.fromCharCode(unit)),
        fc.constant('\u0000'),
      ),
      maxLength: 400,
    });
    fc.assert(
      fc.property(anything, (pasted) => {
        const [line, text] = [asOneLine(pasted), asText(pasted)];
        expect(sourceWire.safeParse(line).success).toBe(true);
        expect(noteWire.safeParse(text).success).toBe(true);
        if (line.trim() !== '') expect(labelWire.safeParse(line).success).toBe(true);
        expect([asOneLine(line), asText(text)]).toEqual([line, text]);
        // It can be written in UTF-8.
        expect(decodeURIComponent(encodeURIComponent(line))).toBe(line);
      }),
    );
  });

  it('stays as it was typed where there is nothing against it', () => {
    for (const typed of [`5' 3"`, '長さ ½ π', 'a\tb', '👷 7′', 'é'])
      expect([asOneLine(typed), isOneLine(typed), isText(typed)]).toEqual([typed, true, true]);
    expect(asOneLine(`5' + \u0001 2'`)).toBe(`5' +   2'`);
    expect(asText('one\ntwo\u0000')).toBe('one\ntwo ');
    expect(asOneLine('\ud83d 7')).toBe(' 7');
  });
});

import { SHIPPED_JIGS, type Jig } from '@sprell/core/jig';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { JIG_FILE_LIMIT, jigFileWire, jigSetOf } from './jig-file.ts';
import { jigFileOf, jigMadeFit } from './jig-file-text.ts';
import { jigWire } from './kinds/jig/wire.ts';

const [decking] = SHIPPED_JIGS as readonly [Jig, ...Jig[]];
const file = jigFileOf({ jig: decking, uses: [] });
const changed = (change: (json: Record<string, never>) => void): string => {
  const json = JSON.parse(file) as Record<string, never>;
  change(json);
  return JSON.stringify(json);
};
type Loose = Record<string, unknown>;
const jigOf = (json: Record<string, never>) => json['jig'] as unknown as Loose;
const firstStep = (json: Record<string, never>) => (jigOf(json)['steps'] as Loose[])[0] as Loose;

describe('a jig file', () => {
  it.each(SHIPPED_JIGS.map((jig) => [jig.name, jig] as const))('of %s is read as it was written', (_name, jig) => {
    const text = jigFileOf({ jig, uses: [decking] });
    const read = jigSetOf(text);
    expect(read).toEqual({ ok: true, value: { jig, uses: [decking] } });
    // The same bytes again, in whatever order its parts stood.
    if (!read.ok) return;
    const turned = Object.fromEntries(Object.entries(read.value.jig).reverse()) as unknown as Jig;
    expect(jigFileOf({ jig: turned, uses: read.value.uses })).toBe(text);
  });

  it.each<[string, string, string]>([
    ['no JSON', '{', ''],
    ['nothing', '', ''],
    ['some other JSON', '{"a": 1}', 'sprell'],
    ['null', 'null', 'sprell'],
    ['a list', '[]', 'sprell'],
    ['of a newer version', changed((json) => Object.assign(json, { format: 2 })), 'format'],
    ['with a number for a name', changed((json) => Object.assign(jigOf(json), { name: 7 })), 'jig.name'],
    ['with a name of two words', changed((json) => Object.assign(jigOf(json), { name: 'two words' })), 'jig.name'],
    ['without steps', changed((json) => Object.assign(jigOf(json), { steps: undefined })), 'jig.steps'],
    [
      'with an object for an entry',
      changed((json) => Object.assign(firstStep(json), { entry: {} })),
      'jig.steps.0.entry',
    ],
    [
      'with a way to take that there is not',
      changed((json) => Object.assign(firstStep(json), { repeat: { counter: 'n', from: '1', to: '2', take: 'all' } })),
      'jig.steps.0.repeat.take',
    ],
    [
      'with 10,000 steps',
      changed((json) => Object.assign(jigOf(json), { steps: Array.from({ length: 10_000 }, () => 1) })),
      'jig.steps',
    ],
    [
      'with an entry of 600 characters',
      changed((json) => Object.assign(firstStep(json), { entry: '1'.repeat(600) })),
      'jig.steps.0.entry',
    ],
    [
      'with a line break in an entry',
      changed((json) => Object.assign(firstStep(json), { entry: '1\n2' })),
      'jig.steps.0.entry',
    ],
    ['with something more', changed((json) => Object.assign(jigOf(json), { script: 'x' })), 'jig'],
    ['with a prototype of its own', file.replace('{"sprell"', '{"__proto__":{"polluted":1},"sprell"'), ''],
    ['too large', `"${'a'.repeat(JIG_FILE_LIMIT)}"`, ''],
    ['nested deep', '['.repeat(100_000), ''],
  ])('that is %s is refused with a sentence and the place', (_what, text, place) => {
    const read = jigSetOf(text);
    expect(read.ok).toBe(false);
    if (read.ok) return;
    expect(read.problem.place).toBe(place);
    expect(read.problem.sentence).toMatch(/^[A-Z].*\.$/);
    expect(({} as Loose)['polluted']).toBeUndefined();
  });

  it('can be made of whatever was typed or pasted', () => {
    const long = `${'A long title with a\nbreak, half a \uD83D and a \u0000 in it. '.repeat(40)}  `;
    const typed: Jig = {
      ...decking,
      title: long,
      about: long.repeat(3),
      inputs: Array.from({ length: 50 }, (_, n) => ({
        ...(decking.inputs[0] as Jig['inputs'][number]),
        ...{ name: `input_${n}`, title: long, hint: long, unit: long, usual: long, least: long },
      })),
      steps: decking.steps.map((step) => ({ ...step, title: long, note: long, entry: long })),
      checks: decking.checks.map((check) => ({ ...check, title: long, comesTo: long })),
    };
    expect(jigSetOf(jigFileOf({ jig: typed, uses: [] })).ok).toBe(false);
    const read = jigSetOf(jigFileOf({ jig: jigMadeFit(typed), uses: [] }));
    expect(read.ok ? read.value.jig.title.slice(0, 30) : read.problem).toBe('A long title with a break, hal');
    // What fits is left as it is.
    expect(jigMadeFit(decking)).toEqual(decking);
  });

  it('goes into a job under its own id and version alone', () => {
    const said = { jig: decking.id, version: 1, name: 'decking', title: decking.title, file };
    expect(jigWire.said.safeParse(said).success).toBe(true);
    expect(jigWire.said.safeParse({ ...said, name: 'decking_2' }).success).toBe(true);
    expect(jigWire.said.safeParse({ ...said, version: 2 }).success).toBe(false);
    expect(jigWire.said.safeParse({ ...said, file: '{}' }).success).toBe(false);
  });

  it('has a schema that others can check one with', () => {
    const schema = JSON.stringify(z.toJSONSchema(jigFileWire, { io: 'input', target: 'draft-2020-12' }));
    expect(schema).toContain('"const":"jig"');
    expect(schema).toContain('"maxItems":500');
  });
});

import { describe, expect, it } from 'vitest';
import type { EntryText } from './edits.ts';
import { offersFor } from './offers.ts';

const MARKS = [
  { name: 'rail', reading: '10′ 5 1⁄8″' },
  { name: 'rail_2', reading: '3′' },
  { name: 'jamb', reading: '8′' },
];
const at = (text: string, from = text.length): EntryText => ({ text, from, to: from });
const faces = (entry: EntryText, labels: string[] = []) => offersFor(entry, MARKS, labels).map(({ label }) => label);
function taken(entry: EntryText, label: string, labels: string[] = []): string {
  const offer = offersFor(entry, MARKS, labels).find((one) => one.label === label);
  return offer?.take(entry).text ?? 'not offered';
}

describe('what is offered above the letters', () => {
  it('is the marks first while no word is begun', () => {
    expect(faces(at('7″ + ')).slice(0, 3)).toEqual(['rail', 'rail_2', 'jamb']);
    expect(faces(at(''))).toContain('sqrt');
  });

  it('is what begins as the word does, in small letters or capitals', () => {
    expect(faces(at('7″ + Ra'))).toEqual(['rail', 'rail_2', 'rad']);
    expect(faces(at('2 × sq')).every((face) => face.startsWith('sq'))).toBe(true);
  });

  it('writes the rest of the word, and leaves what stands around it', () => {
    expect(taken(at('7″ + ra'), 'rail')).toBe('7″ + rail');
    expect(taken(at('ra + 7″', 2), 'jamb')).toBe('not offered');
    expect(taken(at('ra + 7″', 2), 'rail')).toBe('rail + 7″');
    expect(taken(at('2 × hy'), 'hyp')).toBe('2 × hyp(');
  });

  it('makes a label or a mark of what begins an entry, in one touch', () => {
    expect(taken(at('post'), 'post:')).toBe('post: ');
    expect(taken(at('post'), 'post =')).toBe('post = ');
    // A name has no space, a label may.
    expect(faces(at('top plate'))).toContain('top plate:');
    expect(faces(at('top plate'))).not.toContain('top plate =');
  });

  it('gives a label of the slate again after its first letters', () => {
    const labels = ['stud, left', 'stud, right', 'stud, left', 'Header'];
    expect(faces(at('st'), labels).filter((face) => face.endsWith(':'))).toEqual([
      'stud, left:',
      'stud, right:',
      'st:',
    ]);
    expect(taken(at('hea'), 'Header:', labels)).toBe('Header: ');
    expect(faces(at('7″ + st'), labels).some((face) => face.endsWith(':'))).toBe(false);
  });
});

describe('jigs', () => {
  it('are offered by their name and by the words of their title, and write their bracket', async () => {
    const { offerJigs } = await import('../../live/jigs-offered.ts');
    offerJigs(() => [{ name: 'decking', title: 'Boards and gaps', inputs: ['width'] }]);
    try {
      for (const typed of ['deck', 'boa', 'GAPS']) {
        const [offer] = offersFor({ text: typed, from: typed.length, to: typed.length }, [], []);
        expect([offer?.label, offer?.about]).toEqual(['decking', 'Boards and gaps']);
        expect(offer?.take({ text: typed, from: typed.length, to: typed.length }).text).toBe('decking(');
      }
      expect(offersFor({ text: '', from: 0, to: 0 }, [], []).map(({ label }) => label)).not.toContain('decking');
    } finally {
      offerJigs(() => []);
    }
  });
});

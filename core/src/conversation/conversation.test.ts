import { describe, expect, it } from 'vitest';
import { describeIssue } from '../messages.ts';
import { DEFAULT_STYLE, type ReadingStyle } from '../reading/style.ts';
import { answerTo } from './answer.ts';
import { Conversation } from './conversation.ts';
import { SAID_DIALOGUES } from './said-dialogues.ts';
import { aloud, type Manner } from './says.ts';
import { SlateDesk } from './slate-desk.ts';

function begin(style: ReadingStyle = DEFAULT_STYLE, manner?: Manner) {
  const desk = new SlateDesk(style, describeIssue);
  const conversation = new Conversation(desk, manner && (() => manner));
  const hear = (...texts: readonly string[]) => conversation.hear(texts.map((text) => ({ text })));
  return { desk, conversation, hear };
}

describe('dialogues', () => {
  it.each(Object.entries(SAID_DIALOGUES))('%s', (_, turns) => {
    const { hear } = begin();
    const went = turns.map(([heard]) => {
      const { answer, says } = hear(heard);
      return [heard, answer?.entry ?? '', says];
    });
    expect(went).toEqual(turns);
  });
});

describe('nothing counts before it was shown', () => {
  it('a phrase waits until somebody agrees, goes on, or leaves it', () => {
    const { conversation, desk, hear } = begin();
    hear('nine foot');
    expect([conversation.state.waiting?.answer.reading, desk.lineCount]).toEqual(['9′', 0]);
    hear('perhaps');
    expect([conversation.state.waiting?.answer.reading, desk.lineCount]).toEqual(['9′', 0]);
    hear('eight foot');
    expect([conversation.state.waiting?.answer.reading, desk.lineCount]).toEqual(['8′', 1]);
    conversation.refuse();
    expect([conversation.state.waiting, desk.lineCount]).toEqual([undefined, 1]);
    hear('seven foot');
    conversation.enter();
    expect(desk.lastLines(5).map(({ answer }) => answer.reading)).toEqual(['9′', '7′']);
  });

  it('what does not work out never lands', () => {
    const { conversation, desk, hear } = begin();
    hear('nine foot plus two pounds');
    expect(conversation.enter().says).toContain('only values of one kind add up');
    hear('two foot');
    expect(desk.lineCount).toBe(0);
  });

  it('what was taken for other words is read back in full, and other ways are offered', () => {
    const { conversation, desk, hear } = begin();
    expect(hear('two foot plush three foot').says).toBe('2′ + 3′ = 5′');
    expect(conversation.state.waiting).toMatchObject({ heard: 'two foot plush three foot', isGuessed: true });
    const reply = hear('nine foot seven and three eights');
    expect(reply.answer?.entry).toBe(`9' 7 3/8"`);
    hear('six foot two', 'six foot ten');
    const [offer] = conversation.state.waiting?.offers ?? [];
    expect(offer?.answer.reading).toBe('6′ 10″');
    if (offer !== undefined) conversation.take(offer);
    expect(conversation.state.waiting?.answer.reading).toBe('6′ 10″');
    // In the place of the first way, which never counted.
    expect(desk.lastLines(9).map(({ answer }) => answer.reading)).toEqual(['5′', '9′ 7 3⁄8″']);
  });

  it('a phrase that is not understood is kept, with what is understood of it', () => {
    const { conversation, hear } = begin();
    hear('ten foot');
    hear('bananas plus two foot');
    const { missed } = conversation.state;
    expect(missed).toMatchObject({ heard: 'bananas plus two foot', unknown: [{ text: 'bananas', start: 0, end: 7 }] });
    expect(missed?.offers[0]?.answer.entry).toBe(`last + 2'`);
    expect(hear('yes').says).toBe('12′');
  });

  it('of several alternatives that which makes sense here', () => {
    const { hear } = begin();
    expect(hear('mind the gap heaven', 'nine foot seven').answer?.entry).toBe(`9' 7"`);
    expect(hear('nine foot plus two pounds', 'nine foot plus two yards').answer?.reading).toBe('15′');
  });
});

it('a job that is only to be read says so, and is not changed', () => {
  const { desk, hear } = begin();
  hear('nine foot');
  hear('enter');
  Object.defineProperty(desk, 'refusal', { value: 'This job is only to be read here.' });
  for (const order of ['delete that', 'clear the slate', 'heading north', 'label that rail', 'note on that check it'])
    expect(hear(order).says).toBe('This job is only to be read here.');
  expect(hear('what was the last one').says).toBe('Line 1: 9′');
  expect(desk.lineCount).toBe(1);
});

it('what is written by hand has no way out of the entry before it', () => {
  const { conversation, hear } = begin();
  hear('nine foot in pounds');
  conversation.rewrite(`9' to mm`);
  expect([hear('yes').says, conversation.state.waiting]).toEqual(['Line 1.', undefined]);
});

it('an answer by hand replaces the one by voice', () => {
  const { conversation, desk, hear } = begin();
  hear('nine foot');
  conversation.rewrite(`9' 1"`);
  expect(conversation.state.waiting?.answer.reading).toBe('9′ 1″');
  conversation.enter();
  expect(desk.line(1)?.answer.reading).toBe('9′ 1″');
});

it('a way out is offered, and taken by yes', () => {
  const { conversation, hear } = begin();
  expect(hear('nine foot in pounds').says).toBe(
    'A length cannot be read in “lb”; name a unit of its own kind. Leave it out? Say yes to take it.',
  );
  expect([hear('yes').says, conversation.state.waiting?.answer.entry]).toEqual(['9′', `9'`]);
  hear('nine foot in pounds');
  expect([hear('no').says, conversation.state.waiting]).toEqual(['Not counted.', undefined]);
});

describe('answers are said', () => {
  it.each<readonly [Manner, string]>([
    [{ length: 'short', lengths: 'job' }, '1′ 5 1⁄8″, full by 1⁄64″'],
    [{ length: 'long', lengths: 'job' }, '10′ ÷ 7 = 1′ 5 1⁄8″, full by 1⁄64″'],
    [{ length: 'short', lengths: 'feet' }, '1′ 5 1⁄8″, full by 1⁄64″'],
    [{ length: 'short', lengths: 'metric' }, '435 mm, full by 0.4 mm'],
    [{ length: 'short', lengths: 'both' }, '1′ 5 1⁄8″, full by 1⁄64″; 435 mm, full by 0.4 mm'],
  ])('as is asked: %o', (manner, says) => {
    expect(begin(DEFAULT_STYLE, manner).hear('ten foot divided by seven').says).toBe(says);
  });

  it('in feet and inches in a metric job, where that is asked', () => {
    const metric = { ...DEFAULT_STYLE, length: 'mm' } as const;
    const says = (lengths: Manner['lengths']) =>
      begin(metric, { length: 'short', lengths }).hear('two metres divided by seven').says;
    expect([says('job'), says('feet'), says('both')]).toEqual([
      '286 mm, shy by 0.3 mm',
      '11 1⁄4″, shy by less than 1⁄64″',
      '11 1⁄4″, shy by less than 1⁄64″; 286 mm, shy by 0.3 mm',
    ]);
    // What is no length has one way to read.
    expect(begin(metric, { length: 'short', lengths: 'both' }).hear('nine times three').says).toBe('27');
  });

  it.each([
    ['12′ 4 5⁄8″, full by 1⁄32″', 'twelve feet, four and five eighths, full by a thirty-second'],
    ['1′ 5 1⁄8″, full by less than 1⁄64″', 'one foot, five and one eighth, full by less than a sixty-fourth'],
    ['Line 4: 8′ 2″; Line 5: 9′', 'Line four: eight feet, two; Line five: nine feet'],
    ['Clear 46 lines: are you sure?', 'Clear forty-six lines: are you sure?'],
    [
      '2489 mm, full by 0.2 mm',
      'two thousand four hundred and eighty-nine millimetres, full by zero point two millimetres',
    ],
    ['yes, by 3″', 'yes, by three inches'],
  ])('%s', (says, words) => {
    expect(aloud(says)).toBe(words);
  });

  it('a comparison is answered by yes or no', () => {
    expect(answerTo(`5' > 4'`, { describe: describeIssue })).toMatchObject({ reading: 'yes', rounding: 'by 1′' });
  });

  it('units that were left out are those of the job, where it makes no sense without', () => {
    const read = (entry: string, style: ReadingStyle) => answerTo(entry, { style, describe: describeIssue });
    expect(read(`9' + 3`, DEFAULT_STYLE)).toMatchObject({ entry: `9' + 3"`, reading: '9′ 3″' });
    expect(read('9 + 3', DEFAULT_STYLE)).toMatchObject({ entry: '9 + 3', reading: '12' });
    expect(read('2 m + 40', { ...DEFAULT_STYLE, length: 'mm' })).toMatchObject({
      entry: '2 m + 40 mm',
      reading: '2040 mm',
    });
  });
});

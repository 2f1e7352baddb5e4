import type { Order } from '../spoken/heard/orders.ts';
import type { SaidAnswer } from './answer.ts';
import type { Desk, SaidLine } from './desk.ts';
import { lineSays } from './says.ts';
import type { Waiting } from './state.ts';

export const NOTHING_YET = 'There is nothing yet.';
const EMPTY = 'The slate is empty.';
/** Lines that are read out at once, at most. */
const MOST_LINES = 20;

/** Orders about the conversation itself; those are its own to obey. */
type OfConversation = 'stop' | 'help' | 'repeat' | 'yes' | 'no' | 'enter' | 'undo' | 'read-again';
type SlateOrder = Exclude<Order, { readonly asks: OfConversation }>;

/** What orders need of the conversation. */
export interface Course {
  readonly desk: Desk;
  waiting(): Waiting | undefined;
  /** What waits lands first. @returns a sentence where it could not */
  land(): string | undefined;
  /** Asks before something is done. @returns the question */
  ask(says: string, yes: () => string): string;
  /** Nothing that was said before is to be corrected any more. */
  forget(): void;
}

/** Orders about the slate and its lines: each does what it says, and answers in a sentence. */
export class SlateOrders {
  readonly #course: Course;
  readonly #desk: Desk;

  constructor(course: Course) {
    this.#course = course;
    this.#desk = course.desk;
  }

  obey(order: SlateOrder): string {
    switch (order.asks) {
      case 'lines':
        return this.#readLines(order.count);
      case 'line':
        return this.#withLine(order.number, lineSays);
      case 'rounding':
        return this.#ofAnswer(({ rounding }) => rounding ?? 'It is exact.');
      case 'exact':
        return this.#ofAnswer(({ exact, reading, rounding }) =>
          rounding === undefined ? (reading ?? '') : (exact ?? 'It has no exact form that can be said.'),
        );
      case 'redo':
        return this.#desk.redo() ? 'Done again.' : 'There is nothing to do again.';
      default:
        // What was shown counts before anything else is written.
        return this.#desk.refusal ?? this.#course.land() ?? this.#write(order);
    }
  }

  #write(order: Exclude<SlateOrder, { readonly asks: 'lines' | 'line' | 'rounding' | 'exact' | 'redo' }>): string {
    switch (order.asks) {
      case 'clear':
        return this.#clear();
      case 'delete':
        return this.#withLine(order.number, (line) => this.#delete(line));
      case 'heading':
        return this.#words('heading', order.words);
      case 'note':
        if (order.number === undefined) return this.#words('note', order.words);
        return this.#toLine(order.number === 'last' ? undefined : order.number, 'note', order.words);
      case 'label':
        return this.#toLine(order.number, 'label', order.words);
      case 'row':
      case 'item':
        return this.#toList(order.asks, order.words);
    }
  }

  /** Of what waits, else of the last line. */
  #ofAnswer(says: (answer: SaidAnswer) => string): string {
    const answer = this.#course.waiting()?.answer ?? this.#desk.lastLines(1)[0]?.answer;
    return answer?.reading === undefined ? NOTHING_YET : says(answer);
  }

  #readLines(count: number): string {
    const waiting = this.#course.waiting();
    const entry = waiting?.place.to === 'slate' ? waiting.answer : undefined;
    const wanted = Math.min(Math.max(count, 1), MOST_LINES) - (entry === undefined ? 0 : 1);
    const said = wanted === 0 ? [] : this.#desk.lastLines(wanted).map(lineSays);
    if (entry !== undefined) said.push(`Not counted yet: ${entry.reading ?? entry.entry}`);
    return said.length === 0 ? EMPTY : said.join('; ');
  }

  #withLine(number: number | undefined, says: (line: SaidLine) => string): string {
    const line = number === undefined ? this.#desk.lastLines(1)[0] : this.#desk.line(number);
    if (line !== undefined) return says(line);
    return number === undefined ? EMPTY : `There is no line ${number}.`;
  }

  #delete({ number }: SaidLine): string {
    const remove = () => {
      this.#desk.remove(number);
      this.#course.forget();
      return `Line ${number} is deleted; say undo to bring it back.`;
    };
    const users = this.#desk.usersOf(number);
    return users === undefined ? remove() : this.#course.ask(`${users} Delete it?`, remove);
  }

  #clear(): string {
    const count = this.#desk.lineCount;
    if (count === 0) return EMPTY;
    return this.#course.ask(`Clear ${count} ${count === 1 ? 'line' : 'lines'}: are you sure?`, () => {
      this.#desk.clear();
      this.#course.forget();
      return 'The slate is clear; say undo to bring it back.';
    });
  }

  #words(kind: 'heading' | 'note', words: string): string {
    this.#desk.write(kind, words);
    return `${kind === 'heading' ? 'Heading' : 'Note'}: ${words}`;
  }

  #toLine(number: number | undefined, what: 'label' | 'note', words: string): string {
    return this.#withLine(number, (line) => {
      this.#desk[what](line.number, words);
      return `Line ${line.number}: ${words}`;
    });
  }

  #toList(what: 'row' | 'item', words: string): string {
    const { list } = this.#desk;
    if (list === undefined) return 'Rows are in the quantities: open them first.';
    list[what](words);
    return words === '' ? 'A new row.' : words;
  }
}

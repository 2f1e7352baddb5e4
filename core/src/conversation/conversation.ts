import { Dialogue, type Surroundings, type Turn } from '../spoken/heard/dialogue.ts';
import type { Order } from '../spoken/heard/orders.ts';
import { rankHeard, type Alternative } from '../spoken/heard/rank.ts';
import type { HeardWord } from '../spoken/heard/words.ts';
import type { Desk, Place } from './desk.ts';
import { answerSays, type Manner } from './says.ts';
import { NOTHING_YET, SlateOrders } from './slate-orders.ts';
import type { ConversationState, Offer, Reply, Waiting } from './state.ts';

/** Exchanges that are kept to be looked at. */
const MOST_KEPT = 50;
/** Other ways that are offered. */
const MOST_OFFERS = 3;

/**
 * A conversation about a slate. What is heard is shown, and read aloud, before it counts: it counts when somebody says so, or
 * goes on with another entry; "no" and a correction take it back. The same for the screen and for scripts.
 */
export class Conversation {
  readonly #desk: Desk;
  readonly #manner: () => Manner;
  readonly #dialogue = new Dialogue();
  readonly #orders: SlateOrders;
  #state: ConversationState = { waiting: undefined, missed: undefined, question: undefined, log: [] };
  /** The line that was landed last, and which one was the last before it: a correction is of that line. */
  #landed: { readonly number: number; readonly last: number | undefined } | undefined;
  #said = '';

  constructor(desk: Desk, manner: () => Manner = () => ({ length: 'short', lengths: 'job' })) {
    this.#desk = desk;
    this.#manner = manner;
    this.#orders = new SlateOrders({
      desk,
      waiting: () => this.#state.waiting,
      land: () => this.#land(),
      ask: (says, yes) => {
        this.#set({ question: { says, yes } });
        return says;
      },
      forget: () => {
        this.#dialogue.forget();
        this.#landed = undefined;
      },
    });
  }

  get state(): ConversationState {
    return this.#state;
  }

  /** Takes a phrase, in the ways in which it may have been heard, the likeliest first. */
  hear(alternatives: readonly Alternative[]): Reply {
    const [first] = alternatives;
    if (first === undefined || first.text.trim() === '') return { says: '' };
    const { phrase, isGuessed, others } = this.#taken(alternatives);
    const reply = this.#answer(first.text, phrase, others, isGuessed);
    this.#keep(first.text, reply.says);
    return reply;
  }

  /** What is waiting counts: by touch, as by "enter". */
  enter(): Reply {
    return this.#byTouch('enter', () => this.#commit(true));
  }
  /** What is waiting, or asked, is refused: by touch, as by "no". */
  refuse(): Reply {
    return this.#byTouch('no', () => this.#no());
  }
  /** A question is answered by touch. */
  agree(): Reply {
    return this.#byTouch('yes', () => this.#yes());
  }
  /** Another way to take what was heard, chosen by touch: in the place of the first. */
  take(offer: Offer): Reply {
    if (this.#state.waiting?.offers.includes(offer) === true) this.#set({ waiting: undefined });
    return this.hear([{ text: offer.phrase }]);
  }
  /** What is waiting is written otherwise, by hand. */
  rewrite(entry: string): void {
    const { waiting } = this.#state;
    if (waiting === undefined) return;
    const answer = this.#desk.answer(entry, waiting.place);
    // A way out that was offered was one of the entry before.
    this.#set({ waiting: { ...waiting, answer, offers: [] }, question: undefined });
  }

  #byTouch(words: string, act: () => string): Reply {
    const says = act();
    this.#keep(words, says);
    return { says };
  }

  #set(changes: Partial<ConversationState>): void {
    this.#state = { ...this.#state, ...changes };
  }
  #keep(heard: string, says: string): void {
    if (says !== '') this.#said = says;
    this.#set({ log: [...this.#state.log, { heard, says }].slice(-MOST_KEPT) });
  }

  /** What there is to name: what waits counts by then. */
  #surroundings(): Surroundings {
    const { names, fields } = this.#desk;
    const { waiting } = this.#state;
    const made = waiting?.answer.problem === undefined ? waiting?.answer.makes : undefined;
    return { names: made === undefined ? names : [...names, made], fields };
  }

  /** The phrase that makes most sense of what was heard, and the other ways that make sense. */
  #taken(alternatives: readonly Alternative[]): TakenPhrase {
    const surroundings = this.#surroundings();
    const before = this.#pending();
    const read = (phrase: string) => {
      const turn = this.#dialogue.wouldHear(phrase, surroundings);
      return { ...turn, key: JSON.stringify([turn.order, turn.entry, turn.goes]), isOrder: turn.order !== undefined };
    };
    const makesSense = ({ entry, corrects }: Turn) => this.#desk.works(entry, corrects ? undefined : before);
    const ranked = rankHeard(alternatives, { read, makesSense });
    const [best, ...rest] = ranked;
    return {
      phrase: best?.phrase ?? alternatives[0]?.text ?? '',
      isGuessed: best !== undefined && (best.changes > 0 || best.phrase !== alternatives[0]?.text),
      others: rest.flatMap((one) => (one.entry !== '' && one.unknown.length === 0 ? [one.phrase] : [])),
    };
  }

  /** The entry that lands first when somebody goes on. */
  #pending(): string | undefined {
    const { waiting } = this.#state;
    return waiting?.place.to === 'slate' && waiting.answer.problem === undefined ? waiting.answer.entry : undefined;
  }

  #answer(heard: string, phrase: string, others: readonly string[], isGuessed = false): Reply {
    const before = this.#state;
    const turn = this.#dialogue.hear(phrase, this.#surroundings());
    if (turn.order !== undefined) return this.#obey(turn.order);
    this.#set({ question: undefined, missed: undefined });
    if (turn.entry === '' || turn.unknown.length > 0) return this.#miss(heard, turn, others);
    const place = this.#placeOf(turn, before.waiting);
    // Going on is agreeing with what was shown.
    if (!turn.corrects) {
      const problem = this.#land();
      if (problem !== undefined) return { says: problem, turn };
    }
    return this.#wait(heard, turn, place, others, isGuessed);
  }

  /** A correction of what has landed already is of its line. */
  #placeOf(turn: Turn, waiting: Waiting | undefined): Place {
    if (!turn.corrects || turn.goes.to !== 'slate') return turn.goes;
    if (waiting !== undefined) return waiting.place;
    return this.#landed === undefined ? turn.goes : { to: 'line', ...this.#landed };
  }

  #wait(heard: string, turn: Turn, place: Place, others: readonly string[], isGuessed = false): Reply {
    const answer = this.#desk.answer(turn.entry, place);
    // What waited has landed, or gives way to this.
    this.#set({ waiting: undefined });
    const offers = this.#offers(others, answer.entry, place);
    this.#set({ waiting: { heard, phrase: turn.phrase, isGuessed, place, answer, offers }, question: undefined });
    const [fix] = answer.problem?.fixes ?? [];
    if (answer.problem !== undefined && fix !== undefined) {
      const says = `${answer.problem.sentence} ${fix.label}? Say yes to take it.`;
      this.#set({
        question: {
          says,
          yes: () => {
            this.rewrite(fix.entry);
            const { waiting } = this.#state;
            return waiting === undefined ? '' : this.#says(waiting);
          },
        },
      });
      return { says, turn, answer };
    }
    const says = this.#says(this.#state.waiting as Waiting);
    return { says, turn, answer };
  }

  #says({ answer, place, isGuessed }: Waiting): string {
    if (answer.problem !== undefined) return answer.problem.sentence;
    const manner = this.#manner();
    // What was guessed is read back, so that nobody needs to look.
    const says = answerSays(answer, isGuessed ? { ...manner, length: 'long' } : manner);
    if (place.to === 'line') return `Line ${place.number}: ${says}`;
    return place.to === 'field' ? `${this.#fieldName(place.id)}: ${says}` : says;
  }
  #fieldName(id: string): string {
    return this.#desk.fields.find((field) => field.id === id)?.names[0] ?? id;
  }

  #offers(phrases: readonly string[], taken: string, place: Place): readonly Offer[] {
    const offers: Offer[] = [];
    for (const phrase of phrases) {
      const turn = this.#dialogue.wouldHear(phrase, this.#surroundings());
      if (turn.entry === '' || turn.order !== undefined) continue;
      const before = turn.corrects ? undefined : this.#pending();
      const answer = this.#desk.answer(turn.entry, turn.goes.to === 'slate' ? place : turn.goes, before);
      const isNew = answer.entry !== taken && offers.every((one) => one.answer.entry !== answer.entry);
      if (isNew && answer.problem === undefined) offers.push({ phrase, answer });
      if (offers.length === MOST_OFFERS) break;
    }
    return offers;
  }

  /** Some words say nothing here: it is shown which, and what there is without them. */
  #miss(heard: string, turn: Turn, others: readonly string[]): Reply {
    const unknown = turn.unknown.length > 0 ? turn.unknown : [];
    const without = unknown.length > 0 && turn.entry !== '' ? [withoutWords(turn.phrase, unknown)] : [];
    const offers = this.#offers([...without, ...others], '', { to: 'slate' });
    const [offer] = offers;
    const lost = unknown.map(({ text }) => `“${text}”`).join(' and ');
    const why =
      unknown.length === 0
        ? 'I heard nothing to work out: say a size, or what to do with the last one.'
        : `${lost} ${unknown.length === 1 ? 'says' : 'say'} nothing here.`;
    const says =
      offer === undefined
        ? unknown.length === 0
          ? why
          : `${why} Say it in another way.`
        : `${why} Did you mean ${offer.answer.readBack ?? offer.answer.entry}? Say yes to take it.`;
    const question = offer === undefined ? undefined : { says, yes: () => this.#answer(heard, offer.phrase, []).says };
    this.#set({ missed: { heard: turn.phrase, unknown, offers }, question });
    return { says, turn };
  }

  /** Writes down what waits, as far as it works out. @returns a sentence where it could not be written */
  #land(): string | undefined {
    const { waiting } = this.#state;
    if (waiting === undefined) return undefined;
    this.#set({ waiting: undefined, question: undefined });
    if (waiting.answer.problem !== undefined) return undefined;
    const last = this.#desk.lastLines(1)[0]?.number;
    const { number, problem } = this.#desk.put(waiting.answer.entry, waiting.place);
    if (problem !== undefined) {
      this.#set({ waiting });
      return problem;
    }
    if (waiting.place.to === 'slate' && number !== undefined) this.#landed = { number, last };
    return undefined;
  }

  /** @param says whether it says where it went */
  #commit(says: boolean): string {
    const { waiting } = this.#state;
    if (waiting === undefined) return says ? NOTHING_YET : '';
    if (waiting.answer.problem !== undefined) return says ? waiting.answer.problem.sentence : '';
    const problem = this.#land();
    if (problem !== undefined) return problem;
    if (!says) return '';
    const { place } = waiting;
    if (place.to === 'field') return `${this.#fieldName(place.id)} is set.`;
    const number = place.to === 'line' ? place.number : this.#landed?.number;
    return number === undefined ? 'It is on the slate.' : `Line ${number}.`;
  }

  #yes(): string {
    const { question } = this.#state;
    if (question === undefined) return this.#commit(true);
    this.#set({ question: undefined });
    return question.yes();
  }

  /** What was asked last is left first, then what was not understood, then what waits. */
  #no(): string {
    const { question, waiting, missed } = this.#state;
    const isOfProblem = question !== undefined && missed === undefined && waiting?.answer.problem !== undefined;
    this.#set({ question: undefined, missed: undefined });
    if ((question !== undefined || missed !== undefined) && !isOfProblem) return 'Nothing is changed.';
    if (waiting === undefined) return NOTHING_YET;
    this.#set({ waiting: undefined });
    this.#dialogue.forget();
    return 'Not counted.';
  }

  #obey(order: Order): Reply {
    if (order.asks !== 'yes' && order.asks !== 'no' && order.asks !== 'read-again')
      this.#set({ missed: undefined, question: undefined });
    switch (order.asks) {
      case 'stop':
      case 'help':
        return { says: this.#commit(false), asks: order.asks };
      case 'repeat':
        return this.#repeat();
      case 'yes':
        return { says: this.#yes() };
      case 'no':
        return { says: this.#no() };
      case 'enter':
        return { says: this.#commit(true) };
      case 'undo':
        return { says: this.#undo() };
      case 'read-again':
        return { says: this.#said === '' ? NOTHING_YET : this.#said };
      default:
        return { says: this.#orders.obey(order) };
    }
  }

  #undo(): string {
    const { waiting } = this.#state;
    this.#dialogue.forget();
    if (waiting !== undefined) {
      this.#set({ waiting: undefined });
      return 'Not counted.';
    }
    this.#landed = undefined;
    const undone = this.#desk.undo();
    return undone === undefined
      ? 'There is nothing to undo.'
      : `Done: ${undone.charAt(0).toLowerCase()}${undone.slice(1)}.`;
  }

  #repeat(): Reply {
    const problem = this.#land();
    if (problem !== undefined) return { says: problem };
    const entry = this.#desk.repeated();
    if (entry === undefined) return { says: NOTHING_YET };
    const goes = { to: 'slate' } as const;
    return this.#wait(entry, { entry, unknown: [], phrase: entry, corrects: false, goes }, goes, []);
  }
}

interface TakenPhrase {
  readonly phrase: string;
  /** It is not what was heard first, as it was heard. */
  readonly isGuessed: boolean;
  readonly others: readonly string[];
}

/** A phrase without the words that say nothing. */
function withoutWords(phrase: string, words: readonly HeardWord[]): string {
  return [...words]
    .reverse()
    .reduce((text, { start, end }) => `${text.slice(0, start)} ${text.slice(end)}`, phrase)
    .trim();
}

/** A conversation about a slate: phrases in, entries and answers out. */
export {
  answerTo,
  reckonSaid,
  refusedAnswer,
  scopeBehind,
  type SaidAnswer,
  type SaidFix,
  type SaidOptions,
} from './answer.ts';
export { Conversation } from './conversation.ts';
export type { ConversationState, Exchange, Missed, Offer, Question, Reply, Waiting } from './state.ts';
export type { Desk, Place, SaidLine } from './desk.ts';
export { aloud, type Manner } from './says.ts';
export { SlateDesk } from './slate-desk.ts';
export type { Alternative } from '../spoken/heard/rank.ts';
export type { SaidField } from '../spoken/heard/dialogue.ts';

import { kindNamed, type Change, type ChangeResult } from '@sprell/contract';

/** What became of a change, as pages expect it that were opened before November 2026: `scale` for what is `thing` of it now. */
export function earlierResult(change: Change, result: ChangeResult): ChangeResult {
  if (!('thingId' in change)) return result;
  const { name, earlier } = kindNamed(change.of);
  const answer: object =
    result.status === 'thing' || result.status === 'thing.conflict'
      ? { id: result.id, status: result.status.replace('thing', name), [earlier?.content ?? name]: result.thing }
      : result.status === 'refused'
        ? { ...result, code: result.code.replace('thing.', `${name}.`) }
        : result;
  // No answer of today's; the sender knows no other.
  return answer as ChangeResult;
}

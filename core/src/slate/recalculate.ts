import { equalValue } from '../number/value.ts';
import type { LineResult, SlateNode } from './node.ts';

let rounds = 0;

/**
 * Works out again what hangs on the given nodes, each after everything it needs, and nothing else. A node whose sources
 * all came out as before is passed over. No recursion: a chain may be as long as the slate.
 * @param work gives one node its result from its sources' results, and returns whether that differs from before
 * @returns the nodes whose results changed, and those left over because they lie on a circle or hang on one
 */
export function recalculate(
  start: Iterable<SlateNode>,
  work: (node: SlateNode) => boolean,
): { readonly changed: readonly SlateNode[]; readonly stuck: readonly SlateNode[] } {
  const affected = gather(start);
  const ready = affected.filter((node) => node.waiting === 0);
  const changed: SlateNode[] = [];
  for (let next = 0; next < ready.length; next += 1) {
    const node = ready[next] as SlateNode;
    const differs = node.stale && work(node);
    node.stale = false;
    if (differs) changed.push(node);
    for (const user of node.users) {
      if (differs) user.stale = true;
      user.waiting -= 1;
      if (user.waiting === 0) ready.push(user);
    }
  }
  return { changed, stuck: ready.length === affected.length ? [] : affected.filter((node) => node.waiting > 0) };
}

/** The start nodes and all their users, near and far, with the count of sources each waits for. */
function gather(start: Iterable<SlateNode>): readonly SlateNode[] {
  rounds += 1;
  const affected: SlateNode[] = [];
  const meet = (node: SlateNode) => {
    if (node.round === rounds) return;
    node.round = rounds;
    node.waiting = 0;
    affected.push(node);
  };
  for (const node of start) {
    meet(node);
    node.stale = true;
  }
  for (let next = 0; next < affected.length; next += 1) {
    for (const user of (affected[next] as SlateNode).users) {
      meet(user);
      user.waiting += 1;
    }
  }
  return affected;
}

/** Whether two results mean the same to their users. Issues are compared by what they say and where. */
export function sameResult(a: LineResult, b: LineResult): boolean {
  if (!a.ok)
    return (
      !b.ok &&
      a.issue.code === b.issue.code &&
      a.issue.start === b.issue.start &&
      JSON.stringify(a.issue.fields) === JSON.stringify(b.issue.fields)
    );
  if (!b.ok || a.outcome.kind !== b.outcome.kind) return false;
  if (a.outcome.kind === 'answer') {
    const other = b.outcome as typeof a.outcome;
    return a.outcome.yes === other.yes && equalValue(a.outcome.difference.value, other.difference.value);
  }
  const other = b.outcome as typeof a.outcome;
  return (
    a.outcome.quantity.dimension === other.quantity.dimension &&
    equalValue(a.outcome.quantity.value, other.quantity.value)
  );
}

/** The shortest way from a node back to itself along its users, as it is named in the refusal; undefined when there is none. */
export function circleThrough(node: SlateNode): readonly SlateNode[] | undefined {
  const cameFrom = new Map<SlateNode, SlateNode>();
  const queue: SlateNode[] = [node];
  for (let next = 0; next < queue.length; next += 1) {
    const at = queue[next] as SlateNode;
    for (const user of at.users) {
      if (user === node) {
        const chain = [node];
        for (let step: SlateNode | undefined = at; step !== undefined && step !== node; step = cameFrom.get(step))
          chain.push(step);
        return [...chain, node];
      }
      if (!cameFrom.has(user)) {
        cameFrom.set(user, at);
        queue.push(user);
      }
    }
  }
  return undefined;
}

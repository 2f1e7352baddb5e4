import { describe, expect, it } from 'vitest';
import type { SlateNode } from './node.ts';
import { recalculate } from './recalculate.ts';

/** Nodes that depend on each other as given, by their names. */
function graph(sources: Readonly<Record<string, readonly string[]>>): Readonly<Record<string, SlateNode>> {
  const nodes: Record<string, SlateNode> = {};
  for (const name of Object.keys(sources))
    nodes[name] = { name, users: [], round: 0, waiting: 0, stale: false } as unknown as SlateNode;
  for (const [name, needed] of Object.entries(sources))
    for (const one of needed) nodes[one]?.users.push(nodes[name] as SlateNode);
  return nodes;
}
const nameOf = (node: SlateNode) => (node as unknown as { readonly name: string }).name;

describe('working out again', () => {
  const shape = { a: [], b: ['a'], c: ['b'], d: ['a', 'c'], other: [] };
  const run = (nodes: Readonly<Record<string, SlateNode>>, start: string, differs: (name: string) => boolean) => {
    const worked: string[] = [];
    const { changed, stuck } = recalculate([nodes[start] as SlateNode], (node) => {
      worked.push(nameOf(node));
      return differs(nameOf(node));
    });
    return { worked, changed: changed.map(nameOf), stuck: stuck.map(nameOf) };
  };

  it('is done once for each node that hangs on the first, behind all that it needs, and for no other', () => {
    const { worked, changed } = run(graph(shape), 'a', () => true);
    expect(worked).toEqual(['a', 'b', 'c', 'd']);
    expect(changed).toEqual(worked);
  });

  it('stops where a result is as it was', () => {
    expect(run(graph(shape), 'a', (name) => name === 'a').worked).toEqual(['a', 'b', 'd']);
    expect(run(graph(shape), 'a', () => false)).toEqual({ worked: ['a'], changed: [], stuck: [] });
  });

  it('begins with nothing left over from the time before', () => {
    const nodes = graph(shape);
    run(nodes, 'a', () => true);
    expect(run(nodes, 'a', () => false).worked).toEqual(['a']);
    expect(run(nodes, 'c', (name) => name === 'c').worked).toEqual(['c', 'd']);
  });

  it('leaves over what lies on a circle or hangs on one', () => {
    const nodes = graph({ a: [], b: ['a', 'c'], c: ['b'], d: ['c'] });
    const { worked, stuck } = run(nodes, 'a', () => true);
    expect(worked).toEqual(['a']);
    expect(stuck.sort()).toEqual(['b', 'c', 'd']);
  });
});

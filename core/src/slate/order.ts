import type { SlateNode } from './node.ts';

/** Some nodes, each after all that it uses; undefined where that is more than so many nodes, or a circle. */
export function neededBy(nodes: readonly SlateNode[], most: number): readonly SlateNode[] | undefined {
  const ordered = new Set<SlateNode>();
  const open = new Set<SlateNode>();
  const ways: { readonly node: SlateNode; next: number }[] = [];
  for (const start of nodes) {
    if (!ordered.has(start)) ways.push({ node: start, next: 0 });
    for (let way = ways.at(-1); way; way = ways.at(-1)) {
      open.add(way.node);
      const source = way.node.sources[way.next];
      way.next += 1;
      if (source === undefined) {
        ordered.add(way.node);
        open.delete(way.node);
        ways.pop();
      } else if (open.has(source)) return undefined;
      else if (!ordered.has(source)) ways.push({ node: source, next: 0 });
      if (ordered.size + open.size > most) return undefined;
    }
  }
  return [...ordered];
}

/** All nodes of a slate, each after all its sources. There are no circles: the lines on one have no sources. */
export function dependencyOrder(nodes: readonly SlateNode[]): readonly SlateNode[] {
  for (const node of nodes) node.waiting = node.sources.length;
  const ordered = nodes.filter((node) => node.waiting === 0);
  for (let next = 0; next < ordered.length; next += 1)
    for (const user of (ordered[next] as SlateNode).users) {
      user.waiting -= 1;
      if (user.waiting === 0) ordered.push(user);
    }
  return ordered;
}

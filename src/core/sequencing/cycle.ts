import { sequencingSays } from './sequencing.says';

interface Node {
  readonly id: string;
  readonly after: readonly string[];
}

/**
 * The first ring of blocks that wait for each other, found from the block that comes first.
 * @returns ids in the order in which they would have to follow, the first one again at the end; undefined without a ring
 */
export function findCycle(nodes: readonly Node[]): readonly string[] | undefined {
  const byId = new Map(nodes.map((node) => [node.id, node]));
  const finished = new Set<string>();
  const visit = (id: string, path: readonly string[]): readonly string[] | undefined => {
    const at = path.indexOf(id);
    if (at >= 0) return [...path.slice(at), id].reverse();
    if (finished.has(id)) return undefined;
    for (const earlier of byId.get(id)?.after ?? []) {
      const ring = visit(earlier, [...path, id]);
      if (ring) return ring;
    }
    finished.add(id);
    return undefined;
  };
  for (const { id } of nodes) {
    const ring = visit(id, []);
    if (ring) return ring;
  }
  return undefined;
}

/** The ring as a sentence that says what to do. */
export const ringWords = (ring: readonly string[]) => sequencingSays.theseBlocksWaitForEachOther(ring.join(' → '));

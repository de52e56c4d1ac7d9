import { nodeFindingOf } from '../anatomy/node-findings';

/** Findings that cannot all be so at once; both count until one is taken back. */
const exclusive: readonly (readonly string[])[] = [
  ['hypertension-controlled', 'hypertension-uncontrolled'],
  ['hypertension-uncontrolled', 'hypotension'],
  ['heart-failure-treated', 'heart-failure-decompensated'],
  ['diabetes-controlled', 'diabetes-uncontrolled'],
  ['pregnancy-1', 'pregnancy-2', 'pregnancy-3'],
  ['lymphoedema-one-limb', 'lymphoedema-both-limbs'],
  ['heat-intolerance', 'cold-intolerance'],
];

interface Sided {
  readonly id: string;
  readonly side?: 'left' | 'right' | 'both' | undefined;
}

/** Pairs of findings that contradict each other, each pair once, in the order in which they stand. */
export function contradictionsIn<F extends Sided>(findings: readonly F[]): readonly (readonly [F, F])[] {
  return findings.flatMap((first, i) =>
    findings
      .slice(i + 1)
      .flatMap((second): (readonly [F, F])[] => (contradict(first, second) ? [[first, second]] : [])),
  );
}

function contradict(a: Sided, b: Sided): boolean {
  if (exclusive.some((set) => set.includes(a.id) && set.includes(b.id) && a.id !== b.id)) return true;
  const [nodesA, nodesB] = [nodeFindingOf(a.id), nodeFindingOf(b.id)];
  if (!nodesA || nodesA.of !== nodesB?.of || nodesA.loss === nodesB.loss) return false;
  return a.side === undefined || b.side === undefined || a.side === 'both' || b.side === 'both' || a.side === b.side;
}

import {
  type Anatomy,
  type Basin,
  type Edge,
  type FigureView,
  type Part,
  type PlaceId,
  type Quadrant,
  type RegionGroup,
  type RegionGroups,
  regionGroups,
  type Territory,
} from '../core/anatomy/place';
import {
  basinRows,
  deepFlowRows,
  detourRows,
  flowRows,
  midlineCrossingRows,
  regionGroupRows,
  sideCrossingRows,
  territoryRows,
} from './anatomy.data';

const sides = ['left', 'right'] as const;

function makeTerritories(): Map<PlaceId, Territory> {
  const territories = new Map<PlaceId, Territory>();
  for (const [name, label, part, home, views, placements, extra] of territoryRows) {
    for (const side of sides) {
      const id = `${name}.${side}`;
      territories.set(id, {
        id,
        name,
        side,
        label: `${side} ${label}`,
        bareLabel: label,
        part: part as Part,
        home: `${home}.${side}`,
        views: views as readonly FigureView[],
        placements,
        ...(typeof extra === 'number' ? { segment: extra } : {}),
        ...(typeof extra === 'string' ? { quadrant: extra as Quadrant } : {}),
      });
    }
  }
  return territories;
}

function makeBasins(): Map<PlaceId, Basin> {
  const basins = new Map<PlaceId, Basin>();
  for (const [name, label, paired, receives] of basinRows) {
    if (paired === 'mid')
      basins.set(`${name}.mid`, { id: `${name}.mid`, name, side: 'mid', label, bareLabel: label, receives });
    else {
      for (const side of sides) {
        const id = `${name}.${side}`;
        basins.set(id, { id, name, side, label: `${side} ${label}`, bareLabel: label, receives });
      }
    }
  }
  return basins;
}

function makeEdges(): Edge[] {
  const onEachSide = sides.flatMap((side): Edge[] => [
    ...flowRows.map(([from, to, cost]): Edge => ({ from: `${from}.${side}`, to: `${to}.${side}`, kind: 'flow', cost })),
    ...detourRows.map(([from, to, cost]): Edge => ({
      from: `${from}.${side}`,
      to: `${to}.${side}`,
      kind: 'detour',
      cost,
    })),
    ...sideCrossingRows.flatMap(([a, b, cost, crossing, label]): Edge[] => {
      const common = { kind: 'crossing', cost, crossing: `${crossing}.${side}`, label } as const;
      return [
        { from: `${a}.${side}`, to: `${b}.${side}`, ...common },
        { from: `${b}.${side}`, to: `${a}.${side}`, ...common },
      ];
    }),
  ]);
  const acrossTheMiddle = midlineCrossingRows.flatMap(([name, cost, crossing, label]): Edge[] => {
    const common = { kind: 'crossing', cost, crossing, label } as const;
    return [
      { from: `${name}.left`, to: `${name}.right`, ...common },
      { from: `${name}.right`, to: `${name}.left`, ...common },
    ];
  });
  const deep = deepFlowRows.map(([from, to, cost]): Edge => ({ from, to, kind: 'flow', cost }));
  return [...onEachSide, ...acrossTheMiddle, ...deep];
}

function defineAnatomy(): Anatomy {
  const territories = makeTerritories();
  const basins = makeBasins();
  const edges = makeEdges();
  const edgesInto = new Map<PlaceId, Edge[]>([...territories.keys(), ...basins.keys()].map((id) => [id, []]));
  for (const edge of edges) {
    const into = edgesInto.get(edge.to);
    if (!into || !edgesInto.has(edge.from))
      throw new Error(`anatomy: edge ${edge.from} → ${edge.to} names an unknown place`);
    into.push(edge);
  }
  const names = new Set([...territories.values(), ...basins.values()].map(({ name }) => name));
  const groups: Partial<Record<RegionGroup, ReadonlySet<string>>> = {};
  for (const group of regionGroups) {
    const unknown = regionGroupRows[group].find((name) => !names.has(name));
    if (unknown) throw new Error(`anatomy: the group ${group} names “${unknown}”, which is no region`);
    groups[group] = new Set<string>(regionGroupRows[group]);
  }
  return { territories, basins, edges, edgesInto, groups: groups as RegionGroups };
}

/** The body as it ships: 126 territories, 26 node groups and 346 ways between them. */
export const anatomy: Anatomy = defineAnatomy();

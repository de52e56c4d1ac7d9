/** Findings about lymph nodes, told by what they are instead of by how their ids are spelt. */

/** All of a group were taken out, or only the first ones. */
export type NodeLoss = 'removed' | 'sentinel';
export type NodeRegion = 'axillary' | 'inguinal' | 'pelvic' | 'neck';

export interface NodeFinding {
  readonly loss: NodeLoss;
  readonly of: NodeRegion;
}

export const nodeFindingIds = [
  'nodes-removed-axillary',
  'nodes-removed-inguinal',
  'nodes-removed-pelvic',
  'nodes-removed-neck',
  'nodes-sentinel-axillary',
  'nodes-sentinel-inguinal',
  'nodes-sentinel-neck',
] as const;
export type NodeFindingId = (typeof nodeFindingIds)[number];

const nodeFindings: Readonly<Record<NodeFindingId, NodeFinding>> = {
  'nodes-removed-axillary': { loss: 'removed', of: 'axillary' },
  'nodes-removed-inguinal': { loss: 'removed', of: 'inguinal' },
  'nodes-removed-pelvic': { loss: 'removed', of: 'pelvic' },
  'nodes-removed-neck': { loss: 'removed', of: 'neck' },
  'nodes-sentinel-axillary': { loss: 'sentinel', of: 'axillary' },
  'nodes-sentinel-inguinal': { loss: 'sentinel', of: 'inguinal' },
  'nodes-sentinel-neck': { loss: 'sentinel', of: 'neck' },
};

/** @returns undefined for a finding that is not about nodes */
export const nodeFindingOf = (id: string): NodeFinding | undefined =>
  (nodeFindings as Readonly<Record<string, NodeFinding>>)[id];

/** Node groups of the map that each of them stands for, by name; the pelvic ones take the groin's with them. */
export const groupsOfNodes: Readonly<Record<NodeRegion, readonly string[]>> = {
  axillary: ['axillary'],
  inguinal: ['inguinal'],
  pelvic: ['inguinal'],
  neck: ['cervical', 'submandibular', 'submental'],
};

const bothSides = ['left', 'right'] as const;

/** The sides that a finding speaks of; none where it was not said. */
export const sidesOfFinding = ({ side }: { readonly side?: 'left' | 'right' | 'both' | undefined }) =>
  side === 'both' ? bothSides : side ? [side] : [];

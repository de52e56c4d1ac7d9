import type { Protocol } from './protocol';
import type { Technique } from './technique';

/** What a file of an earlier version does not say of its entries: to be written, and never made up. */
export const gapKinds = ['why', 'never', 'feel', 'words', 'order'] as const;
export type Gap = (typeof gapKinds)[number];

export const gapsOfTechnique = ({ why, never, feel, words }: Technique): readonly Gap[] => [
  ...(['why', 'never', 'feel'] as const).filter((field) => ({ why, never, feel })[field].trim() === ''),
  ...(words.length === 0 ? (['words'] as const) : []),
];

/** A protocol of steps says why at least once, and whether its order is what it teaches. */
export const gapsOfProtocol = ({ source, keepOrder, blocks }: Protocol): readonly Gap[] =>
  source === 'planner'
    ? []
    : [
        ...(blocks.some(({ steps }) => steps.some(({ why }) => why)) ? [] : (['why'] as const)),
        ...(keepOrder === undefined && blocks.length > 1 ? (['order'] as const) : []),
      ];

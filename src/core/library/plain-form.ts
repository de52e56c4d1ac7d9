import type { Protocol, ProtocolBlock } from './protocol';
import { hasTrait, type Technique, type Trait } from './technique';

/** A library as other programs read it: what is said by traits here stands as a plain yes or no of its own there. */

/** The name of each yes or no, and the trait that it stands for. */
const flags = {
  intense: 'intense',
  stimulating: 'stimulating',
  needsBothHandsOneSide: 'both-hands-one-side',
  advanced: 'advanced',
  licensed: 'licensed',
  guarded: 'guarded',
  intraoral: 'inside-mouth',
  byClient: 'by-client',
  soothing: 'soothing',
} as const satisfies Readonly<Record<string, Trait>>;
type Flag = keyof typeof flags;

/** Traits that stand as a yes or no only. */
const onlyFlags: ReadonlySet<Trait> = new Set([
  'intense',
  'both-hands-one-side',
  'advanced',
  'licensed',
  'guarded',
  'by-client',
]);

export type PlainTechnique = Omit<Technique, 'isPerRegion' | 'cues' | 'turnedCue'> &
  Readonly<Record<Flag, boolean>> & { readonly perRegion: boolean; readonly cue: string };

export function plainTechnique(technique: Technique): PlainTechnique {
  const { isPerRegion, cues, turnedCue: _, traits, ...same } = technique;
  const told = Object.fromEntries(
    Object.entries(flags).map(([flag, trait]) => [flag, hasTrait(technique, trait)]),
  ) as Record<Flag, boolean>;
  return {
    ...same,
    ...told,
    traits: traits.filter((trait) => !onlyFlags.has(trait)).toSorted(),
    perRegion: isPerRegion,
    cue: cues.join(' '),
  };
}

type PlainBlock = Omit<ProtocolBlock, 'isShortForm' | 'isOptional' | 'twin'> & {
  readonly shortForm?: true;
  readonly optional?: true;
};
export type PlainProtocol = Omit<Protocol, 'blocks'> & { readonly blocks: readonly PlainBlock[] };

export const plainProtocol = (protocol: Protocol): PlainProtocol => ({
  ...protocol,
  pairs: protocol.pairs ?? [],
  blocks: protocol.blocks.map(({ isShortForm, isOptional, twin: _, ...same }) => ({
    ...same,
    ...(isShortForm && { shortForm: true as const }),
    ...(isOptional && { optional: true as const }),
  })),
});

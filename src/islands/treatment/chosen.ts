import type { TreatmentHolds } from '../../contracts/treatment';
import type { OfferedProtocol } from '../../contracts/treatment-views';

export type Choices = TreatmentHolds['choices'];
type OneChoice = Choices[number];

/** A choice more; its id is one that none of the others has, so that an order still names them. */
export function withProtocol(choices: Choices, protocol: string): Choices {
  if (choices.some((one) => one.protocol === protocol)) return choices;
  let number = 1;
  while (choices.some(({ id }) => id === `c${number}`)) number += 1;
  return [...choices, { id: `c${number}`, protocol }];
}

export const withoutProtocol = (choices: Choices, protocol: string): Choices =>
  choices.filter((one) => one.protocol !== protocol);

/** Takes a part of a protocol in or out; with all of them, none is named. The last one cannot be taken out. */
export function withPart(choices: Choices, offered: OfferedProtocol, part: string, isIn: boolean): Choices {
  return choices.map((one): OneChoice => {
    if (one.protocol !== offered.id) return one;
    const now = offered.parts.map(({ id }) => id).filter((id) => one.blocks?.includes(id) ?? true);
    const next = offered.parts.map(({ id }) => id).filter((id) => (id === part ? isIn : now.includes(id)));
    if (next.length === 0) return one;
    const { blocks: _, ...whole } = one;
    return next.length === offered.parts.length ? whole : { ...whole, blocks: next };
  });
}

/** Takes blocks of a planned treatment out of what was chosen; a protocol of which nothing is left goes altogether. */
export function withoutBlocks(choices: Choices, blocks: readonly string[], planned: readonly string[]): Choices {
  return choices.flatMap((one): Choices => {
    const own = planned.filter((id) => id.startsWith(`${one.id}/`)).map((id) => id.slice(one.id.length + 1));
    const gone = new Set(blocks.filter((id) => id.startsWith(`${one.id}/`)).map((id) => id.slice(one.id.length + 1)));
    if (gone.size === 0) return [one];
    const left = (one.blocks ?? own).filter((id) => !gone.has(id));
    return left.length === 0 ? [] : [{ ...one, blocks: left }];
  });
}

/** Usual minutes of what was chosen, parts that were taken out not counted. */
export function minutesOf(choices: Choices, protocols: readonly OfferedProtocol[]): number {
  return choices.reduce((sum, { protocol, blocks }) => {
    const offered = protocols.find(({ id }) => id === protocol);
    if (!offered) return sum;
    if (!blocks) return sum + offered.minutes;
    return (
      sum + offered.parts.filter(({ id }) => blocks.includes(id)).reduce((total, { minutes }) => total + minutes, 0)
    );
  }, 0);
}

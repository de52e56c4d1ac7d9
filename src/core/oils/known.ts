import type { OilId } from '../ids';
import type { FieldError } from '../result';
import type { OilBook } from './book';
import { oilsSays } from './oils.says';

/** What somebody named that the book may not have. */
export interface Named {
  readonly carrier?: string;
  readonly conditions?: readonly string[];
  readonly oils?: readonly { readonly oil: OilId }[];
  /** Where the oils stand in what was sent. */
  readonly oilsPath?: string;
}

/** Names that the book does not have, by field. */
export function unknownNames(book: OilBook, input: Named): readonly FieldError[] {
  const path = input.oilsPath ?? 'parts';
  return [
    ...(input.carrier !== undefined && !book.carriers.has(input.carrier)
      ? [
          {
            path: 'carrier',
            message: oilsSays.thereIsNoCarrierOneOf(input.carrier, [...book.carriers.keys()].join(', ')),
          },
        ]
      : []),
    ...(input.conditions ?? []).flatMap((id, i) =>
      id === 'frail' || book.conditions.has(id)
        ? []
        : [
            {
              path: `client.conditions.${i}`,
              message: oilsSays.thereIsNoConditionOneOf(id, [...book.conditions.keys()].join(', ')),
            },
          ],
    ),
    ...(input.oils ?? []).flatMap(({ oil }, i) =>
      book.oils.has(oil) ? [] : [{ path: `${path}.${i}.oil`, message: oilsSays.thereIsNoOilFindIts(oil) }],
    ),
  ];
}

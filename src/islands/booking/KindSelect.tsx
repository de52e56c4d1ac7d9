import type { ComponentPropsWithRef } from 'react';
import type { TreatmentOffers } from '../../contracts/treatment-views';
import { Select } from '../../ui/field/Field';
import { bookingWords } from './booking.words';

interface KindProps extends ComponentPropsWithRef<'select'> {
  readonly offers: TreatmentOffers | undefined;
  readonly error: string | undefined;
}

/** What the visit is for: a drainage, something ready-made, or any protocol of the house. */
export function KindSelect({ offers, ...select }: KindProps) {
  const protocols = offers?.protocols ?? [];
  return (
    <Select label={bookingWords.whatFor} {...select}>
      <option value="drainage">{bookingWords.drainage}</option>
      {offers && offers.ready.length > 0 && (
        <optgroup label={bookingWords.readyMade}>
          {offers.ready.map((one) => (
            <option key={one.id} value={`ready:${one.id}`}>
              {one.kind === 'usual' ? bookingWords.usual(one.name) : one.name}
            </option>
          ))}
        </optgroup>
      )}
      {[...new Set(protocols.map(({ modality }) => modality))].map((group) => (
        <optgroup key={group} label={group}>
          {protocols
            .filter(({ modality }) => modality === group)
            .map(({ id, name }) => (
              <option key={id} value={`protocol:${id}`}>
                {name}
              </option>
            ))}
        </optgroup>
      ))}
    </Select>
  );
}

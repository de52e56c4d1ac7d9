import { clientWords } from './client.words';
import type { ClientId } from '../../core/ids';
import { useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlacedFinding } from '../../contracts/people-views';
import type { ConditionView } from '../../contracts/screening-views';
import { getPlace, type PlaceId } from '../../core/anatomy/place';
import { list } from '../../core/drainage/wording';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { RoughDateField } from '../../ui/date-field/RoughDateField';
import { Field } from '../../ui/field/Field';
import { Pick, type PickOption } from '../../ui/pick/Pick';
import { RequestError, send } from '../api';
import styles from './PlaceFinding.module.css';

type How = 'side' | 'regions' | 'pair' | 'none';

const thickened: PickOption = {
  id: 'thickened',
  text: clientWords.thickenedDoughyOrFirmSkin,
  group: clientWords.feltByHand,
};

const hints: Readonly<Record<How, string>> = {
  side: clientWords.chooseTheSide,
  regions: clientWords.clickThePlacesOnTheBody,
  pair: clientWords.pickTheTwoNeighboursThatThe,
  none: clientWords.noPlaceIsNeeded,
};

function howOf(id: string | null, conditions: readonly ConditionView[]): How {
  if (id === thickened.id) return 'regions';
  switch (conditions.find((condition) => condition.id === id)?.locatable) {
    case 'side':
      return 'side';
    case 'region':
    case 'point':
      return 'regions';
    case 'line':
      return 'pair';
    default:
      return 'none';
  }
}

/** State of placing one finding, or of correcting one: what, where, since when. Kept until it is saved or given up. */
export function usePlacing(
  clientId: ClientId,
  conditions: readonly ConditionView[],
  onSaved: (finding: PlacedFinding, replaced: number | null) => void,
) {
  const [isOpen, setIsOpen] = useState(false);
  const [corrected, setCorrected] = useState<PlacedFinding>();
  const [kind, setKind] = useState<string | null>(null);
  const [side, setSide] = useState<'left' | 'right' | 'both' | null>(null);
  const [picked, setPicked] = useState<readonly PlaceId[]>([]);
  const [sinceOn, setSinceOn] = useState('');
  const [note, setNote] = useState('');
  const [reason, setReason] = useState('');
  const [error, setError] = useState<RequestError>();
  const how = howOf(kind, conditions);

  const finding = {
    id: kind ?? '',
    ...(how === 'side' && side ? { side } : {}),
    ...(how === 'regions' || (how === 'pair' && picked.length > 0) ? { regions: picked } : {}),
    ...(how === 'pair' && picked.length === 2 ? { crosses: [[picked[0] ?? '', picked[1] ?? '']] } : {}),
    sinceOn: sinceOn.trim() === '' ? null : sinceOn.trim(),
    note,
  };
  const reset = (next?: PlacedFinding) => {
    setCorrected(next);
    setKind(next?.id ?? null);
    setPicked(next?.crosses?.[0] ?? next?.regions ?? []);
    setSide(next?.side ?? null);
    setSinceOn(next?.sinceOn ?? '');
    setNote(next?.note ?? '');
    setReason('');
    setError(undefined);
  };
  return {
    isOpen,
    corrected,
    kind,
    how,
    side,
    picked,
    sinceOn,
    note,
    reason,
    error,
    open: (toCorrect?: PlacedFinding) => {
      reset(toCorrect);
      setIsOpen(true);
    },
    close: () => {
      reset();
      setIsOpen(false);
    },
    choose: (next: string | null) => {
      setKind(next);
      setPicked([]);
      setError(undefined);
    },
    setSide,
    setSinceOn,
    setNote,
    setReason,
    pick: (place: PlaceId) => {
      const toggled = picked.includes(place) ? picked.filter((id) => id !== place) : [...picked, place];
      if (how === 'regions') setPicked(toggled);
      if (how === 'pair') setPicked(toggled.slice(-2));
    },
    save: async () => {
      try {
        const saved = corrected
          ? await send('PUT /api/clients/{id}/findings/{key}', {
              params: { id: clientId, key: corrected.key },
              body: { ...finding, answers: corrected.answers, isUnsure: false, reason },
            })
          : await send('POST /api/clients/{id}/findings', { params: { id: clientId }, body: finding });
        onSaved(saved.finding, corrected?.key ?? null);
        reset();
        setIsOpen(false);
      } catch (caught) {
        if (caught instanceof RequestError) setError(caught);
        else throw caught;
      }
    },
  };
}

export function PlaceFinding({
  placing,
  conditions,
}: {
  readonly placing: ReturnType<typeof usePlacing>;
  readonly conditions: readonly ConditionView[];
}) {
  const { error } = placing;
  const placeError = error?.fieldError('side') ?? error?.fieldError('regions') ?? error?.fieldError('crosses');
  const [dateError, noteError, kindError] = [
    error?.fieldError('sinceOn'),
    error?.fieldError('note'),
    error?.fieldError('id'),
  ];
  const other = error && !placeError && !dateError && !noteError && !kindError ? error.message : undefined;
  const options: readonly PickOption[] = [
    ...conditions.map(({ id, label, group }) => ({ id, text: label, group })),
    thickened,
  ];
  return (
    <form
      className={styles['form']}
      aria-label={placing.corrected ? clientWords.correctAFinding : clientWords.placeAFinding}
      onSubmit={(event) => {
        event.preventDefault();
        void placing.save();
      }}
    >
      <Pick label={clientWords.what} options={options} value={placing.kind} onChange={placing.choose} />
      {kindError && (
        <p className={styles['error']} role="alert">
          {clientWords.chooseWhatWasFound}
        </p>
      )}
      {placing.kind && <p className={styles['hint']}>{hints[placing.how]}</p>}
      {placing.how === 'side' && (
        <Choice
          label={clientWords.sideOfTheClient}
          options={[
            { value: 'left', text: clientWords.left },
            { value: 'right', text: clientWords.right },
            { value: 'both', text: clientWords.both },
          ]}
          value={placing.side}
          onChange={placing.setSide}
        />
      )}
      {placing.how !== 'side' && placing.how !== 'none' && (
        <p className={styles['picked']}>
          {placing.picked.length === 0
            ? clientWords.noPlacePickedYet
            : clientWords.picked2(list(placing.picked.map((id) => getPlace(anatomy, id).label)))}
        </p>
      )}
      {placeError && (
        <p className={styles['error']} role="alert">
          {placeError}
        </p>
      )}
      <div className={styles['row']}>
        <RoughDateField
          label={clientWords.sinceYearMonthOrDay}
          value={placing.sinceOn}
          onDate={placing.setSinceOn}
          error={dateError}
        />
        <Field
          label={clientWords.note}
          value={placing.note}
          maxLength={400}
          onChange={(event) => placing.setNote(event.target.value)}
          error={noteError}
        />
      </div>
      {placing.corrected && (
        <Field
          label={clientWords.whyItIsCorrected}
          value={placing.reason}
          maxLength={400}
          onChange={(event) => placing.setReason(event.target.value)}
        />
      )}
      {other && (
        <p className={styles['error']} role="alert">
          {other}
        </p>
      )}
      <div className={styles['buttons']}>
        <Button onClick={placing.close}>{clientWords.cancel}</Button>
        <Button type="submit">{placing.corrected ? clientWords.correctIt : clientWords.placeIt}</Button>
      </div>
    </form>
  );
}

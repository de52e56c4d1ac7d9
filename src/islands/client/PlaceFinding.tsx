import { useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { PlacedFinding } from '../../contracts/views';
import { getPlace, type PlaceId } from '../../core/anatomy/place';
import type { FindingId } from '../../core/drainage/case';
import { list } from '../../core/drainage/wording';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field, Select } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import styles from './PlaceFinding.module.css';

type How = 'side' | 'regions' | 'pair' | 'none';

const kinds: readonly { readonly id: FindingId; readonly text: string; readonly how: How }[] = [
  { id: 'nodes-removed-axillary', text: 'Armpit nodes removed', how: 'side' },
  { id: 'nodes-removed-inguinal', text: 'Groin nodes removed', how: 'side' },
  { id: 'nodes-removed-pelvic', text: 'Pelvic nodes removed', how: 'side' },
  { id: 'nodes-removed-neck', text: 'Neck nodes removed', how: 'side' },
  { id: 'nodes-sentinel-axillary', text: 'A few armpit nodes removed', how: 'side' },
  { id: 'nodes-sentinel-inguinal', text: 'A few groin nodes removed', how: 'side' },
  { id: 'nodes-sentinel-neck', text: 'A few neck nodes removed', how: 'side' },
  { id: 'irradiated', text: 'Irradiated skin or nodes', how: 'regions' },
  { id: 'scar', text: 'Scar between two places', how: 'pair' },
  { id: 'port', text: 'Port or line under the skin', how: 'regions' },
  { id: 'open-wound', text: 'Open wound, drain or weeping skin', how: 'regions' },
  { id: 'thickened', text: 'Thickened, doughy or firm skin', how: 'regions' },
  { id: 'cancer-history', text: 'Cancer treated', how: 'none' },
];

const hints: Readonly<Record<How, string>> = {
  side: 'Choose the side.',
  regions:
    'Click the places on the body, or go to the body with Tab and use the arrow keys and Enter. Once more takes a place away.',
  pair: 'Pick the two neighbours that the scar runs between, one after the other.',
  none: 'No place is needed.',
};

/** State of placing one finding: what, where, since when. Kept until it is saved or given up. */
export function usePlacing(clientId: number, onSaved: (finding: PlacedFinding) => void) {
  const [isOpen, setIsOpen] = useState(false);
  const [kind, setKind] = useState<FindingId>('nodes-removed-inguinal');
  const [side, setSide] = useState<'left' | 'right' | 'both' | null>(null);
  const [picked, setPicked] = useState<readonly PlaceId[]>([]);
  const [sinceOn, setSinceOn] = useState('');
  const [note, setNote] = useState('');
  const [error, setError] = useState<RequestError>();
  const how = kinds.find((k) => k.id === kind)?.how ?? 'none';

  const finding = {
    id: kind,
    ...(how === 'side' && side ? { side } : {}),
    ...(how === 'regions' ? { regions: picked } : {}),
    ...(how === 'pair' && picked.length === 2 ? { crosses: [[picked[0] ?? '', picked[1] ?? '']] } : {}),
    sinceOn: sinceOn === '' ? null : sinceOn,
    note,
  };
  const reset = () => {
    setPicked([]);
    setSide(null);
    setSinceOn('');
    setNote('');
    setError(undefined);
  };
  return {
    isOpen,
    kind,
    how,
    side,
    picked,
    sinceOn,
    note,
    error,
    draft: isOpen ? ({ key: 0, ...finding } as PlacedFinding) : undefined,
    open: () => setIsOpen(true),
    close: () => {
      reset();
      setIsOpen(false);
    },
    choose: (next: FindingId) => {
      setKind(next);
      setPicked([]);
      setError(undefined);
    },
    setSide,
    setSinceOn,
    setNote,
    pick: (place: PlaceId) => {
      if (how === 'regions')
        setPicked((all) => (all.includes(place) ? all.filter((id) => id !== place) : [...all, place]));
      if (how === 'pair')
        setPicked((all) => (all.includes(place) ? all.filter((id) => id !== place) : [...all, place].slice(-2)));
    },
    save: async () => {
      try {
        const { key } = await send<{ key: number }>('POST', `/api/clients/${clientId}/findings`, finding);
        onSaved({ ...finding, key } as PlacedFinding);
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
  today,
}: {
  readonly placing: ReturnType<typeof usePlacing>;
  readonly today: string;
}) {
  const placeError =
    placing.error?.fieldError('side') ?? placing.error?.fieldError('regions') ?? placing.error?.fieldError('crosses');
  const dateError = placing.error?.fieldError('sinceOn');
  const noteError = placing.error?.fieldError('note');
  const other = placing.error && !placeError && !dateError && !noteError ? placing.error.message : undefined;
  return (
    <form
      className={styles['form']}
      aria-label="Place a finding"
      onSubmit={(event) => {
        event.preventDefault();
        void placing.save();
      }}
    >
      <Select
        label="What"
        value={placing.kind}
        onChange={(event) => placing.choose(event.target.value as FindingId)}
        hint={hints[placing.how]}
      >
        {kinds.map((kind) => (
          <option key={kind.id} value={kind.id}>
            {kind.text}
          </option>
        ))}
      </Select>
      {placing.how === 'side' && (
        <Choice
          label="Side of the client"
          options={[
            { value: 'left', text: 'left' },
            { value: 'right', text: 'right' },
            { value: 'both', text: 'both' },
          ]}
          value={placing.side}
          onChange={placing.setSide}
        />
      )}
      {placing.how !== 'side' && placing.how !== 'none' && (
        <p className={styles['picked']}>
          {placing.picked.length === 0
            ? 'No place picked yet.'
            : `Picked: ${list(placing.picked.map((id) => getPlace(anatomy, id).label))}.`}
        </p>
      )}
      {placeError && (
        <p className={styles['error']} role="alert">
          {placeError}
        </p>
      )}
      <div className={styles['row']}>
        <Field
          label="Since (date, if known)"
          type="date"
          max={today}
          value={placing.sinceOn}
          onChange={(event) => placing.setSinceOn(event.target.value)}
          error={dateError}
        />
        <Field
          label="Note"
          value={placing.note}
          maxLength={400}
          onChange={(event) => placing.setNote(event.target.value)}
          error={noteError}
        />
      </div>
      {other && (
        <p className={styles['error']} role="alert">
          {other}
        </p>
      )}
      <div className={styles['buttons']}>
        <Button onClick={placing.close}>Cancel</Button>
        <Button type="submit">Place it</Button>
      </div>
    </form>
  );
}

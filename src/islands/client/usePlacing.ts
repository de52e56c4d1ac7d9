import { useState } from 'react';
import type { PlacedFinding } from '../../contracts/people-views';
import type { ConditionView } from '../../contracts/screening-views';
import type { PlaceId } from '../../core/anatomy/place';
import type { ClientId } from '../../core/ids';
import type { PickOption } from '../../ui/pick/Pick';
import { RequestError, send } from '../api';
import { clientWords } from './client.words';

export type How = 'side' | 'regions' | 'pair' | 'none';

export const thickened: PickOption = {
  id: 'thickened',
  text: clientWords.thickenedDoughyOrFirmSkin,
  group: clientWords.feltByHand,
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

import { useState, useSyncExternalStore } from 'react';
import type { VisitLookedBack } from '../../contracts/visit-views';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import styles from './PlanNotices.module.css';
import { planWords } from './plan.words';

interface Props {
  readonly visit: VisitLookedBack;
  /** The plan has to be made anew from what is known now. */
  readonly onTaken: () => void;
  readonly onTrouble: (text: string) => void;
}

const refusedKey = (visit: number) => `not softened ${visit}`;
const never = () => () => undefined;

/** Skin that was firm at the last visit is offered to be softened first; taken or refused by one press. */
export function FirmOffer({ visit, onTaken, onTrouble }: Props) {
  const [gone, setGone] = useState<ReadonlySet<string>>(new Set());
  const refused = useSyncExternalStore(
    never,
    () => sessionStorage.getItem(refusedKey(visit.id)) ?? '',
    () => '',
  );
  const isKnown = (place: string) =>
    visit.findings.some(({ drainage }) => drainage?.id === 'thickened' && drainage.regions?.includes(place));
  const offers = visit.remembered.filter(
    ({ kind, place, wasLastTime }) =>
      kind === 'firm' && wasLastTime && !isKnown(place) && !gone.has(place) && !refused.split(' ').includes(place),
  );
  const take = async (place: string) => {
    try {
      await send('POST /api/clients/{id}/findings', {
        params: { id: visit.client.id },
        body: { id: 'thickened', regions: [place] },
      });
      setGone(new Set([...gone, place]));
      onTaken();
    } catch (error) {
      onTrouble(sentenceOf(error));
    }
  };
  const refuse = (place: string) => {
    sessionStorage.setItem(refusedKey(visit.id), `${refused} ${place}`);
    setGone(new Set([...gone, place]));
  };
  return offers.map(({ place, what, words }) => (
    <p key={place} className={styles['notice']}>
      {planWords.firmThere(what, words)}{' '}
      <Button look="link" onClick={() => void take(place)}>
        {planWords.softenIt}
      </Button>{' '}
      <Button look="link" onClick={() => refuse(place)}>
        {planWords.leaveItOut}
      </Button>
    </p>
  ));
}

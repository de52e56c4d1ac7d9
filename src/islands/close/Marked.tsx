import { closeWords } from './close.words';
import { useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { VisitAtWork } from '../../contracts/visit-views';
import { shortLabel } from '../../core/anatomy/place-labels';
import { regionLabel } from '../../core/anatomy/place';
import { asksForSide, type Mark, markedPlace, marksInWords, marksOf, markWords } from '../../core/table/marks';
import { droppedInWords, droppedOf } from '../../core/table/dropped';
import type { MarkSide } from '../../core/table/mark-kinds';
import { titleOf } from '../../core/table/table-step';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import { deviceId } from '../table/device';
import styles from './CloseView.module.css';

interface Props {
  readonly visit: VisitAtWork;
  readonly note: string;
  readonly onTake: (sentences: readonly string[]) => void;
}

const labels = {
  place: (id: string) => shortLabel(anatomy, id),
  region: (name: string) => regionLabel(anatomy, name),
};

const timeOf = (at: string) =>
  new Date(at).toLocaleTimeString('en-GB', { hour: 'numeric', minute: '2-digit' }).replace(/^0(?=\d)/, '');

/** What was marked while the hands were busy, as sentences for the note; those that are in it already are not offered. */
export function Marked({ visit, note, onTake }: Props) {
  const marks = marksOf(visit.events);
  const [said, setSaid] = useState<ReadonlyMap<string, MarkSide>>(new Map());
  const [trouble, setTrouble] = useState('');
  const fell = droppedInWords(droppedOf(visit.events), visit.plan?.treatment?.layers?.names ?? {});
  if (marks.length === 0 && fell.length === 0) return null;
  const stepOf = (id: string) => (visit.plan?.steps ?? []).find((step) => step.id === id);
  const keyOf = ({ kind, stepId }: Mark) => `${kind} ${stepId}`;
  const answered = marks.map((mark): Mark => ({ ...mark, side: mark.side ?? said.get(keyOf(mark)) ?? null }));
  const open = answered.filter((mark) => {
    const step = stepOf(mark.stepId);
    return mark.side === null && step !== undefined && asksForSide(mark.kind, step);
  });
  const sayIt = async (mark: Mark, side: MarkSide) => {
    const event = { id: crypto.randomUUID(), kind: 'mark', stepId: mark.stepId, mark: mark.kind, side } as const;
    try {
      await send('POST /api/visits/{id}/events', {
        params: { id: visit.id },
        body: {
          deviceId: deviceId(),
          events: [{ ...event, at: new Date().toISOString(), planVersion: visit.plan?.version ?? 1 }],
        },
      });
      setSaid(new Map([...said, [keyOf(mark), side]]));
      setTrouble('');
    } catch (error) {
      setTrouble(sentenceOf(error));
    }
  };
  const placeOf = (mark: Mark) => {
    const step = stepOf(mark.stepId);
    return step && { place: markedPlace(mark, step, labels), title: titleOf(anatomy, step) };
  };
  const sentences = [...marksInWords(answered, placeOf, timeOf), ...fell];
  const fresh = sentences.filter((sentence) => !note.includes(sentence));
  return (
    <>
      <h2>{closeWords.marked}</h2>
      <ul className={`marked-list ${styles['marked']}`}>
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {open.map((mark) => (
        <p key={keyOf(mark)} role="group" aria-label={closeWords.sideOf(markWords[mark.kind].name)}>
          {closeWords.onWhichSideWas}
          {markWords[mark.kind].name}”, {timeOf(mark.at)}?{' '}
          {(['left', 'right', 'both'] as const).map((side) => (
            <Button key={side} onClick={() => void sayIt(mark, side)}>
              {side}
            </Button>
          ))}
        </p>
      ))}
      {trouble !== '' && <p role="alert">{trouble}</p>}
      {fresh.length > 0 && <Button onClick={() => onTake(fresh)}>{closeWords.takeIntoTheNote}</Button>}
    </>
  );
}

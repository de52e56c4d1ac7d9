import { anatomy } from '../../catalogue/anatomy';
import type { VisitView } from '../../contracts/visit-views';
import { shortLabel } from '../../core/drainage/wording';
import { marksInWords, marksOf } from '../../core/table/marks';
import { titleOf } from '../../core/table/table-step';
import { Button } from '../../ui/button/Button';
import styles from './CloseView.module.css';

interface Props {
  readonly visit: VisitView;
  readonly note: string;
  readonly onTake: (sentences: readonly string[]) => void;
}

const timeOf = (at: string) =>
  new Date(at).toLocaleTimeString('en-GB', { hour: 'numeric', minute: '2-digit' }).replace(/^0(?=\d)/, '');

/** What was marked while the hands were busy, as sentences for the note; those that are in it already are not offered. */
export function Marked({ visit, note, onTake }: Props) {
  const marks = marksOf(visit.events);
  if (marks.length === 0) return null;
  const stepOf = (id: string) => (visit.plan?.steps ?? []).find((step) => step.id === id);
  const placeOf = (id: string) => {
    const step = stepOf(id);
    return step && { place: shortLabel(anatomy, step.told?.places[0] ?? step.place), title: titleOf(anatomy, step) };
  };
  const sentences = marksInWords(marks, placeOf, timeOf);
  const fresh = sentences.filter((sentence) => !note.includes(sentence));
  return (
    <>
      <h2>Marked</h2>
      <ul className={styles['marked']}>
        {sentences.map((sentence) => (
          <li key={sentence}>{sentence}</li>
        ))}
      </ul>
      {fresh.length > 0 && <Button onClick={() => onTake(fresh)}>Take into the note</Button>}
    </>
  );
}

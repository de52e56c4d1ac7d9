import { treatmentWords } from './treatment.words';
import { useState } from 'react';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { VisitView } from '../../contracts/visit-views';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import shared from './Treatment.module.css';
import styles from './KeepTemplate.module.css';

interface Props {
  readonly visit: VisitView;
  readonly wish: TreatmentView['wish'];
  readonly onClose: () => void;
}

/** Keeps what was chosen to be taken again: as what is usual for this client, or for the whole house. */
export function KeepTemplate({ visit, wish, onClose }: Props) {
  const first = visit.client.name.split(' ')[0] ?? visit.client.name;
  const [whose, setWhose] = useState<'client' | 'house'>('client');
  const [name, setName] = useState(visit.work);
  const [error, setError] = useState<RequestError>();
  const [isKept, setIsKept] = useState(false);
  const keep = async () => {
    const { minutes, order: _, ...holds } = wish;
    try {
      await send('POST /api/treatments', {
        body: {
          name,
          clientId: whose === 'client' ? visit.client.id : null,
          minutes,
          holds,
        },
      });
      setIsKept(true);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title={treatmentWords.keepThisTreatment} isOpen onClose={onClose}>
      {isKept ? (
        <div className={styles['chooser']}>
          <p role="status">
            {treatmentWords.keptItStandsFirstAmongWhat}{' '}
            {whose === 'client' ? treatmentWords.for(first) : treatmentWords.inThisHouse}.
          </p>
          <Button look="filled" onClick={onClose}>
            {treatmentWords.done}
          </Button>
        </div>
      ) : (
        <form
          className={styles['chooser']}
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
        >
          <Choice
            label={treatmentWords.forWhom}
            options={[
              { value: 'client', text: treatmentWords.usualFor(first) },
              { value: 'house', text: treatmentWords.theWholeHouse },
            ]}
            value={whose}
            onChange={setWhose}
          />
          <Field
            label={treatmentWords.name}
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
            error={error?.fieldError('name') ?? (error && !error.problem.errors ? error.message : undefined)}
          />
          <p className={shared['soft']}>{treatmentWords.partsFormAndMinutesAreKept}</p>
          <div className={styles['buttons']}>
            <Button onClick={onClose}>{treatmentWords.leaveIt}</Button>
            <Button look="filled" type="submit">
              {treatmentWords.keepIt}
            </Button>
          </div>
        </form>
      )}
    </Dialog>
  );
}

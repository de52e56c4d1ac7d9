import { type FormEvent, useState } from 'react';
import type { TherapistView } from '../../contracts/views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import styles from './PlaceFinding.module.css';

const areas = [
  { value: 'leg.left', text: 'Left leg' },
  { value: 'leg.right', text: 'Right leg' },
  { value: 'leg.left leg.right', text: 'Both legs' },
  { value: 'arm.left', text: 'Left arm' },
  { value: 'arm.right', text: 'Right arm' },
  { value: 'arm.left arm.right', text: 'Both arms' },
  { value: 'face', text: 'Face' },
  { value: 'face neck', text: 'Face and neck' },
  { value: 'abdomen', text: 'Belly' },
  { value: 'trunk-upper.left', text: 'Left upper trunk' },
  { value: 'trunk-upper.right', text: 'Right upper trunk' },
  { value: 'trunk-lower.left', text: 'Left lower trunk' },
  { value: 'trunk-lower.right', text: 'Right lower trunk' },
  { value: 'whole-body', text: 'Whole body' },
];

const reasons = [
  { value: 'swelling', text: 'Swelling' },
  { value: 'wellness', text: 'Wellness' },
  { value: 'after-procedure', text: 'After a procedure' },
  { value: 'puffy-face', text: 'Puffy face' },
  { value: 'sinus', text: 'Sinuses' },
];

interface Props {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly clientId: number;
  readonly therapists: readonly TherapistView[];
  readonly lastFocus: string | null;
  readonly today: string;
}

export function BookVisit({ isOpen, onClose, clientId, therapists, lastFocus, today }: Props) {
  const [error, setError] = useState<RequestError>();
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '');
    const starts = new Date(`${text('date')}T${text('time')}`);
    try {
      const { id } = await send<{ id: number }>('POST', '/api/visits', {
        clientId,
        therapistId: Number(text('therapist')),
        startsAt: Number.isNaN(starts.getTime()) ? '' : starts.toISOString(),
        minutes: Number(text('minutes')),
        focus: text('focus').split(' '),
        purpose: text('purpose'),
      });
      window.location.assign(`/visits/${id}/ask`);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title="Book a visit" isOpen={isOpen} onClose={onClose}>
      <form className={styles['form']} onSubmit={(event) => void save(event)} noValidate>
        {lastFocus && <p>Last time: {lastFocus}.</p>}
        <div className={styles['row']}>
          <Select label="What is to be drained" name="focus" error={error?.fieldError('focus')}>
            {areas.map((area) => (
              <option key={area.value} value={area.value}>
                {area.text}
              </option>
            ))}
          </Select>
          <Select label="Because of" name="purpose">
            {reasons.map((reason) => (
              <option key={reason.value} value={reason.value}>
                {reason.text}
              </option>
            ))}
          </Select>
        </div>
        <div className={styles['row']}>
          <Field label="Date" name="date" type="date" defaultValue={today} error={error?.fieldError('startsAt')} />
          <Field label="Time" name="time" type="time" defaultValue="10:00" />
        </div>
        <div className={styles['row']}>
          <Field
            label="Minutes"
            name="minutes"
            type="number"
            inputMode="numeric"
            defaultValue="60"
            error={error?.fieldError('minutes')}
          />
          <Select label="With" name="therapist" error={error?.fieldError('therapistId')}>
            {therapists.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}, {t.title.toLowerCase()}
              </option>
            ))}
          </Select>
        </div>
        {error && !error.problem.errors && <p className={styles['error']}>{error.message}</p>}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>Cancel</Button>
          <Button look="filled" type="submit">
            Book
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

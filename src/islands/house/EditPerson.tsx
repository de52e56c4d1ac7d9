import { houseWords } from './house.words';
import { type FormEvent, useState } from 'react';
import type { HouseView, PersonView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, RequestError, send } from '../api';
import styles from './House.module.css';
import { roleWords } from './role-words';

const weekdays = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

interface Props {
  readonly person: PersonView | null;
  readonly qualifications: HouseView['qualifications'];
  readonly onClose: () => void;
}

/** Adds somebody to the house or changes what they may. */
export function EditPerson({ person, qualifications, onClose }: Props) {
  const [error, setError] = useState<RequestError>();
  const hasHours = person !== null && Object.keys(person.hours).length > 0;
  const [isUsual, setIsUsual] = useState(!hasHours);
  const [said, setSaid] = useState('');
  const removeFactor = async ({ id, name }: PersonView) => {
    try {
      await send('DELETE /api/staff/{id}/factor', { params: { id } });
      setSaid(houseWords.factorRemoved(name));
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '').trim();
    const days = weekdays.flatMap((_, i) => {
      const span = [text(`from${i + 1}`), text(`to${i + 1}`)];
      return span.some(Boolean) ? [[String(i + 1), span]] : [];
    });
    try {
      const body = asFilledIn<'POST /api/staff'>({
        name: text('name'),
        login: text('login'),
        title: text('title'),
        room: text('room'),
        role: text('role'),
        qualifications: form.getAll('qualification'),
        hours: isUsual ? {} : (Object.fromEntries(days) as unknown),
        hasLeft: form.get('hasLeft') === 'on',
        password: String(form.get('password') ?? ''),
        pin: text('pin'),
      });
      await (person
        ? send('PUT /api/staff/{id}', { params: { id: person.id }, body })
        : send('POST /api/staff', { body }));
      window.location.assign('/house');
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title={person ? person.name : houseWords.addSomebody} isOpen onClose={onClose}>
      <form className={styles['form']} onSubmit={(event) => void save(event)} noValidate>
        <div className={styles['row']}>
          <Field label={houseWords.name} name="name" defaultValue={person?.name} error={error?.fieldError('name')} />
          <Field
            label={houseWords.title}
            name="title"
            defaultValue={person?.title}
            error={error?.fieldError('title')}
          />
        </div>
        <div className={styles['row']}>
          <Select
            label={houseWords.may}
            name="role"
            defaultValue={person?.role ?? 'therapist'}
            error={error?.fieldError('role')}
          >
            {Object.entries(roleWords).map(([role, words]) => (
              <option key={role} value={role}>
                {words}
              </option>
            ))}
          </Select>
          <Field label={houseWords.room} name="room" defaultValue={person?.room} error={error?.fieldError('room')} />
        </div>
        <div className={styles['three']}>
          <Field
            label={houseWords.signInName}
            name="login"
            autoCapitalize="none"
            autoComplete="off"
            defaultValue={person?.login}
            error={error?.fieldError('login')}
          />
          <Field
            label={person ? houseWords.newPassword : houseWords.firstPassword}
            name="password"
            type="password"
            autoComplete="new-password"
            hint={person ? houseWords.emptyStaysAsItIs : houseWords.atLeastCharacters}
            error={error?.fieldError('password')}
          />
          <Field
            label={person ? houseWords.newPin : houseWords.pin}
            name="pin"
            type="password"
            inputMode="numeric"
            autoComplete="off"
            hint={houseWords.toDigits}
            error={error?.fieldError('pin')}
          />
        </div>
        <fieldset className={styles['ticks']}>
          <legend>{houseWords.qualifiedFor}</legend>
          {qualifications.map(({ id, label }) => (
            <label key={id}>
              <input
                type="checkbox"
                name="qualification"
                value={id}
                defaultChecked={person?.qualifications.some((q) => q === id)}
              />{' '}
              {label}
            </label>
          ))}
        </fieldset>
        <fieldset className={styles['hours']}>
          <legend>{houseWords.workingHours}</legend>
          <label className={styles['usual']}>
            <input type="checkbox" checked={isUsual} onChange={(event) => setIsUsual(event.target.checked)} />{' '}
            {houseWords.theUsualOnesMondayToSaturday}
          </label>
          {!isUsual &&
            weekdays.map((day, i) => (
              <div key={day} className={styles['day']}>
                <span>{day}</span>
                <input
                  name={`from${i + 1}`}
                  aria-label={houseWords.from(day)}
                  placeholder="9:00"
                  defaultValue={person?.hours[i + 1]?.[0]}
                />
                <input
                  name={`to${i + 1}`}
                  aria-label={`${day} to`}
                  placeholder="17:30"
                  defaultValue={person?.hours[i + 1]?.[1]}
                />
              </div>
            ))}
          {error?.fieldError('hours') && <p role="alert">{error.fieldError('hours')}</p>}
        </fieldset>
        {person && (
          <label className={styles['usual']}>
            <input type="checkbox" name="hasLeft" defaultChecked={person.leftOn !== null} />{' '}
            {houseWords.hasLeftTheHouseCanNo}
          </label>
        )}
        {person?.hasFactor && (
          <Button look="link" onClick={() => void removeFactor(person)}>
            {houseWords.removeTheirFactor}
          </Button>
        )}
        {said && <p role="status">{said}</p>}
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{houseWords.cancel}</Button>
          <Button look="filled" type="submit">
            {person ? houseWords.save : houseWords.add}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

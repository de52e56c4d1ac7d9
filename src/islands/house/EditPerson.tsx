import { houseWords } from './house.words';
import { useState } from 'react';
import type { HouseView, PersonView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, send, sentenceOf } from '../api';
import { useHouseForm } from '../forms/use-house-form';
import styles from './House.module.css';
import { roleWords } from './role-words';

const weekdays = [
  houseWords.monday,
  houseWords.tuesday,
  houseWords.wednesday,
  houseWords.thursday,
  houseWords.friday,
  houseWords.saturday,
  houseWords.sunday,
];

interface Props {
  readonly person: PersonView | null;
  readonly qualifications: HouseView['qualifications'];
  readonly onClose: () => void;
}

/** What stands in the form at the start: the person as they are, or nobody yet. */
function firstOf(person: PersonView | null) {
  return {
    name: person?.name ?? '',
    login: person?.login ?? '',
    title: person?.title ?? '',
    room: person?.room ?? '',
    role: person?.role ?? 'therapist',
    qualifications: [...(person?.qualifications ?? [])] as string[],
    isUsual: person === null || Object.keys(person.hours).length === 0,
    days: weekdays.map((_, i) => ({ from: person?.hours[i + 1]?.[0] ?? '', to: person?.hours[i + 1]?.[1] ?? '' })),
    hasLeft: person !== null && person.leftOn !== null,
    isLearning: person?.isLearning ?? false,
    password: '',
    pin: '',
  };
}

/** Working hours by the number of the day, Monday first; a day without times is free. */
export function hoursOf(days: readonly { readonly from: string; readonly to: string }[]) {
  return Object.fromEntries(
    days.flatMap(({ from, to }, i) => {
      const span = [from.trim(), to.trim()] as const;
      return span.some((time) => time !== '') ? [[String(i + 1), span] as const] : [];
    }),
  );
}

/** Adds somebody to the house or changes what they may. */
export function EditPerson({ person, qualifications, onClose }: Props) {
  const [said, setSaid] = useState('');
  const [refused, setRefused] = useState('');
  const removeFactor = async ({ id, name }: PersonView) => {
    try {
      await send('DELETE /api/staff/{id}/factor', { params: { id } });
      setSaid(houseWords.factorRemoved(name));
      setRefused('');
    } catch (caught) {
      setRefused(sentenceOf(caught));
    }
  };
  const form = useHouseForm({
    first: firstOf(person),
    houseNames: { hours: 'days' },
    onSend: async ({ isUsual, days, name, login, title, room, pin, ...as }) => {
      const body = asFilledIn<'POST /api/staff'>({
        ...as,
        name: name.trim(),
        login: login.trim(),
        title: title.trim(),
        room: room.trim(),
        pin: pin.trim(),
        hours: isUsual ? {} : (hoursOf(days) as unknown),
      });
      await (person
        ? send('PUT /api/staff/{id}', { params: { id: person.id }, body })
        : send('POST /api/staff', { body }));
      window.location.assign('/house');
    },
  });
  const { field } = form;
  const isUsual = form.watch('isUsual');
  return (
    <Dialog title={person ? person.name : houseWords.addSomebody} isOpen onClose={onClose}>
      <form className={styles['form']} onSubmit={form.submit} noValidate>
        <div className={styles['row']}>
          <Field label={houseWords.name} {...field('name')} />
          <Field label={houseWords.title} {...field('title')} />
        </div>
        <div className={styles['row']}>
          <Select label={houseWords.may} {...field('role')}>
            {Object.entries(roleWords).map(([role, words]) => (
              <option key={role} value={role}>
                {words}
              </option>
            ))}
          </Select>
          <Field label={houseWords.room} {...field('room')} />
        </div>
        <div className={styles['three']}>
          <Field label={houseWords.signInName} autoCapitalize="none" autoComplete="off" {...field('login')} />
          <Field
            label={person ? houseWords.newPassword : houseWords.firstPassword}
            type="password"
            autoComplete="new-password"
            hint={person ? houseWords.emptyStaysAsItIs : houseWords.atLeastCharacters}
            {...field('password')}
          />
          <Field
            label={person ? houseWords.newPin : houseWords.pin}
            type="password"
            inputMode="numeric"
            autoComplete="off"
            hint={houseWords.toDigits}
            {...field('pin')}
          />
        </div>
        <fieldset className={styles['ticks']}>
          <legend>{houseWords.qualifiedFor}</legend>
          {qualifications.map(({ id, label }) => (
            <label key={id}>
              <input type="checkbox" value={id} {...form.register('qualifications')} /> {label}
            </label>
          ))}
        </fieldset>
        <label className={styles['usual']}>
          <input type="checkbox" {...form.register('isLearning')} /> {houseWords.isLearning}
        </label>
        <fieldset className={styles['hours']}>
          <legend>{houseWords.workingHours}</legend>
          <label className={styles['usual']}>
            <input type="checkbox" {...form.register('isUsual')} /> {houseWords.theUsualOnesMondayToSaturday}
          </label>
          {!isUsual &&
            weekdays.map((day, i) => (
              <div key={day} className={styles['day']}>
                <span>{day}</span>
                <input aria-label={houseWords.from(day)} placeholder="9:00" {...form.register(`days.${i}.from`)} />
                <input aria-label={`${day} to`} placeholder="17:30" {...form.register(`days.${i}.to`)} />
              </div>
            ))}
          {form.errorOf('days') && <p role="alert">{form.errorOf('days')}</p>}
        </fieldset>
        {person && (
          <label className={styles['usual']}>
            <input type="checkbox" {...form.register('hasLeft')} /> {houseWords.hasLeftTheHouseCanNo}
          </label>
        )}
        {person?.hasFactor && (
          <Button look="link" onClick={() => void removeFactor(person)}>
            {houseWords.removeTheirFactor}
          </Button>
        )}
        {said && <p role="status">{said}</p>}
        {(form.trouble ?? refused) && <p role="alert">{form.trouble ?? refused}</p>}
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

import { bookingWords } from './booking.words';
import type { Minutes } from '../../core/quantities';
import type { ClientId, TherapistId } from '../../core/ids';
import { useState } from 'react';
import type { LastWork } from '../../contracts/last-work';
import type { TherapistView } from '../../contracts/people-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, send } from '../api';
import { typedNumber } from '../forms/numbers';
import { useHouseForm } from '../forms/use-house-form';
import { useOffers } from '../treatment/useOffers';
import { type Kind, kindOf } from './booked-kind';
import { areas, reasons } from './booked-work';
import styles from './Booking.module.css';
import { Mention } from '../practice/Mention';
import { KindSelect } from './KindSelect';
import { useProposals } from './useProposals';
import { FormDate } from '../forms/FormDate';
import { DateField } from '../../ui/date-field/DateField';

/** What is moved, when a visit that is booked already gets another time. */
export interface Moving {
  readonly id: number;
  readonly minutes: Minutes;
  readonly therapistId: TherapistId;
}

export interface Series {
  readonly everyDays: number;
  readonly times: number;
}

interface Props {
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly clientId: ClientId;
  readonly clientName?: string | undefined;
  readonly therapists: readonly TherapistView[];
  readonly lastWork: LastWork | null;
  readonly today: string;
  readonly moving?: Moving | undefined;
  /** A series that was proposed: it can still be changed. */
  readonly series?: Series | undefined;
  /** Where to go when it is booked: into the visit for those who treat, back to the client for the front desk. */
  readonly onBooked: (id: number) => void;
}

/** The instant of a day and a time as they are typed; '' while they are none, for the house to refuse at its field. */
export function instantOf(date: string, time: string): string {
  const at = new Date(`${date}T${time.padStart(5, '0')}`);
  return Number.isNaN(at.getTime()) ? '' : at.toISOString();
}

/** Books a visit, or moves one: times are proposed that leave room to tidy and to warm stones; any other can be typed. */
export function BookVisit(props: Props) {
  const { isOpen, onClose, clientId, clientName, therapists, lastWork, today, moving, series, onBooked } = props;
  const { state } = useOffers(clientId, isOpen && !moving);
  const offers = state.kind === 'here' ? state.offers : undefined;
  /** What of a row is otherwise than it was asked for, to be read before it goes on. */
  const [outcome, setOutcome] = useState<{ readonly id: number; readonly said: string }>();
  const [chosen, setChosen] = useState<{ readonly date: string; readonly time: string }>();
  const known = areas.find((area) => area.value === lastWork?.focus.join(' '));
  const form = useHouseForm({
    first: {
      kind: 'drainage' as Kind,
      focus: (known ?? areas[0])?.value ?? '',
      purpose: lastWork?.purpose ?? reasons[0]?.value ?? '',
      minutes: String(moving?.minutes ?? lastWork?.minutes ?? 60),
      therapist: String(moving?.therapistId ?? therapists[0]?.id ?? ''),
      from: today,
      withStones: false,
      times: String(series?.times ?? 1),
      everyDays: String(series?.everyDays ?? 7),
      startsAt: '',
    },
    houseNames: { holds: 'kind', therapistId: 'therapist', repeat: 'times' },
    onSend: async (typed) => {
      const startsAt = instantOf(date, time);
      const therapistId = Number(typed.therapist);
      if (moving) {
        await send('PUT /api/visits/{id}/booking', { params: { id: moving.id }, body: { startsAt, therapistId } });
        onBooked(moving.id);
        return;
      }
      const times = typedNumber(typed.times) ?? 1;
      const { id, said } = await send('POST /api/visits', {
        body: asFilledIn<'POST /api/visits'>({
          ...{ clientId, therapistId, startsAt },
          minutes: Number(typed.minutes),
          focus: booked.isDrained ? typed.focus.split(' ') : ['whole-body'],
          purpose: booked.isDrained ? typed.purpose : 'wellness',
          ...(booked.holds ? { holds: booked.holds } : {}),
          ...(times > 1 ? { repeat: { everyDays: typedNumber(typed.everyDays) ?? 7, times } } : {}),
        }),
      });
      if (said === null) onBooked(id);
      else setOutcome({ id, said });
    },
  });
  const { field } = form;
  const [kind, minutes, therapist, from, withStones] = form.watch([
    'kind',
    'minutes',
    'therapist',
    'from',
    'withStones',
  ]);
  const booked = kindOf(offers, kind);
  const takeUsual = () => {
    const { minutes: usual, hasHeat } = kindOf(offers, form.getValues('kind'));
    if (usual !== undefined) form.setValue('minutes', String(usual));
    form.setValue('withStones', hasHeat);
  };
  const proposals = useProposals({ isOpen, minutes, therapist, from, withStones, visit: moving?.id });
  // Until a time is chosen, the best free one is.
  const { date, time } = chosen ?? proposals[0] ?? { date: from, time: '10:00' };
  return (
    <Dialog
      title={
        moving ? bookingWords.moveTheVisit : bookingWords.bookAVisitFor(clientName ? bookingWords.for(clientName) : '')
      }
      isOpen={isOpen}
      // What is booked is booked, however the dialog is left.
      onClose={outcome ? () => onBooked(outcome.id) : onClose}
    >
      {outcome && (
        <div className={styles['form']} role="status">
          <p>{outcome.said}</p>
          <div className={styles['buttons']}>
            <Button look="filled" onClick={() => onBooked(outcome.id)}>
              {bookingWords.goOn}
            </Button>
          </div>
        </div>
      )}
      <form className={styles['form']} onSubmit={form.submit} noValidate hidden={outcome !== undefined}>
        {lastWork && !moving && (
          <p>
            {bookingWords.lastTime} {lastWork.words}.{lastWork.holds === null && bookingWords.theSameIsSetForThis}
          </p>
        )}
        {!moving && (
          <KindSelect
            offers={offers}
            {...form.register('kind', { onChange: takeUsual })}
            error={form.errorOf('kind')}
          />
        )}
        {state.kind === 'trouble' && !moving && <p className={styles['error']}>{state.text}</p>}
        {!moving && booked.isDrained && (
          <div className={styles['row']}>
            <Select label={bookingWords.whatIsToBeDrained} {...field('focus')}>
              {areas.map((area) => (
                <option key={area.value} value={area.value}>
                  {area.text}
                </option>
              ))}
            </Select>
            <Select label={bookingWords.becauseOf} {...field('purpose')}>
              {reasons.map((reason) => (
                <option key={reason.value} value={reason.value}>
                  {reason.text}
                </option>
              ))}
            </Select>
          </div>
        )}
        <div className={styles['row']}>
          <Field
            label={bookingWords.minutes}
            type="number"
            inputMode="numeric"
            readOnly={moving !== undefined}
            {...field('minutes')}
          />
          <Select label={bookingWords.with} {...field('therapist')}>
            {therapists.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </Select>
        </div>
        {isOpen && !moving && <Mention therapistId={Number(therapist)} modalities={booked.modalities} />}
        <div className={styles['row']}>
          <FormDate label={bookingWords.from} form={form} name="from" />
          <label className={styles['check']}>
            <input type="checkbox" {...form.register('withStones')} /> {bookingWords.warmStonesMinutesToHeat}
          </label>
        </div>
        <fieldset className={styles['times']}>
          <legend>{bookingWords.freeTimesWithAQuarterOf}</legend>
          {proposals.map((proposal) => (
            <button
              key={`${proposal.startsAt} ${proposal.therapistId}`}
              type="button"
              title={proposal.why}
              aria-pressed={proposal.date === date && proposal.time === time}
              onClick={() => setChosen({ date: proposal.date, time: proposal.time })}
            >
              <strong>{proposal.time}</strong>
              <span>{proposal.day}</span>
              {proposal.warmUpFrom && <span>{bookingWords.stonesOnAt(proposal.warmUpFrom)}</span>}
            </button>
          ))}
          {proposals.length === 0 && <p>{bookingWords.nothingFreeInTheNextTwo}</p>}
        </fieldset>
        <div className={styles['row']}>
          <DateField
            label={bookingWords.date}
            value={date}
            onDay={(day) => setChosen({ date: day, time })}
            error={form.errorOf('startsAt')}
          />
          <Field
            label={bookingWords.time}
            type="time"
            value={time.padStart(5, '0')}
            onChange={(event) => setChosen({ date, time: event.target.value.replace(/^0/, '') })}
          />
        </div>
        {!moving && (
          <div className={styles['row']}>
            <Field label={bookingWords.howManyVisits} type="number" inputMode="numeric" {...field('times')} />
            <Field
              label={bookingWords.daysApart}
              hint={bookingWords.closedDays}
              type="number"
              inputMode="numeric"
              {...field('everyDays')}
            />
          </div>
        )}
        {form.trouble && (
          <p className={styles['error']} role="alert">
            {form.trouble}
          </p>
        )}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{bookingWords.cancel}</Button>
          <Button look="filled" type="submit">
            {moving ? bookingWords.move : bookingWords.book}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

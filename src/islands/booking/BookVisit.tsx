import { bookingWords } from './booking.words';
import type { Minutes } from '../../core/quantities';
import type { ClientId, TherapistId } from '../../core/ids';
import { type FormEvent, useEffect, useState } from 'react';
import type { ProposalView } from '../../contracts/client-views';
import type { LastWork } from '../../contracts/last-work';
import type { TreatmentOffers } from '../../contracts/treatment-views';
import type { TherapistView } from '../../contracts/people-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, RequestError, send } from '../api';
import { useOffers } from '../treatment/useOffers';
import { type Kind, kindOf } from './booked-kind';
import styles from './Booking.module.css';

const areas = [
  { value: 'leg.left', text: bookingWords.leftLeg },
  { value: 'leg.right', text: bookingWords.rightLeg },
  { value: 'leg.left leg.right', text: bookingWords.bothLegs },
  { value: 'arm.left', text: bookingWords.leftArm },
  { value: 'arm.right', text: bookingWords.rightArm },
  { value: 'arm.left arm.right', text: bookingWords.bothArms },
  { value: 'face', text: bookingWords.face },
  { value: 'face neck', text: bookingWords.faceAndNeck },
  { value: 'abdomen', text: bookingWords.belly },
  { value: 'trunk-upper.left', text: bookingWords.leftUpperTrunk },
  { value: 'trunk-upper.right', text: bookingWords.rightUpperTrunk },
  { value: 'trunk-lower.left', text: bookingWords.leftLowerTrunk },
  { value: 'trunk-lower.right', text: bookingWords.rightLowerTrunk },
  { value: 'whole-body', text: bookingWords.wholeBody },
];

const reasons = [
  { value: 'swelling', text: bookingWords.swelling },
  { value: 'wellness', text: bookingWords.wellness },
  { value: 'after-procedure', text: bookingWords.afterAProcedure },
  { value: 'puffy-face', text: bookingWords.puffyFace },
  { value: 'sinus', text: bookingWords.sinuses },
];

/** What is moved, when a visit that is booked already gets another time. */
export interface Moving {
  readonly id: number;
  readonly minutes: Minutes;
  readonly therapistId: TherapistId;
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
  /** Where to go when it is booked: into the visit for those who treat, back to the client for the front desk. */
  readonly onBooked: (id: number) => void;
}

/** Books a visit, or moves one: times are proposed that leave room to tidy and to warm stones; any other can be typed. */
export function BookVisit(props: Props) {
  const { isOpen, onClose, clientId, clientName, therapists, lastWork, today, moving, onBooked } = props;
  const [error, setError] = useState<RequestError>();
  const [minutes, setMinutes] = useState(String(moving?.minutes ?? lastWork?.minutes ?? 60));
  const [therapist, setTherapist] = useState(String(moving?.therapistId ?? therapists[0]?.id ?? ''));
  const [from, setFrom] = useState(today);
  const [withStones, setWithStones] = useState(false);
  const { state } = useOffers(clientId, isOpen && !moving);
  const offers = state.kind === 'here' ? state.offers : undefined;
  const [kind, setKind] = useState<Kind>('drainage');
  const booked = kindOf(offers, kind);
  const choose = (next: Kind) => {
    const { minutes: usual, hasHeat } = kindOf(offers, next);
    setKind(next);
    if (usual !== undefined) setMinutes(String(usual));
    setWithStones(hasHeat);
  };
  const [chosen, setChosen] = useState<{ readonly date: string; readonly time: string }>();
  const proposals = useProposals({ isOpen, minutes, therapist, from, withStones, visit: moving?.id });
  // Until a time is chosen, the best free one is.
  const { date, time } = chosen ?? proposals[0] ?? { date: from, time: '10:00' };
  const known = areas.some((area) => area.value === lastWork?.focus.join(' '));

  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '');
    const starts = new Date(`${date}T${time.padStart(5, '0')}`);
    const startsAt = Number.isNaN(starts.getTime()) ? '' : starts.toISOString();
    const times = Number(text('times') || '1');
    try {
      if (moving) {
        await send('PUT /api/visits/{id}/booking', {
          params: { id: moving.id },
          body: { startsAt, therapistId: Number(therapist) },
        });
        onBooked(moving.id);
        return;
      }
      const { id } = await send('POST /api/visits', {
        body: asFilledIn<'POST /api/visits'>({
          clientId,
          therapistId: Number(therapist),
          startsAt,
          minutes: Number(minutes),
          focus: booked.isDrained ? text('focus').split(' ') : ['whole-body'],
          purpose: booked.isDrained ? text('purpose') : 'wellness',
          ...(booked.holds ? { holds: booked.holds } : {}),
          ...(times > 1 ? { repeat: { everyWeeks: Number(text('everyWeeks') || '1'), times } } : {}),
        }),
      });
      onBooked(id);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  const repeatError = error?.fieldError('repeat');
  return (
    <Dialog
      title={moving ? bookingWords.moveTheVisit : `Book a visit${clientName ? bookingWords.for(clientName) : ''}`}
      isOpen={isOpen}
      onClose={onClose}
    >
      <form className={styles['form']} onSubmit={(event) => void save(event)} noValidate>
        {lastWork && !moving && (
          <p>
            {bookingWords.lastTime} {lastWork.words}.{lastWork.holds === null && bookingWords.theSameIsSetForThis}
          </p>
        )}
        {!moving && <KindSelect offers={offers} kind={kind} onChange={choose} error={error?.fieldError('holds')} />}
        {state.kind === 'trouble' && !moving && <p className={styles['error']}>{state.text}</p>}
        {!moving && booked.isDrained && (
          <div className={styles['row']}>
            <Select
              label={bookingWords.whatIsToBeDrained}
              name="focus"
              defaultValue={known ? lastWork?.focus.join(' ') : undefined}
              error={error?.fieldError('focus')}
            >
              {areas.map((area) => (
                <option key={area.value} value={area.value}>
                  {area.text}
                </option>
              ))}
            </Select>
            <Select label={bookingWords.becauseOf} name="purpose" defaultValue={lastWork?.purpose}>
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
            name="minutes"
            type="number"
            inputMode="numeric"
            value={minutes}
            disabled={moving !== undefined}
            onChange={(event) => setMinutes(event.target.value)}
            error={error?.fieldError('minutes')}
          />
          <Select
            label={bookingWords.with}
            name="therapist"
            value={therapist}
            onChange={(event) => setTherapist(event.target.value)}
            error={error?.fieldError('therapistId')}
          >
            {therapists.map((t) => (
              <option key={t.id} value={t.id}>
                {t.name}
              </option>
            ))}
          </Select>
        </div>
        <div className={styles['row']}>
          <Field
            label={bookingWords.from}
            type="date"
            value={from}
            min={today}
            onChange={(event) => setFrom(event.target.value)}
          />
          <label className={styles['check']}>
            <input type="checkbox" checked={withStones} onChange={(event) => setWithStones(event.target.checked)} />{' '}
            {bookingWords.warmStonesMinutesToHeat}
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
          <Field
            label={bookingWords.date}
            name="date"
            type="date"
            value={date}
            onChange={(event) => setChosen({ date: event.target.value, time })}
            error={error?.fieldError('startsAt')}
          />
          <Field
            label={bookingWords.time}
            name="time"
            type="time"
            value={time.padStart(5, '0')}
            onChange={(event) => setChosen({ date, time: event.target.value.replace(/^0/, '') })}
          />
        </div>
        {!moving && (
          <div className={styles['row']}>
            <Field
              label={bookingWords.howManyVisits}
              name="times"
              type="number"
              inputMode="numeric"
              defaultValue="1"
              error={repeatError}
            />
            <Field
              label={bookingWords.weeksApart}
              name="everyWeeks"
              type="number"
              inputMode="numeric"
              defaultValue="1"
            />
          </div>
        )}
        {error && !error.problem.errors && <p className={styles['error']}>{error.message}</p>}
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

interface KindProps {
  readonly offers: TreatmentOffers | undefined;
  readonly kind: Kind;
  readonly onChange: (kind: Kind) => void;
  readonly error: string | undefined;
}

/** What the visit is for: a drainage, something ready-made, or any protocol of the house. */
function KindSelect({ offers, kind, onChange, error }: KindProps) {
  const protocols = offers?.protocols ?? [];
  return (
    <Select
      label={bookingWords.whatFor}
      value={kind}
      onChange={(event) => onChange(event.target.value as Kind)}
      error={error}
    >
      <option value="drainage">{bookingWords.drainage}</option>
      {offers && offers.ready.length > 0 && (
        <optgroup label={bookingWords.readyMade}>
          {offers.ready.map((one) => (
            <option key={one.id} value={`ready:${one.id}`}>
              {one.kind === 'usual' ? bookingWords.usual(one.name) : one.name}
            </option>
          ))}
        </optgroup>
      )}
      {[...new Set(protocols.map(({ modality }) => modality))].map((group) => (
        <optgroup key={group} label={group}>
          {protocols
            .filter(({ modality }) => modality === group)
            .map(({ id, name }) => (
              <option key={id} value={`protocol:${id}`}>
                {name}
              </option>
            ))}
        </optgroup>
      ))}
    </Select>
  );
}

interface Wish {
  readonly isOpen: boolean;
  readonly minutes: string;
  readonly therapist: string;
  readonly from: string;
  readonly withStones: boolean;
  readonly visit: number | undefined;
}

/** Free times for what is wished, asked for anew whenever the wish changes. */
function useProposals({ isOpen, minutes, therapist, from, withStones, visit }: Wish): readonly ProposalView[] {
  const [proposals, setProposals] = useState<readonly ProposalView[]>([]);
  useEffect(() => {
    if (!isOpen) return;
    const abort = new AbortController();
    const query = { minutes, therapist, from, stones: withStones, visit };
    send('GET /api/bookings/proposals', { query, signal: abort.signal })
      .then(setProposals)
      // Half-typed minutes or dates have no free times yet.
      .catch(() => !abort.signal.aborted && setProposals([]));
    return () => abort.abort();
  }, [isOpen, minutes, therapist, from, withStones, visit]);
  return proposals;
}

import { homeWords } from './home.words';
import type { HomeWish } from '../../contracts/home';
import type { HomeView } from '../../contracts/home-views';
import type { FieldError } from '../../core/result';
import { Choice } from '../../ui/choice/Choice';
import { Field, TextArea } from '../../ui/field/Field';
import styles from './WishForm.module.css';

interface Props {
  readonly view: HomeView;
  readonly wish: HomeWish;
  readonly onWish: (wish: HomeWish) => void;
  readonly errors: readonly FieldError[];
}

/** Times of the day that suit, by how often. */
const usualTimes = ['08:00', '20:00', '13:00'] as const;

/** What the client takes home: which routine, for which side, what they reach, when and how long. */
export function WishForm({ view, wish, onWish, errors }: Props) {
  const change = (part: Partial<HomeWish>) => onWish({ ...wish, ...part });
  const errorAt = (path: string) => errors.find((one) => one.path === path || one.path === `wish.${path}`)?.message;
  const choose = (id: string) => {
    const offer = view.offers.find(({ routine }) => routine.id === id);
    if (!offer) return;
    const { routine, takesSide } = offer;
    change({
      routine: routine.id,
      side: takesSide ? (wish.side ?? 'left') : null,
      minutes: routine.minutes.usual,
      daysPerWeek: Math.min(routine.daysPerWeek, Math.floor(routine.mostPerWeek / wish.times.length) || 1),
    });
  };
  const offer = view.offers.find(({ routine }) => routine.id === wish.routine);
  const setTimes = (count: number) =>
    change({ times: usualTimes.slice(0, count).map((time, i) => wish.times[i] ?? time) });
  return (
    <div className={styles['form']}>
      <div className={styles['offers']} role="radiogroup" aria-label={homeWords.routine}>
        {view.offers.map(({ routine, title, about }) => (
          <label key={routine.id} data-on={routine.id === wish.routine || undefined}>
            <input
              type="radio"
              name="routine"
              className="visually-hidden"
              checked={routine.id === wish.routine}
              onChange={() => choose(routine.id)}
            />
            <strong>{title}</strong>
            <span>{about}</span>
          </label>
        ))}
      </div>
      {errorAt('routine') && (
        <p className={styles['no']} role="alert">
          {errorAt('routine')}
        </p>
      )}
      {offer?.takesSide && (
        <Choice
          label={homeWords.side}
          options={[
            { value: 'left', text: homeWords.left },
            { value: 'right', text: homeWords.right },
            { value: 'both', text: homeWords.both },
          ]}
          value={wish.side}
          onChange={(side) => change({ side })}
        />
      )}
      {errorAt('side') && <p className={styles['no']}>{errorAt('side')}</p>}
      <fieldset className={styles['reach']}>
        <legend>{homeWords.theClientCan}</legend>
        {(
          [
            ['bends', homeWords.bendDownToTheFoot],
            ['usesLeft', homeWords.useTheLeftHand],
            ['usesRight', homeWords.useTheRightHand],
          ] as const
        ).map(([key, text]) => (
          <label key={key}>
            <input
              type="checkbox"
              checked={wish.reach[key]}
              onChange={(event) => change({ reach: { ...wish.reach, [key]: event.target.checked } })}
            />
            {text}
          </label>
        ))}
        {errorAt('reach') && <p className={styles['no']}>{errorAt('reach')}</p>}
      </fieldset>
      <div className={styles['row']}>
        <Field
          label={homeWords.minutes}
          type="number"
          min={2}
          max={30}
          value={wish.minutes}
          onChange={(event) => change({ minutes: Number(event.target.value) })}
          error={errorAt('minutes')}
        />
        <Field
          label={homeWords.daysAWeek}
          type="number"
          min={1}
          max={7}
          value={wish.daysPerWeek}
          onChange={(event) => change({ daysPerWeek: Number(event.target.value) })}
          error={errorAt('daysPerWeek')}
          hint={offer && homeWords.atMostAWeek(offer.routine.mostPerWeek, offer.whyNotMore)}
        />
      </div>
      <Choice
        label={homeWords.timesADay}
        options={[1, 2, 3].map((n) => ({ value: String(n), text: String(n) }))}
        value={String(wish.times.length)}
        onChange={(n) => setTimes(Number(n))}
      />
      <div className={styles['row']}>
        {wish.times.map((time, i) => (
          <Field
            key={i}
            label={wish.times.length > 1 ? homeWords.time(i + 1) : homeWords.time2}
            type="time"
            value={time}
            onChange={(event) => change({ times: wish.times.map((one, k) => (k === i ? event.target.value : one)) })}
            error={errorAt(`times.${i}`)}
          />
        ))}
      </div>
      {view.languages.length > 1 && (
        <Choice
          label={homeWords.language}
          options={view.languages.map(({ id, name }) => ({ value: id, text: name }))}
          value={wish.language}
          onChange={(language) => change({ language })}
        />
      )}
      <TextArea
        label={homeWords.aWordOfYours}
        value={wish.note}
        onChange={(event) => change({ note: event.target.value })}
        error={errorAt('note')}
        hint={homeWords.printedOnTheSheetNoNames}
      />
    </div>
  );
}

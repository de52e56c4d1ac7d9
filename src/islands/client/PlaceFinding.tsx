import { clientWords } from './client.words';
import { anatomy } from '../../catalogue/anatomy';
import type { ConditionView } from '../../contracts/screening-views';
import { getPlace } from '../../core/anatomy/place';
import { list } from '../../core/drainage/wording';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { RoughDateField } from '../../ui/date-field/RoughDateField';
import { Field } from '../../ui/field/Field';
import { Pick, type PickOption } from '../../ui/pick/Pick';
import styles from './PlaceFinding.module.css';
import { type How, thickened, type usePlacing } from './usePlacing';

const hints: Readonly<Record<How, string>> = {
  side: clientWords.chooseTheSide,
  regions: clientWords.clickThePlacesOnTheBody,
  pair: clientWords.pickTheTwoNeighboursThatThe,
  none: clientWords.noPlaceIsNeeded,
};

export function PlaceFinding({
  placing,
  conditions,
}: {
  readonly placing: ReturnType<typeof usePlacing>;
  readonly conditions: readonly ConditionView[];
}) {
  const { error } = placing;
  const placeError = error?.fieldError('side') ?? error?.fieldError('regions') ?? error?.fieldError('crosses');
  const [dateError, noteError, kindError] = [
    error?.fieldError('sinceOn'),
    error?.fieldError('note'),
    error?.fieldError('id'),
  ];
  const other = error && !placeError && !dateError && !noteError && !kindError ? error.message : undefined;
  const options: readonly PickOption[] = [
    ...conditions.map(({ id, label, group }) => ({ id, text: label, group })),
    thickened,
  ];
  return (
    <form
      className={styles['form']}
      aria-label={placing.corrected ? clientWords.correctAFinding : clientWords.placeAFinding}
      onSubmit={(event) => {
        event.preventDefault();
        void placing.save();
      }}
    >
      <Pick label={clientWords.what} options={options} value={placing.kind} onChange={placing.choose} />
      {kindError && (
        <p className={styles['error']} role="alert">
          {clientWords.chooseWhatWasFound}
        </p>
      )}
      {placing.kind && <p className={styles['hint']}>{hints[placing.how]}</p>}
      {placing.how === 'side' && (
        <Choice
          label={clientWords.sideOfTheClient}
          options={[
            { value: 'left', text: clientWords.left },
            { value: 'right', text: clientWords.right },
            { value: 'both', text: clientWords.both },
          ]}
          value={placing.side}
          onChange={placing.setSide}
        />
      )}
      {placing.how !== 'side' && placing.how !== 'none' && (
        <p className={styles['picked']}>
          {placing.picked.length === 0
            ? clientWords.noPlacePickedYet
            : clientWords.picked2(list(placing.picked.map((id) => getPlace(anatomy, id).label)))}
        </p>
      )}
      {placeError && (
        <p className={styles['error']} role="alert">
          {placeError}
        </p>
      )}
      <div className={styles['row']}>
        <RoughDateField
          label={clientWords.sinceYearMonthOrDay}
          value={placing.sinceOn}
          onDate={placing.setSinceOn}
          error={dateError}
        />
        <Field
          label={clientWords.note}
          value={placing.note}
          maxLength={400}
          onChange={(event) => placing.setNote(event.target.value)}
          error={noteError}
        />
      </div>
      {placing.corrected && (
        <Field
          label={clientWords.whyItIsCorrected}
          value={placing.reason}
          maxLength={400}
          onChange={(event) => placing.setReason(event.target.value)}
        />
      )}
      {other && (
        <p className={styles['error']} role="alert">
          {other}
        </p>
      )}
      <div className={styles['buttons']}>
        <Button onClick={placing.close}>{clientWords.cancel}</Button>
        <Button type="submit">{placing.corrected ? clientWords.correctIt : clientWords.placeIt}</Button>
      </div>
    </form>
  );
}

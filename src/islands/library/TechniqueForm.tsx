import { libraryWords } from './library.words';
import { type Technique, traits } from '../../core/library/technique';
import { proposedTraits } from '../../core/library/proposed-traits';
import { proposedKinds } from '../../core/library/upgrade';
import { stoneBook } from '../../catalogue/stones/stones';
import { sizeIds } from '../../core/stones/book';
import { Button } from '../../ui/button/Button';
import { Field, Select, TextArea } from '../../ui/field/Field';
import { send } from '../api';
import { useHouseForm } from '../forms/use-house-form';
import shared from './LibraryView.module.css';
import styles from './TechniqueForm.module.css';
import { techniqueOf, typedOf } from './typed-technique';
import { directionWords, familyWords, handWords, standingWords, touchWords, traitWords } from './words';

interface Props {
  readonly first: Technique;
  readonly basedOn: number;
  /** Ids that are in use. */
  readonly taken: ReadonlySet<string>;
  /** Kinds of work that it may be judged as. */
  readonly modalities: readonly { readonly id: string; readonly label: string }[];
  /** All of the library, which says what is usual in a family. */
  readonly others: readonly Technique[];
  readonly onClose: () => void;
  readonly onSaved: (words: string) => Promise<void>;
}

const texts = [
  { key: 'why', label: libraryWords.whyItIsDone },
  { key: 'never', label: libraryWords.neverDo },
  { key: 'feel', label: libraryWords.itHasWorkedWhen },
] as const;

const lists = [
  { key: 'family', label: libraryWords.family, values: familyWords },
  { key: 'hands', label: libraryWords.hands, values: handWords },
  { key: 'pressure', label: libraryWords.pressure, values: touchWords },
  { key: 'direction', label: 'Way', values: directionWords },
  { key: 'therapist', label: libraryWords.therapist, values: standingWords },
] as const;

const numbers = [
  { key: 'secondsPerRepetition', label: libraryWords.secondsARepetition, step: 0.5 },
  { key: 'repetitions.min', label: libraryWords.repetitionsLeast, step: 1 },
  { key: 'repetitions.usual', label: libraryWords.usuallyTimes, step: 1 },
  { key: 'repetitions.max', label: libraryWords.mostTimes, step: 1 },
  { key: 'placements', label: libraryWords.placesInARegion, step: 1 },
] as const;

/** An id that nothing has yet: the wish, or the wish with a number. */
export function freeId(wish: string, taken: ReadonlySet<string>): string {
  if (!taken.has(wish)) return wish;
  let number = 2;
  while (taken.has(`${wish}-${number}`)) number += 1;
  return `${wish}-${number}`;
}

/** Changes a technique, or a copy of one; what ships stays as it is underneath. */
export function TechniqueForm({ first, basedOn, taken, modalities, others, onClose, onSaved }: Props) {
  const isNew = !taken.has(first.id) || first.id.endsWith('-own');
  const form = useHouseForm({
    first: typedOf(first),
    under: 'value',
    onSend: async (typed) => {
      const filled = techniqueOf(first, typed);
      const value = isNew && basedOn === 0 ? { ...filled, id: freeId(filled.id, taken) } : filled;
      await send('PUT /api/library/techniques/{key}', { params: { key: value.id }, body: { value, basedOn } });
      onClose();
      await onSaved(libraryWords.isKeptAsOurOwn(value.name));
    },
  });
  const { field } = form;
  const [family, judgedAs, own, size] = form.watch(['family', 'judgedAs', 'traits', 'stones.size']);
  const proposed = proposedTraits(family, others);
  return (
    <form className={shared['form']} onSubmit={form.submit} noValidate>
      <h2>{basedOn === 0 && isNew ? libraryWords.aTechniqueOfOurOwn : libraryWords.change2(first.name)}</h2>
      <Field label={libraryWords.name} {...field('name')} />
      <div className={styles['pairs']}>
        {lists.map(({ key, label, values }) => (
          <Select key={key} label={label} {...field(key)}>
            {Object.entries(values).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </Select>
        ))}
        {numbers.map(({ key, label, step }) => (
          <Field key={key} label={label} type="number" min={step} step={step} {...field(key)} />
        ))}
      </div>
      <label className={styles['tick']}>
        <input type="checkbox" {...form.register('isPerRegion')} />
        {libraryWords.repeatedInEachRegionOfA}
      </label>
      <TextArea label={libraryWords.sentencesForTheTableOneA} {...field('cues')} />
      {texts.map(({ key, label }) => (
        <TextArea key={key} label={label} {...field(key)} />
      ))}
      <Field label={libraryWords.wordsToFindItBy} {...field('words')} />
      <div className={styles['pairs']}>
        <Select label={libraryWords.stonesThatItTakes} {...field('stones.size')}>
          <option value="">{libraryWords.noStones}</option>
          {sizeIds.map((id) => (
            <option key={id} value={id}>
              {stoneBook.sizes[id].label.toLowerCase()}
            </option>
          ))}
        </Select>
        {size !== '' && (
          <Field label={libraryWords.howManyStones} type="number" min={1} step={1} {...field('stones.count')} />
        )}
      </div>
      <fieldset className={styles['ticks']}>
        <legend>{libraryWords.judgedAs}</legend>
        {modalities.map(({ id, label }) => (
          <label key={id} className={styles['tick']}>
            <input type="checkbox" value={id} {...form.register('judgedAs')} />
            {label}
            {proposedKinds(family).includes(id) && !judgedAs.includes(id) && libraryWords.usualForItsFamily}
          </label>
        ))}
        <Wrong text={form.errorOf('judgedAs')} />
      </fieldset>
      <fieldset className={styles['ticks']}>
        <legend>{libraryWords.whatItIsLike}</legend>
        {traits.map((trait) => (
          <label key={trait} className={styles['tick']}>
            <input type="checkbox" value={trait} {...form.register('traits')} />
            {traitWords[trait]}
            {proposed.has(trait) && !own.includes(trait) && libraryWords.usualForItsFamily}
          </label>
        ))}
        <Wrong text={form.errorOf('traits')} />
      </fieldset>
      <Wrong text={form.trouble} />
      <div className={shared['buttons']}>
        <Button onClick={onClose}>{libraryWords.leaveIt}</Button>
        <Button look="filled" type="submit">
          {libraryWords.keepAsOurs}
        </Button>
      </div>
    </form>
  );
}

function Wrong({ text }: { readonly text: string | undefined }) {
  if (text === undefined) return null;
  return (
    <p role="alert" className={shared['alert']}>
      {text}
    </p>
  );
}

import { libraryWords } from './library.words';
import { useState } from 'react';
import {
  directions,
  families,
  handNeeds,
  standings,
  type Technique,
  touches,
  type Trait,
  traits,
} from '../../core/library/technique';
import { proposedTraits } from '../../core/library/proposed-traits';
import { proposedKinds } from '../../core/library/upgrade';
import { stoneBook } from '../../catalogue/stones/stones';
import { sizeIds } from '../../core/stones/book';
import { Button } from '../../ui/button/Button';
import { Field, Select, TextArea } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import shared from './LibraryView.module.css';
import styles from './TechniqueForm.module.css';
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

/** An id that nothing has yet: the wish, or the wish with a number. */
export function freeId(wish: string, taken: ReadonlySet<string>): string {
  if (!taken.has(wish)) return wish;
  let number = 2;
  while (taken.has(`${wish}-${number}`)) number += 1;
  return `${wish}-${number}`;
}

/** Changes a technique, or a copy of one; what ships stays as it is underneath. */
export function TechniqueForm({ first, basedOn, taken, modalities, others, onClose, onSaved }: Props) {
  const [draft, setDraft] = useState(first);
  const [error, setError] = useState<unknown>();
  const isNew = !taken.has(first.id) || first.id.endsWith('-own');
  const set = (change: Partial<Technique>) => setDraft((now) => ({ ...now, ...change }));
  const at = (path: string) =>
    error instanceof RequestError ? (error.fieldError(`value.${path}`) ?? error.fieldError(path)) : undefined;
  const save = async () => {
    const value = isNew && basedOn === 0 ? { ...draft, id: freeId(draft.id, taken) } : draft;
    try {
      await send('PUT /api/library/techniques/{key}', { params: { key: value.id }, body: { value, basedOn } });
      onClose();
      await onSaved(libraryWords.isKeptAsOurOwn(value.name));
    } catch (caught) {
      setError(caught);
    }
  };
  const number = (label: string, value: number, path: string, onValue: (value: number) => void, step = 1) => (
    <Field
      label={label}
      type="number"
      min={step}
      step={step}
      value={value}
      onChange={(event) => onValue(Number(event.target.value))}
      error={at(path)}
    />
  );
  const repetitions = (key: keyof Technique['repetitions'], label: string) =>
    number(label, draft.repetitions[key], `repetitions.${key}`, (value) =>
      set({ repetitions: { ...draft.repetitions, [key]: value } }),
    );
  const choose = <K extends 'family' | 'hands' | 'pressure' | 'direction' | 'therapist'>(
    label: string,
    key: K,
    values: readonly Technique[K][],
    words: Readonly<Record<Technique[K], string>>,
  ) => (
    <Select
      label={label}
      value={draft[key]}
      onChange={(event) => set({ [key]: event.target.value } as Partial<Technique>)}
      error={at(key)}
    >
      {values.map((one) => (
        <option key={one} value={one}>
          {words[one]}
        </option>
      ))}
    </Select>
  );
  const proposed = proposedTraits(draft.family, others);
  const toggle = (trait: Trait, isOn: boolean) =>
    set({ traits: isOn ? [...draft.traits, trait] : draft.traits.filter((one) => one !== trait) });
  return (
    <form
      className={shared['form']}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h2>{basedOn === 0 && isNew ? libraryWords.aTechniqueOfOurOwn : libraryWords.change2(first.name)}</h2>
      <Field
        label={libraryWords.name}
        value={draft.name}
        onChange={(event) => set({ name: event.target.value })}
        error={at('name')}
      />
      <div className={styles['pairs']}>
        {choose('Family', 'family', families, familyWords)}
        {choose('Hands', 'hands', handNeeds, handWords)}
        {choose('Pressure', 'pressure', touches, touchWords)}
        {choose('Way', 'direction', directions, directionWords)}
        {choose('Therapist', 'therapist', standings, standingWords)}
        {number(
          libraryWords.secondsARepetition,
          draft.secondsPerRepetition,
          'secondsPerRepetition',
          (value) => set({ secondsPerRepetition: value }),
          0.5,
        )}
        {repetitions('min', libraryWords.repetitionsLeast)}
        {repetitions('usual', libraryWords.usuallyTimes)}
        {repetitions('max', libraryWords.mostTimes)}
        {number(libraryWords.placesInARegion, draft.placements, 'placements', (value) => set({ placements: value }))}
      </div>
      <label className={styles['tick']}>
        <input
          type="checkbox"
          checked={draft.isPerRegion}
          onChange={(event) => set({ isPerRegion: event.target.checked })}
        />
        {libraryWords.repeatedInEachRegionOfA}
      </label>
      <TextArea
        label={libraryWords.sentencesForTheTableOneA}
        value={draft.cues.join('\n')}
        onChange={(event) => set({ cues: event.target.value.split('\n') })}
        error={at('cues')}
      />
      {texts.map(({ key, label }) => (
        <TextArea
          key={key}
          label={label}
          value={draft[key]}
          onChange={(event) => set({ [key]: event.target.value })}
          error={at(key)}
        />
      ))}
      <Field
        label={libraryWords.wordsToFindItBy}
        value={draft.words.join(', ')}
        onChange={(event) => set({ words: event.target.value.split(',').map((word) => word.trimStart()) })}
        error={at('words')}
      />
      <div className={styles['pairs']}>
        <Select
          label={libraryWords.stonesThatItTakes}
          value={draft.stones?.size ?? ''}
          onChange={({ target }) => {
            const { stones, ...others } = draft;
            const size = sizeIds.find((id) => id === target.value);
            setDraft(size ? { ...draft, stones: { count: 1, keep: false, ...stones, size } } : others);
          }}
          error={at('stones')}
        >
          <option value="">{libraryWords.noStones}</option>
          {sizeIds.map((id) => (
            <option key={id} value={id}>
              {stoneBook.sizes[id].label.toLowerCase()}
            </option>
          ))}
        </Select>
        {draft.stones &&
          number(libraryWords.howManyStones, draft.stones.count, 'stones.count', (count) =>
            set({ stones: { size: 'palm', keep: false, ...draft.stones, count } }),
          )}
      </div>
      <fieldset className={styles['ticks']}>
        <legend>{libraryWords.judgedAs}</legend>
        {modalities.map(({ id, label }) => (
          <label key={id} className={styles['tick']}>
            <input
              type="checkbox"
              checked={draft.judgedAs.includes(id)}
              onChange={(event) =>
                set({
                  judgedAs: event.target.checked
                    ? [...draft.judgedAs, id]
                    : draft.judgedAs.filter((kind) => kind !== id),
                })
              }
            />
            {label}
            {proposedKinds(draft.family).includes(id) && !draft.judgedAs.includes(id) && libraryWords.usualForItsFamily}
          </label>
        ))}
      </fieldset>
      <fieldset className={styles['ticks']}>
        <legend>{libraryWords.whatItIsLike}</legend>
        {traits.map((trait) => (
          <label key={trait} className={styles['tick']}>
            <input
              type="checkbox"
              checked={draft.traits.includes(trait)}
              onChange={(event) => toggle(trait, event.target.checked)}
            />
            {traitWords[trait]}
            {proposed.has(trait) && !draft.traits.includes(trait) && libraryWords.usualForItsFamily}
          </label>
        ))}
      </fieldset>
      {error !== undefined && (
        <p role="alert" className={shared['alert']}>
          {at('traits') ?? at('judgedAs') ?? sentenceOf(error)}
        </p>
      )}
      <div className={shared['buttons']}>
        <Button onClick={onClose}>{libraryWords.leaveIt}</Button>
        <Button look="filled" type="submit">
          {libraryWords.keepAsOurs}
        </Button>
      </div>
    </form>
  );
}

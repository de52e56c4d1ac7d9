import { libraryWords } from './library.words';
import { useRef, useState } from 'react';
import { purposes } from '../../catalogue/library/purposes';
import type { LibraryView } from '../../contracts/library-views';
import { families, handNeeds } from '../../core/library/technique';
import { Button } from '../../ui/button/Button';
import { Field, Select } from '../../ui/field/Field';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import type { Filter } from './filter-library';
import styles from './Filters.module.css';
import { familyWords, handWords, plainWords } from './words';

interface Props {
  readonly of: 'technique' | 'protocol';
  readonly view: LibraryView;
  readonly filter: Filter;
  readonly onFilter: (filter: Filter) => void;
}

const minuteSteps = [10, 15, 30, 45, 60];

/** By word, hands, kind, school and minutes; a region comes from the body. */
export function Filters({ of, view, filter, onFilter }: Props) {
  const search = useRef<HTMLInputElement>(null);
  const [isOpen, setIsOpen] = useState(false);
  const { hands, family, modality, purpose, school, mostMinutes } = filter;
  const own = of === 'technique' ? [hands, family] : [hands, modality, purpose, school, mostMinutes ?? ''];
  const on = own.filter((one) => one !== '').length;
  const set = (change: Partial<Filter>) => onFilter({ ...filter, ...change });
  useShortcuts([
    { keys: ['F'], words: libraryWords.searchKey, act: () => search.current?.focus() },
    { keys: ['↑', '↓'], words: libraryWords.throughTheList },
  ]);
  useShortcuts([{ keys: ['Esc'], words: libraryWords.everyRegionAgain, act: () => set({ region: undefined }) }], {
    whileWriting: 'always',
  });
  const schools = [...new Set(view.protocols.map(({ value }) => value.school))].sort();
  const label = view.regions.find(({ name }) => name === filter.region)?.label;
  return (
    <div className={styles['filters']}>
      <Field
        ref={search}
        label={libraryWords.search}
        type="search"
        value={filter.text}
        onChange={(event) => set({ text: event.target.value })}
      />
      <Button aria-expanded={isOpen} onClick={() => setIsOpen(!isOpen)}>
        {isOpen ? libraryWords.fewerFilters : on > 0 ? libraryWords.filtersOn(on) : libraryWords.moreFilters}
      </Button>
      {isOpen && (
        <div className={styles['more']}>
          <Select
            label={libraryWords.hands}
            value={filter.hands}
            onChange={(event) => set({ hands: event.target.value as Filter['hands'] })}
          >
            <option value="">{libraryWords.any}</option>
            {handNeeds.map((one) => (
              <option key={one} value={one}>
                {handWords[one]}
              </option>
            ))}
          </Select>
          {of === 'technique' ? (
            <Select
              label={libraryWords.family}
              value={filter.family}
              onChange={(event) => set({ family: event.target.value as Filter['family'] })}
            >
              <option value="">{libraryWords.all}</option>
              {families.map((one) => (
                <option key={one} value={one}>
                  {familyWords[one]}
                </option>
              ))}
            </Select>
          ) : (
            <>
              <Select
                label={libraryWords.whatFor}
                value={filter.purpose}
                onChange={(event) => set({ purpose: event.target.value })}
              >
                <option value="">{libraryWords.anything}</option>
                {purposes.map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.label}
                  </option>
                ))}
              </Select>
              <Select
                label={libraryWords.kindOfWork}
                value={filter.modality}
                onChange={(event) => set({ modality: event.target.value })}
              >
                <option value="">{libraryWords.all}</option>
                {view.modalities.map(({ id, label: text }) => (
                  <option key={id} value={id}>
                    {text}
                  </option>
                ))}
              </Select>
              <Select
                label={libraryWords.school}
                value={filter.school}
                onChange={(event) => set({ school: event.target.value })}
              >
                <option value="">{libraryWords.all}</option>
                {schools.map((one) => (
                  <option key={one} value={one}>
                    {plainWords(one)}
                  </option>
                ))}
              </Select>
              <Select
                label={libraryWords.minutes}
                value={filter.mostMinutes ?? ''}
                onChange={(event) =>
                  set({ mostMinutes: event.target.value === '' ? undefined : Number(event.target.value) })
                }
              >
                <option value="">{libraryWords.any}</option>
                {minuteSteps.map((minutes) => (
                  <option key={minutes} value={minutes}>
                    {libraryWords.upTo(minutes)}
                  </option>
                ))}
              </Select>
            </>
          )}
        </div>
      )}
      {label && (
        <p className={styles['region']}>
          {libraryWords.onlyThe} {label}
          <Button look="link" onClick={() => set({ region: undefined })}>
            {libraryWords.everyRegion}
          </Button>
        </p>
      )}
    </div>
  );
}

import { libraryWords } from './library.words';
import { useMemo, useState } from 'react';
import type { LibraryView as View } from '../../contracts/library-views';
import type { ProtocolStep } from '../../core/library/protocol';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { Filters } from './Filters';
import { type Filter, filterProtocols, filterTechniques, noFilter, regionsByTechnique } from './filter-library';
import { directionRoutes, nodeMarks, placesOfStep, regionMarks, regionOf } from './library-marks';
import { librarySearch, type Why } from './search-library';
import { LibraryFiles } from './LibraryFiles';
import { LibraryList } from './LibraryList';
import styles from './LibraryView.module.css';
import { ProtocolDetail } from './ProtocolDetail';
import { TechniqueDetail } from './TechniqueDetail';
import { familyWords } from './words';

interface Props {
  readonly first: View;
  readonly opened: { readonly of: 'technique' | 'protocol'; readonly id: string } | null;
}

/** Techniques and protocols: found by word or by a touch on the body, read, copied and changed. */
export function LibraryView({ first, opened }: Props) {
  const [view, setView] = useState(first);
  const [of, setOf] = useState(opened?.of ?? 'protocol');
  const [filter, setFilter] = useState<Filter>(noFilter);
  const [chosen, setChosen] = useState<Readonly<Partial<Record<'technique' | 'protocol', string>>>>(
    opened ? { [opened.of]: opened.id } : {},
  );
  const [step, setStep] = useState<ProtocolStep>();
  const [areFilesOpen, setAreFilesOpen] = useState(false);
  const { say, toasts } = useToasts();
  const used = useMemo(() => regionsByTechnique(view.protocols), [view.protocols]);
  const search = useMemo(() => librarySearch(view), [view]);
  const isAsked = filter.text.trim() !== '';
  const found = useMemo(
    () => (isAsked ? (of === 'protocol' ? search.protocols(filter.text) : search.techniques(filter.text)) : undefined),
    [filter.text, isAsked, of, search],
  );
  const techniques = filterTechniques(view.techniques, filter, used, of === 'technique' ? found : undefined);
  const protocols = filterProtocols(view.protocols, filter, of === 'protocol' ? found : undefined);
  const technique = techniques.find(({ value }) => value.id === chosen.technique) ?? techniques[0];
  const protocol = protocols.find(({ value }) => value.id === chosen.protocol) ?? protocols[0];

  const choose = (id: string) => {
    setStep(undefined);
    setChosen((now) => ({ ...now, [of]: id }));
    const query = new URLSearchParams({ [of]: id });
    window.history.replaceState(null, '', `/library?${query}`);
  };
  const reload = async (words: string) => {
    try {
      setView(await send('GET /api/library/view'));
      say(words);
    } catch (error) {
      say(sentenceOf(error));
    }
  };

  const steps: readonly Pick<ProtocolStep, 'regions' | 'side' | 'technique'>[] =
    of === 'protocol'
      ? step
        ? [step]
        : (protocol?.value.blocks.flatMap((block) => block.steps) ?? [])
      : technique
        ? [{ technique: technique.value.id, regions: [...(used.get(technique.value.id) ?? [])], side: 'both' }]
        : [];
  const places = [...new Set(steps.flatMap(placesOfStep))];
  const shown =
    of === 'technique' ? technique?.value : view.techniques.find(({ value }) => value.id === step?.technique)?.value;
  const drawing = bestDrawing(places);
  return (
    <>
      <div className={styles['view']}>
        <section className={styles['body']} aria-label={libraryWords.whereItIsDone}>
          <BodyPanel
            key={`${drawing.view} ${drawing.side}`}
            label={libraryWords.touchARegionToSeeWhat}
            initial={drawing}
            regions={regionMarks(places, libraryWords.workedOn)}
            nodes={nodeMarks(places)}
            routes={shown ? directionRoutes(places, shown.direction) : []}
            onPick={(place) => setFilter((now) => ({ ...now, region: regionOf(place) }))}
          />
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h1>{libraryWords.library}</h1>
            <div className={styles['tools']}>
              <Button onClick={() => setAreFilesOpen(true)}>{libraryWords.filesInAndOut}</Button>
              <Shortcuts />
            </div>
          </div>
          <Choice
            label={libraryWords.whatToLookAt}
            isLabelHidden
            options={[
              { value: 'protocol', text: libraryWords.protocols(view.protocols.length) },
              { value: 'technique', text: libraryWords.techniques(view.techniques.length) },
            ]}
            value={of}
            onChange={(next) => {
              setOf(next);
              setStep(undefined);
            }}
          />
          <Filters of={of} view={view} filter={filter} onFilter={setFilter} />
          <LibraryList
            entries={(of === 'protocol' ? protocols : techniques).map((entry) => ({
              id: entry.value.id,
              name: entry.value.name,
              origin: entry.origin,
              why: whyInWords(found?.get(entry.value.id)),
              about:
                'blocks' in entry.value ? libraryWords.min(entry.value.usualMinutes) : familyWords[entry.value.family],
            }))}
            chosen={(of === 'protocol' ? protocol : technique)?.value.id}
            onChoose={choose}
          />
          {view.withheld.length > 0 && of === 'technique' && (
            <p className={styles['soft']}>{libraryWords.moreNeedTrainingThatYouDo(view.withheld.length)}</p>
          )}
        </main>
        <aside className={styles['aside']} aria-label={libraryWords.whatItIs}>
          {of === 'technique' && technique && (
            <TechniqueDetail
              key={`${technique.value.id} ${technique.version}`}
              entry={technique}
              view={view}
              onOpenProtocol={(id) => {
                setOf('protocol');
                setChosen((now) => ({ ...now, protocol: id }));
                setFilter(noFilter);
              }}
              onChanged={reload}
              say={say}
            />
          )}
          {of === 'protocol' && protocol && (
            <ProtocolDetail
              key={`${protocol.value.id} ${protocol.version}`}
              entry={protocol}
              view={view}
              step={step}
              onStep={setStep}
              onChanged={reload}
              say={say}
            />
          )}
        </aside>
      </div>
      {areFilesOpen && <LibraryFiles onClose={() => setAreFilesOpen(false)} onChanged={reload} say={say} />}
      {toasts}
    </>
  );
}

/** Why something stands in the list, where its name does not say it. */
function whyInWords(why: Why | undefined): string {
  switch (why?.by) {
    case undefined:
      return '';
    case 'words':
      return libraryWords.alsoCalled(why.phrase);
    case 'regions':
      return libraryWords.doneOn(why.phrase);
    case 'steps':
      return libraryWords.holdsStep(why.phrase);
    case 'about':
      return libraryWords.tells(why.phrase);
  }
}

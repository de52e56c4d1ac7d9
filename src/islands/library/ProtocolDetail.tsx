import { libraryWords } from './library.words';
import { lazy, Suspense, useState } from 'react';
import type { LibraryView } from '../../contracts/library-views';
import { type Protocol, protocolStepSeconds, type ProtocolStep } from '../../core/library/protocol';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import { Differences } from './Differences';
import shared from './LibraryView.module.css';
import styles from './ProtocolDetail.module.css';
import { plainWords } from './words';

const ProtocolEditor = lazy(async () => ({ default: (await import('./ProtocolEditor')).ProtocolEditor }));

interface Props {
  readonly entry: LibraryView['protocols'][number];
  readonly view: LibraryView;
  readonly step: ProtocolStep | undefined;
  readonly onStep: (step: ProtocolStep | undefined) => void;
  readonly onChanged: (words: string) => Promise<void>;
  readonly say: (words: string, tone?: 'error') => void;
}

const sideWords = {
  both: libraryWords.bothSidesTogether,
  each: libraryWords.oneSideThenTheOther,
  left: 'left',
  right: 'right',
  sound: libraryWords.soundSide,
  affected: libraryWords.affectedSide,
} as const;

/** A protocol to read: its blocks and steps, each shown on the body when it is pointed at. */
export function ProtocolDetail({ entry, view, step, onStep, onChanged, say }: Props) {
  const { value, origin, version, differences, seconds } = entry;
  const [edited, setEdited] = useState<{ readonly value: Protocol; readonly basedOn: number }>();
  const techniques = new Map(view.techniques.map(({ value: one }) => [one.id, one]));
  const withheld = new Map(view.withheld.map((one) => [one.id, one]));
  const labels = new Map(view.regions.map(({ name, label }) => [name, label]));
  const modality = view.modalities.find(({ id }) => id === value.modality)?.label ?? value.modality;
  const restore = async () => {
    try {
      await send('DELETE /api/library/protocols/{key}', { params: { key: value.id } });
      await onChanged(origin === 'own' ? libraryWords.isGoneFromTheList(value.name) : libraryWords.asItShipsAgain);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  if (edited)
    return (
      <Suspense>
        <ProtocolEditor
          first={edited.value}
          basedOn={edited.basedOn}
          view={view}
          onClose={() => setEdited(undefined)}
          onSaved={onChanged}
        />
      </Suspense>
    );
  return (
    <>
      <h2>{value.name}</h2>
      <p className={shared['soft']}>
        {modality} · {plainWords(value.school)} · {value.usualMinutes} {libraryWords.minutes2}
        {seconds > 0 && libraryWords.atTheUsualRepetitions(formatClock(seconds))}
      </p>
      <p>{value.about}</p>
      {value.source === 'planner' && <p className={shared['cue']}>{libraryWords.workedOutFromTheClientsCase}</p>}
      <Differences list={differences} />
      <ol className={styles['blocks']}>
        {value.blocks.map((block) => (
          <li key={block.id}>
            <h3>
              {plainWords(block.id)}
              <span>
                {block.position}, {block.hands},{' '}
                {block.therapist === 'head' ? libraryWords.atTheHead : libraryWords.atThe(block.therapist)}
                {block.isShortForm ? libraryWords.shortForm : ''}
                {block.isOptional ? libraryWords.ifThereIsTime : ''}
              </span>
            </h3>
            <ol>
              {block.steps.map((one, i) => {
                const kept = withheld.get(one.technique);
                const technique = techniques.get(one.technique) ?? kept;
                const times = one.repetitions ?? technique?.repetitions.usual ?? 1;
                return (
                  <li key={`${one.technique} ${i}`}>
                    <button
                      type="button"
                      aria-pressed={one === step}
                      onClick={() => onStep(one === step ? undefined : one)}
                      onMouseEnter={() => onStep(one)}
                      onMouseLeave={() => onStep(undefined)}
                      onFocus={() => onStep(one)}
                    >
                      <strong>
                        {technique?.name ?? plainWords(one.technique)}
                        {kept &&
                          ` · ${kept.needs === 'licence' ? libraryWords.asksForALicence : libraryWords.asksForTraining}`}
                      </strong>
                      <span>
                        {one.regions.map((region) => labels.get(region) ?? region).join(', ')} · {sideWords[one.side]} ·{' '}
                        {times}×{technique ? `, ${formatClock(protocolStepSeconds(technique, one, times))}` : ''}
                        {one.note ? ` · ${one.note}` : ''}
                      </span>
                    </button>
                  </li>
                );
              })}
            </ol>
          </li>
        ))}
      </ol>
      <div className={shared['buttons']}>
        {origin !== 'shipped' && (
          <Button onClick={() => void restore()}>
            {origin === 'own' ? libraryWords.takeAway : libraryWords.asItShips}
          </Button>
        )}
        {value.source === 'steps' && (
          <>
            <Button
              onClick={() =>
                setEdited({
                  value: { ...value, id: `${value.id}-own`, name: libraryWords.ours2(value.name) },
                  basedOn: 0,
                })
              }
            >
              {libraryWords.copy}
            </Button>
            <Button look="filled" onClick={() => setEdited({ value, basedOn: version })}>
              {libraryWords.change}
            </Button>
          </>
        )}
      </div>
    </>
  );
}

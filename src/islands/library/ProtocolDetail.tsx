import { useState } from 'react';
import type { LibraryView } from '../../contracts/library-views';
import { type Protocol, protocolStepSeconds, type ProtocolStep } from '../../core/library/protocol';
import { formatClock } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import { Differences } from './Differences';
import shared from './LibraryView.module.css';
import styles from './ProtocolDetail.module.css';
import { ProtocolEditor } from './ProtocolEditor';
import { plainWords } from './words';

interface Props {
  readonly entry: LibraryView['protocols'][number];
  readonly view: LibraryView;
  readonly step: ProtocolStep | undefined;
  readonly onStep: (step: ProtocolStep | undefined) => void;
  readonly onChanged: (words: string) => Promise<void>;
  readonly say: (words: string, tone?: 'error') => void;
}

const sideWords = {
  both: 'both sides together',
  each: 'one side, then the other',
  left: 'left',
  right: 'right',
  sound: 'sound side',
  affected: 'affected side',
} as const;

/** A protocol to read: its blocks and steps, each shown on the body when it is pointed at. */
export function ProtocolDetail({ entry, view, step, onStep, onChanged, say }: Props) {
  const { value, origin, version, differences, seconds } = entry;
  const [edited, setEdited] = useState<{ readonly value: Protocol; readonly basedOn: number }>();
  const techniques = new Map(view.techniques.map(({ value: one }) => [one.id, one]));
  const labels = new Map(view.regions.map(({ name, label }) => [name, label]));
  const modality = view.modalities.find(({ id }) => id === value.modality)?.label ?? value.modality;
  const restore = async () => {
    try {
      await send('DELETE /api/library/protocols/{key}', { params: { key: value.id } });
      await onChanged(origin === 'own' ? `“${value.name}” is gone from the list.` : 'As it ships again.');
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  if (edited)
    return (
      <ProtocolEditor
        first={edited.value}
        basedOn={edited.basedOn}
        view={view}
        onClose={() => setEdited(undefined)}
        onSaved={onChanged}
      />
    );
  return (
    <>
      <h2>{value.name}</h2>
      <p className={shared['soft']}>
        {modality} · {plainWords(value.school)} · {value.usualMinutes} minutes
        {seconds > 0 && `, ${formatClock(seconds)} at the usual repetitions`}
      </p>
      <p>{value.about}</p>
      {value.source === 'planner' && (
        <p className={shared['cue']}>Worked out from the client’s case in the Plan view, so it has no fixed steps.</p>
      )}
      <Differences list={differences} />
      <ol className={styles['blocks']}>
        {value.blocks.map((block) => (
          <li key={block.id}>
            <h3>
              {plainWords(block.id)}
              <span>
                {block.position}, {block.hands},{' '}
                {block.therapist === 'head' ? 'at the head' : `at the ${block.therapist}`}
                {block.isShortForm ? ' · short form' : ''}
                {block.isOptional ? ' · if there is time' : ''}
              </span>
            </h3>
            <ol>
              {block.steps.map((one, i) => {
                const technique = techniques.get(one.technique);
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
                      <strong>{technique?.name ?? plainWords(one.technique)}</strong>
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
          <Button onClick={() => void restore()}>{origin === 'own' ? 'Take away' : 'As it ships'}</Button>
        )}
        {value.source === 'steps' && (
          <>
            <Button
              onClick={() =>
                setEdited({ value: { ...value, id: `${value.id}-own`, name: `${value.name}, ours` }, basedOn: 0 })
              }
            >
              Copy
            </Button>
            <Button look="filled" onClick={() => setEdited({ value, basedOn: version })}>
              Change
            </Button>
          </>
        )}
      </div>
    </>
  );
}

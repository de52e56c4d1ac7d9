import { libraryWords } from './library.words';
import { lazy, Suspense, useState } from 'react';
import type { Entry, LibraryView } from '../../contracts/library-views';
import type { Technique } from '../../core/library/technique';
import { formatNumber } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import { Differences } from './Differences';
import shared from './LibraryView.module.css';
import styles from './TechniqueDetail.module.css';
import { directionWords, familyWords, handWords, standingWords, touchWords, traitWords } from './words';

const TechniqueForm = lazy(async () => ({ default: (await import('./TechniqueForm')).TechniqueForm }));

interface Props {
  readonly entry: Entry<Technique>;
  readonly view: LibraryView;
  readonly onOpenProtocol: (id: string) => void;
  readonly onChanged: (words: string) => Promise<void>;
  readonly say: (words: string, tone?: 'error') => void;
}

/** One way of moving: what the hands do, how often, and where it is used. */
export function TechniqueDetail({ entry, view, onOpenProtocol, onChanged, say }: Props) {
  const { value, origin, version, differences } = entry;
  const [edited, setEdited] = useState<{ readonly value: Technique; readonly basedOn: number }>();
  const users = view.protocols.filter(({ value: protocol }) =>
    protocol.blocks.some(({ steps }) => steps.some(({ technique }) => technique === value.id)),
  );
  const restore = async () => {
    try {
      await send('DELETE /api/library/techniques/{key}', { params: { key: value.id } });
      await onChanged(origin === 'own' ? libraryWords.isGoneFromTheList(value.name) : libraryWords.asItShipsAgain);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  if (edited)
    return (
      <Suspense>
        <TechniqueForm
          first={edited.value}
          basedOn={edited.basedOn}
          taken={new Set(view.techniques.map((one) => one.value.id))}
          modalities={view.modalities}
          others={view.techniques.map((one) => one.value)}
          onClose={() => setEdited(undefined)}
          onSaved={onChanged}
        />
      </Suspense>
    );
  const { min, usual, max } = value.repetitions;
  const seconds = value.secondsPerRepetition * value.placements;
  return (
    <>
      <h2>{value.name}</h2>
      {value.cues.map((cue) => (
        <p key={cue} className={shared['cue']}>
          {cue}
        </p>
      ))}
      {value.why && <p>{value.why}</p>}
      {value.never && (
        <p>
          <strong>{libraryWords.never}</strong> {value.never}
        </p>
      )}
      <dl className={styles['facts']}>
        <Fact name="family">{familyWords[value.family]}</Fact>
        <Fact name="hands">{handWords[value.hands]}</Fact>
        <Fact name="pressure">{touchWords[value.pressure]}</Fact>
        <Fact name="way">{directionWords[value.direction]}</Fact>
        <Fact name="therapist">{standingWords[value.therapist]}</Fact>
        <Fact name="repetitions">{libraryWords.fromTo(usual, min, max)}</Fact>
        <Fact name="places">
          {value.placements} {libraryWords.aRegion}
          {value.isPerRegion ? libraryWords.eachRegionAnew : ''}
        </Fact>
        <Fact name="time">
          {libraryWords.sARepetitionSInAll(
            formatNumber(seconds, Number.isInteger(seconds) ? 0 : 1),
            Math.round(seconds * usual),
          )}
        </Fact>
      </dl>
      {value.traits.length > 0 && (
        <ul className={styles['traits']}>
          {value.traits.map((trait) => (
            <li key={trait}>{traitWords[trait]}</li>
          ))}
        </ul>
      )}
      <Differences list={differences} />
      {users.length > 0 && (
        <>
          <h3>{libraryWords.usedIn}</h3>
          <ul className={styles['users']}>
            {users.map(({ value: protocol }) => (
              <li key={protocol.id}>
                <Button look="link" onClick={() => onOpenProtocol(protocol.id)}>
                  {protocol.name}
                </Button>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className={shared['buttons']}>
        {origin !== 'shipped' && (
          <Button onClick={() => void restore()}>
            {origin === 'own' ? libraryWords.takeAway : libraryWords.asItShips}
          </Button>
        )}
        <Button
          onClick={() =>
            setEdited({ value: { ...value, id: `${value.id}-own`, name: libraryWords.ours2(value.name) }, basedOn: 0 })
          }
        >
          {libraryWords.copy}
        </Button>
        <Button look="filled" onClick={() => setEdited({ value, basedOn: version })}>
          {libraryWords.change}
        </Button>
      </div>
    </>
  );
}

function Fact({ name, children }: { readonly name: string; readonly children: React.ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

import { measureWords } from './measure.words';
import { useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { ObservationView } from '../../contracts/measure-views';
import { getPlace, type PlaceId } from '../../core/anatomy/place';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { Choice } from '../../ui/choice/Choice';
import { Frame } from './Frame';
import { ObservationLine } from './ObservationLine';
import styles from './TouchSheet.module.css';
import { observedWords, strengthOf } from './observed-words';
import { PlaceForm } from './PlaceForm';
import type { SheetProps } from './sheet';
import { SkinForm } from './SkinForm';

interface Props extends SheetProps {
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
}

/** What hands and eyes find: touch a place on the body, then say what is there. */
export default function TouchSheet({ view, phase, head, onward, observations, limb, side }: Props) {
  const usual = limb === 'leg' ? `shin-lower.${side}` : `forearm-inner.${side}`;
  const [place, setPlace] = useState<PlaceId>(usual);
  const [part, setPart] = useState<'place' | 'whole'>('place');
  const placed = observations.list.filter((one) => one.place !== null && anatomy.territories.has(one.place));
  const regions = new Map<string, RegionMark>();
  for (const one of placed) {
    const at = one.place ?? '';
    const before = regions.get(at);
    const words = [before?.words, observedWords(one)].filter(Boolean).join('; ');
    regions.set(at, { tone: 'drain', words, strength: Math.max(before?.strength ?? 0, strengthOf(one)) });
  }
  return (
    <Frame
      hasPad
      bodyLabel={measureWords.touchThePlace}
      body={
        <BodyPanel
          label={measureWords.skinAndTissue}
          initial={{ view: 'front', side }}
          regions={regions}
          selected={place}
          onPick={(next) => {
            setPlace(next);
            setPart('place');
          }}
        />
      }
      main={
        <>
          {head}
          <div className={styles['parts']}>
            <Choice
              label={measureWords.partOfTheRecord}
              isLabelHidden
              options={[
                { value: 'place', text: getPlace(anatomy, place).label },
                { value: 'whole', text: measureWords.theSkinAsAWhole },
              ]}
              value={part}
              onChange={setPart}
            />
          </div>
          {part === 'place' ? (
            <PlaceForm key={`${place} ${phase}`} place={place} observations={observations} />
          ) : (
            <SkinForm observations={observations} limb={limb} side={side} />
          )}
        </>
      }
      asideLabel={measureWords.whatWasFound}
      aside={
        <>
          <Found
            title={measureWords.foundToday}
            empty={measureWords.nothingYetTouchAPlaceOn}
            observations={observations.list}
            onRemove={(key) => void observations.remove(key)}
            onGo={setPlace}
          />
          {view.lastObservations.length > 0 && (
            <Found title={measureWords.lastTime5} empty="" observations={view.lastObservations} onGo={setPlace} />
          )}
        </>
      }
      foot={
        <>
          <span>{measureWords.touchTheBodyOrGoTo}</span>
          <ObservationLine observations={observations} />
          {onward}
        </>
      }
    />
  );
}

interface FoundProps {
  readonly title: string;
  readonly empty: string;
  readonly observations: readonly ObservationView[];
  readonly onRemove?: (key: number) => void;
  readonly onGo: (place: PlaceId) => void;
}

/** What was found, place by place. */
function Found({ title, empty, observations, onRemove, onGo }: FoundProps) {
  const shown = observations.filter((one) => observedWords(one) !== '');
  const places = [...new Set(shown.map((one) => one.place))];
  return (
    <>
      <h2>{title}</h2>
      {shown.length === 0 && <p className={styles['soft']}>{empty}</p>}
      {places.map((place) => (
        <div key={place ?? 'whole'} className={styles['found']}>
          <h3>
            {place !== null && anatomy.territories.has(place) ? (
              <button type="button" onClick={() => onGo(place)}>
                {getPlace(anatomy, place).label}
              </button>
            ) : (
              (place ?? measureWords.asAWhole)
            )}
          </h3>
          <ul>
            {shown
              .filter((one) => one.place === place)
              .map((one) => (
                <li key={one.key}>
                  <span>
                    {observedWords(one)}
                    {one.phase === 'after' ? measureWords.after2 : ''}
                  </span>
                  {onRemove && (
                    <button
                      type="button"
                      onClick={() => onRemove(one.key)}
                      aria-label={measureWords.takeBack2(observedWords(one))}
                    >
                      {measureWords.takeBack}
                    </button>
                  )}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </>
  );
}

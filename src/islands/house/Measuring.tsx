import { houseWords } from './house.words';
import { useState } from 'react';
import { detectableChanges } from '../../catalogue/swelling/detectable.data';
import { swellingDefinitions } from '../../catalogue/swelling/definitions.data';
import type { MeasuringInput } from '../../contracts/measures';
import { measuredQuantities } from '../../core/swelling/detectable';
import { usualMeasuring } from '../../core/swelling/settings';
import { volumesIn, volumeUnits } from '../../core/volume-units';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import styles from './Measuring.module.css';

interface Props {
  readonly first: MeasuringInput;
  readonly say: (words: string, tone?: 'error') => void;
}

const number = (text: string) => Number(text.trim().replace(',', '.'));
const isNumber = (text: string) => text.trim() !== '' && Number.isFinite(number(text));

/** What the house has decided about measuring: each figure with where it comes from, and the usual one beside it. */
export function Measuring({ first, say }: Props) {
  const [saved, setSaved] = useState(first);
  const [draft, setDraft] = useState(first);
  const [texts, setTexts] = useState({
    tapeSigmaCm: String(first.tapeSigmaCm),
    dominanceCorrectionPercent: String(first.dominanceCorrectionPercent),
  });
  const [error, setError] = useState<RequestError>();
  /** Fields begin anew when the usual figures are taken. */
  const [round, setRound] = useState(0);
  const set = (change: Partial<MeasuringInput>) => setDraft((now) => ({ ...now, ...change }));
  const isChanged = JSON.stringify(draft) !== JSON.stringify(saved);
  const save = async () => {
    try {
      await send('POST /api/measuring', { body: draft });
      setSaved(draft);
      setError(undefined);
      say(houseWords.keptEverySeriesIsWorkedOut);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
      say(sentenceOf(caught), 'error');
    }
  };
  const takeUsual = () => {
    setDraft({ ...usualMeasuring, detectable: {} });
    setTexts({
      tapeSigmaCm: String(usualMeasuring.tapeSigmaCm),
      dominanceCorrectionPercent: String(usualMeasuring.dominanceCorrectionPercent),
    });
    setRound((now) => now + 1);
  };
  const figure = (key: keyof typeof texts, label: string, hint: string) => (
    <Field
      label={label}
      inputMode="decimal"
      value={texts[key]}
      onChange={(event) => {
        const { value } = event.target;
        setTexts((now) => ({ ...now, [key]: value }));
        if (isNumber(value)) set({ [key]: number(value) });
      }}
      error={isNumber(texts[key]) ? error?.fieldError(key) : houseWords.typeANumber}
      hint={hint}
    />
  );
  return (
    <div className={styles['view']}>
      <div className={styles['columns']}>
        <section>
          <h2>{houseWords.whatCountsAsSwelling}</h2>
          <p className={styles['quiet']}>{houseWords.definitionsDisagreeOftenEvery}</p>
          <div role="radiogroup" aria-label={houseWords.definitionOfSwelling} className={styles['definitions']}>
            {swellingDefinitions.map((one) => (
              <label key={one.id}>
                <input
                  type="radio"
                  name="definition"
                  checked={draft.definition === one.id}
                  onChange={() => set({ definition: one.id })}
                />
                <span>
                  <strong>{one.name}</strong>
                  <small>{houseWords.needs(one.needs, one.source)}</small>
                </span>
              </label>
            ))}
          </div>
        </section>
        <section>
          <h2>{houseWords.howItIsWorkedOut}</h2>
          <Choice
            label={houseWords.lengths}
            options={[
              { value: 'cm', text: houseWords.cm },
              { value: 'in', text: houseWords.inches },
            ]}
            value={draft.unit}
            onChange={(unit) => set({ unit })}
          />
          <Choice
            label={houseWords.volumesOnScreenAndPaper}
            options={volumeUnits.map((value) => ({ value, text: volumesIn(value).name }))}
            value={draft.volumeUnit}
            onChange={(volumeUnit) => set({ volumeUnit })}
          />
          <Choice
            label={houseWords.volumeOfALimbCasleySmith}
            options={[
              { value: 'frustum', text: houseWords.frustum },
              { value: 'disc', text: houseWords.disc },
              { value: 'simpson', text: houseWords.simpson },
            ]}
            value={draft.method}
            onChange={(method) => set({ method })}
          />
          <div className={styles['pair']}>
            {figure(
              'tapeSigmaCm',
              houseWords.errorOfOneGirthCmSd,
              houseWords.usuallyTrainedHandsNonStretchTape(usualMeasuring.tapeSigmaCm),
            )}
            {figure(
              'dominanceCorrectionPercent',
              houseWords.dominantArmLargerBy,
              houseWords.usuallyOffWhereUsedPublishedTo,
            )}
          </div>
          <Choice
            label={houseWords.eachPointIsTaped}
            options={[
              { value: '1', text: houseWords.once },
              { value: '2', text: houseWords.twice },
            ]}
            value={String(draft.readingsPerPoint)}
            onChange={(value) => set({ readingsPerPoint: value === '1' ? 1 : 2 })}
          />
          <Choice
            label={houseWords.certaintyOfATrendSenJ}
            options={['0.8', '0.9', '0.95', '0.99'].map((value) => ({ value, text: `${Number(value) * 100} %` }))}
            value={String(draft.confidence)}
            onChange={(value) => set({ confidence: Number(value) as MeasuringInput['confidence'] })}
          />
          <Choice
            label={houseWords.impedanceOfTheArmsTypedIn}
            options={[
              { value: 'off', text: houseWords.off },
              { value: 'on', text: houseWords.on },
            ]}
            value={draft.isImpedanceShown ? 'on' : 'off'}
            onChange={(value) => set({ isImpedanceShown: value === 'on' })}
          />
        </section>
      </div>
      <section>
        <h2>{houseWords.howMuchChangeIsNoNoise}</h2>
        <p className={styles['quiet']}>{houseWords.smallestChangeThatCountsTheTables}</p>
        <div className={styles['limits']}>
          {measuredQuantities.map((quantity) => (
            <Limit
              key={`${quantity} ${round}`}
              label={`${detectableChanges[quantity].name}, ${unitOf(quantity)}`}
              usual={detectableChanges[quantity].same}
              value={draft.detectable[quantity]}
              error={error?.fieldError(`detectable.${quantity}`)}
              onValue={(value) => {
                const { [quantity]: _, ...rest } = draft.detectable;
                set({ detectable: value === undefined ? rest : { ...rest, [quantity]: value } });
              }}
            />
          ))}
        </div>
      </section>
      <div className={styles['buttons']}>
        <a href="/protocols">{houseWords.pointsOfTaping}</a>
        <Button onClick={takeUsual}>{houseWords.theLiteraturesFigures}</Button>
        <Button look="filled" onClick={() => void save()} disabled={!isChanged}>
          {houseWords.keepThese}
        </Button>
      </div>
    </div>
  );
}

function unitOf(quantity: (typeof measuredQuantities)[number]): string {
  if (quantity.endsWith('volume')) return 'mL';
  if (quantity === 'face-percent') return '%';
  return quantity === 'impedance-ratio' ? 'ratio' : 'cm';
}

interface LimitProps {
  readonly label: string;
  readonly usual: number;
  readonly value: number | undefined;
  readonly error: string | undefined;
  readonly onValue: (value: number | undefined) => void;
}

function Limit({ label, usual, value, error, onValue }: LimitProps) {
  const [text, setText] = useState(value === undefined ? '' : String(value));
  const isBad = text.trim() !== '' && !(isNumber(text) && number(text) > 0);
  return (
    <Field
      label={label}
      inputMode="decimal"
      placeholder={String(usual)}
      value={text}
      onChange={(event) => {
        const next = event.target.value;
        setText(next);
        if (next.trim() === '') onValue(undefined);
        else if (isNumber(next) && number(next) > 0) onValue(number(next));
      }}
      error={isBad ? houseWords.typeANumberAboveOrLeave : error}
    />
  );
}

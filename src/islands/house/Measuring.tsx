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
      say('Kept. Every series is worked out afresh with it.');
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
      error={isNumber(texts[key]) ? error?.fieldError(key) : 'Type a number.'}
      hint={hint}
    />
  );
  return (
    <div className={styles['view']}>
      <div className={styles['columns']}>
        <section>
          <h2>What counts as swelling</h2>
          <p className={styles['quiet']}>
            Definitions disagree often; every screen names the one in use, and shows the others on demand.
          </p>
          <div role="radiogroup" aria-label="Definition of swelling" className={styles['definitions']}>
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
                  <small>
                    needs {one.needs}. {one.source}
                  </small>
                </span>
              </label>
            ))}
          </div>
        </section>
        <section>
          <h2>How it is worked out</h2>
          <Choice
            label="Lengths"
            options={[
              { value: 'cm', text: 'cm' },
              { value: 'in', text: 'inches' },
            ]}
            value={draft.unit}
            onChange={(unit) => set({ unit })}
          />
          <Choice
            label="Volumes on screen and paper"
            options={volumeUnits.map((value) => ({ value, text: volumesIn(value).name }))}
            value={draft.volumeUnit}
            onChange={(volumeUnit) => set({ volumeUnit })}
          />
          <Choice
            label="Volume of a limb (Casley-Smith 1994, Lymphology 27:56; Kuhnke 1976, Folia Angiol 24:228)"
            options={[
              { value: 'frustum', text: 'frustum' },
              { value: 'disc', text: 'disc' },
              { value: 'simpson', text: 'Simpson' },
            ]}
            value={draft.method}
            onChange={(method) => set({ method })}
          />
          <div className={styles['pair']}>
            {figure(
              'tapeSigmaCm',
              'Error of one girth, cm (SD)',
              `Usually ${usualMeasuring.tapeSigmaCm}: trained hands, non-stretch tape. Your own pairs replace it for changes.`,
            )}
            {figure(
              'dominanceCorrectionPercent',
              'Dominant arm larger by, %',
              'Usually 0, off; 3 where used. Published: 1 to 3.5 % (Gebruers 2007, Clin Physiol Funct Imaging 27:17; Dylke 2012, Lymphat Res Biol 10:182).',
            )}
          </div>
          <Choice
            label="Each point is taped"
            options={[
              { value: '1', text: 'once' },
              { value: '2', text: 'twice' },
            ]}
            value={String(draft.readingsPerPoint)}
            onChange={(value) => set({ readingsPerPoint: value === '1' ? 1 : 2 })}
          />
          <Choice
            label="Certainty of a trend (Sen 1968, J Am Stat Assoc 63:1379)"
            options={['0.8', '0.9', '0.95', '0.99'].map((value) => ({ value, text: `${Number(value) * 100} %` }))}
            value={String(draft.confidence)}
            onChange={(value) => set({ confidence: Number(value) as MeasuringInput['confidence'] })}
          />
          <Choice
            label="Impedance of the arms, typed in (Ward 2011, Lymphat Res Biol 9:47)"
            options={[
              { value: 'off', text: 'off' },
              { value: 'on', text: 'on' },
            ]}
            value={draft.isImpedanceShown ? 'on' : 'off'}
            onChange={(value) => set({ isImpedanceShown: value === 'on' })}
          />
        </section>
      </div>
      <section>
        <h2>How much change is no noise</h2>
        <p className={styles['quiet']}>
          Smallest change that counts, 95 %. The table’s figures lean on published ones, which spread widely (Taylor
          2006, Phys Ther 86:205; Tidhar 2015, J Pers Med 5:341); put in your own. With ten pairs of readings a
          therapist’s own error takes their place for limb volumes.
        </p>
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
        <a href="/protocols">Points of taping</a>
        <Button onClick={takeUsual}>The literature’s figures</Button>
        <Button look="filled" onClick={() => void save()} disabled={!isChanged}>
          Keep these
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
      error={isBad ? 'Type a number above 0, or leave it empty.' : error}
    />
  );
}

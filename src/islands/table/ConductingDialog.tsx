import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Select } from '../../ui/field/Field';
import type { Voice } from '../devices/speech';
import type { Conducting } from './conducting';
import { tableWords } from './table.words';
import styles from './ConductingDialog.module.css';

interface Props {
  readonly conducting: Conducting;
  readonly voices: readonly Voice[];
  readonly onChange: (part: Partial<Conducting>) => void;
  readonly onTry: () => void;
  readonly onClose: () => void;
}

const soundOptions = [
  { value: 'silent', text: tableWords.silent },
  { value: 'beats', text: tableWords.beatsOnly },
  { value: 'voice', text: tableWords.aVoice },
] as const;
const paceOptions = [
  { value: '0.8', text: tableWords.slower },
  { value: '0.95', text: tableWords.calm },
  { value: '1.1', text: tableWords.brisk },
] as const;
const loudnessOptions = [
  { value: '0.3', text: tableWords.low },
  { value: '0.6', text: tableWords.middle },
  { value: '1', text: tableWords.full },
] as const;

/** How the treatment is said aloud on this device. */
export function ConductingDialog({ conducting, voices, onChange, onTry, onClose }: Props) {
  const { sound, manner } = conducting;
  const set = (part: Partial<typeof manner>) => onChange({ manner: { ...manner, ...part } });
  return (
    <Dialog title={tableWords.withEyesClosed} isOpen onClose={onClose}>
      <div className={styles['form']}>
        <p>{tableWords.itSaysPlaceCountAndChange}</p>
        <Choice
          label={tableWords.whatIsHeard}
          options={soundOptions}
          value={sound}
          onChange={(next) => onChange({ sound: next })}
        />
        {voices.length > 1 && (
          <Select
            label={tableWords.voice}
            value={manner.voice}
            onChange={(event) => set({ voice: event.target.value })}
          >
            <option value="">{tableWords.theUsualOne}</option>
            {voices.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
        )}
        <Choice
          label={tableWords.paceOfSpeech}
          options={paceOptions}
          value={String(manner.rate) as (typeof paceOptions)[number]['value']}
          onChange={(rate) => set({ rate: Number(rate) })}
        />
        <Choice
          label={tableWords.loudness}
          options={loudnessOptions}
          value={String(manner.volume) as (typeof loudnessOptions)[number]['value']}
          onChange={(volume) => set({ volume: Number(volume) })}
        />
        <div className={styles['buttons']}>
          <Button onClick={onTry}>{tableWords.tryIt}</Button>
          <Button look="filled" onClick={onClose}>
            {tableWords.close}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}

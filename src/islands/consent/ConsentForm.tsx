import type { BodyOf } from '../../contracts/routes/asking';
import { type FormEvent, useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field } from '../../ui/field/Field';
import { SignName } from '../../ui/sign-name/SignName';
import { asFilledIn, type RequestError } from '../api';
import styles from './ConsentForm.module.css';

const consentAreas = [
  { id: 'breast', text: 'breast' },
  { id: 'groin', text: 'groin' },
  { id: 'buttocks', text: 'buttocks' },
  { id: 'belly', text: 'belly' },
  { id: 'mouth', text: 'inside of the mouth' },
] as const;

interface Props {
  readonly wording: AskView['wording'];
  readonly clientName: string;
  readonly isMinor: boolean;
  readonly onSign: (body: BodyOf<'POST /api/visits/{id}/consent'>) => Promise<RequestError | undefined>;
  readonly onDone: () => void;
}

/** The wording, the areas that are agreed to one by one, and a name, typed or drawn. */
export function ConsentForm({ wording, clientName, isMinor, onSign, onDone }: Props) {
  const [signer, setSigner] = useState<'client' | 'guardian'>(isMinor ? 'guardian' : 'client');
  const [drawing, setDrawing] = useState<string | null>(null);
  const [error, setError] = useState<RequestError>();
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const refused = await onSign(
      asFilledIn<'POST /api/visits/{id}/consent'>({
        areas: form.getAll('area').map(String),
        signer,
        name: String(form.get('name') ?? ''),
        drawing,
        wordingVersion: wording.version,
      }),
    );
    if (refused) setError(refused);
    else onDone();
  };
  const other = error && !error.fieldError('name') ? error.message : undefined;
  return (
    <form className={styles['consent']} onSubmit={(event) => void save(event)} noValidate>
      <div className={styles['wording']}>
        {wording.paragraphs.map((paragraph) => (
          <p key={paragraph}>{paragraph}</p>
        ))}
      </div>
      <fieldset>
        <legend>I agree to work on</legend>
        {consentAreas.map((area) => (
          <label key={area.id}>
            <input type="checkbox" name="area" value={area.id} /> {area.text}
          </label>
        ))}
      </fieldset>
      <Choice
        label="Who signs"
        options={[
          { value: 'client', text: 'the client' },
          { value: 'guardian', text: 'a guardian' },
        ]}
        value={signer}
        onChange={setSigner}
        isDisabled={isMinor}
      />
      <Field
        label="Name in full"
        name="name"
        defaultValue={signer === 'client' ? clientName : ''}
        key={signer}
        autoComplete="off"
        error={error?.fieldError('name')}
      />
      <div>
        <p className={styles['label']}>Drawn name (if wished)</p>
        <SignName label="Drawn name" onDraw={setDrawing} />
      </div>
      {other && <p role="alert">{other}</p>}
      <Button look="filled" type="submit">
        I have read this and agree
      </Button>
      <small>Wording {wording.version}, kept with today’s date.</small>
    </form>
  );
}

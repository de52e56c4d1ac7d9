import type { BodyOf } from '../../contracts/routes/asking';
import { type FormEvent, useState } from 'react';
import type { AskView } from '../../contracts/ask-views';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Field } from '../../ui/field/Field';
import { SignName } from '../../ui/sign-name/SignName';
import type { ConsentWords } from '../../catalogue/client-words/words';
import { clientWordsOf } from '../../catalogue/client-words/client-words';
import { asFilledIn, type RequestError } from '../api';
import styles from './ConsentForm.module.css';

const consentAreas = ['breast', 'groin', 'buttocks', 'belly', 'mouth'] as const;

interface Props {
  readonly wording: AskView['wording'];
  readonly words?: ConsentWords;
  readonly clientName: string;
  readonly isMinor: boolean;
  readonly onSign: (body: BodyOf<'POST /api/visits/{id}/consent'>) => Promise<RequestError | undefined>;
  readonly onDone: () => void;
}

/** In the client's language: the wording, the areas that are agreed to one by one, and a name, typed or drawn. */
export function ConsentForm({
  wording,
  words = clientWordsOf(wording.language).consent,
  clientName,
  isMinor,
  onSign,
  onDone,
}: Props) {
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
        language: wording.language,
      }),
    );
    if (refused) setError(refused);
    else onDone();
  };
  const other = error && !error.fieldError('name') ? error.message : undefined;
  return (
    <form lang={wording.language} className={styles['consent']} onSubmit={(event) => void save(event)} noValidate>
      <div className={styles['wording']}>
        {wording.paragraphs.map((paragraph) => (
          <p key={paragraph}>{paragraph}</p>
        ))}
      </div>
      <fieldset>
        <legend>{words.agreeTo}</legend>
        {consentAreas.map((area) => (
          <label key={area}>
            <input type="checkbox" name="area" value={area} /> {words.areas[area]}
          </label>
        ))}
      </fieldset>
      <Choice
        label={words.whoSigns}
        options={[
          { value: 'client', text: words.client },
          { value: 'guardian', text: words.guardian },
        ]}
        value={signer}
        onChange={setSigner}
        isDisabled={isMinor}
      />
      <Field
        label={words.fullName}
        name="name"
        defaultValue={signer === 'client' ? clientName : ''}
        key={signer}
        autoComplete="off"
        error={error?.fieldError('name')}
      />
      <div>
        <p className={styles['label']}>
          {words.drawnName} {words.ifWished}
        </p>
        <SignName label={words.drawnName} again={words.drawAgain} onDraw={setDrawing} />
      </div>
      {other && <p role="alert">{other}</p>}
      <Button look="filled" type="submit">
        {words.agree}
      </Button>
      <small>{words.kept(wording.version)}</small>
    </form>
  );
}

import { firstRunWords } from './first-run.words';
import { type FormEvent, useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { asFilledIn, RequestError, send } from '../api';
import { Codes } from '../door/Codes';
import styles from './Welcome.module.css';

/** First start on an empty data folder. */
export function Welcome({
  qualifications,
}: {
  readonly qualifications: readonly { readonly id: string; readonly label: string }[];
}) {
  const [error, setError] = useState<RequestError>();
  const [code, setCode] = useState<string>();
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    try {
      const opened = await send('POST /api/house', {
        body: asFilledIn<'POST /api/house'>({
          name: String(form.get('name') ?? ''),
          therapistName: String(form.get('therapistName') ?? ''),
          login: String(form.get('login') ?? ''),
          password: String(form.get('password') ?? ''),
          pin: String(form.get('pin') ?? ''),
          qualifications: form.getAll('qualification'),
        }),
      });
      window.scrollTo(0, 0);
      setCode(opened.code);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  if (code !== undefined)
    return (
      <main id="main" className={styles['view']}>
        <Codes
          title={firstRunWords.yourRecoveryCode}
          codes={[code]}
          whatFor={firstRunWords.whatItIsFor}
          onDone={() => window.location.assign('/')}
        />
      </main>
    );
  return (
    <main id="main" className={styles['view']}>
      <h1>{firstRunWords.welcomeToVelvetStone}</h1>
      <p>{firstRunWords.itPlansLightTouchDrainageLeads}</p>
      <form onSubmit={(event) => void save(event)} noValidate>
        <Field label={firstRunWords.nameOfTheHouse} name="name" autoFocus error={error?.fieldError('name')} />
        <Field
          label={firstRunWords.yourName}
          name="therapistName"
          autoComplete="name"
          error={error?.fieldError('therapistName')}
        />
        <Field
          label={firstRunWords.signInName}
          name="login"
          autoComplete="username"
          autoCapitalize="none"
          error={error?.fieldError('login')}
        />
        <Field
          label={firstRunWords.password}
          name="password"
          type="password"
          autoComplete="new-password"
          hint={firstRunWords.atLeastCharactersAShortSentence}
          error={error?.fieldError('password')}
        />
        <Field
          label={firstRunWords.pinForTheLockedScreen}
          name="pin"
          type="password"
          inputMode="numeric"
          autoComplete="off"
          hint={firstRunWords.toDigitsItOpensTheScreen}
          error={error?.fieldError('pin')}
        />
        <fieldset>
          <legend>{firstRunWords.whatYouAreQualifiedFor}</legend>
          {qualifications.map((q) => (
            <label key={q.id}>
              <input type="checkbox" name="qualification" value={q.id} /> {q.label}
            </label>
          ))}
        </fieldset>
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
        <Button look="filled" type="submit">
          {firstRunWords.openTheHouse}
        </Button>
      </form>
    </main>
  );
}

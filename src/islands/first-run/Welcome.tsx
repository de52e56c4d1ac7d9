import { type FormEvent, useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { asFilledIn, RequestError, send } from '../api';
import styles from './Welcome.module.css';

/** First start on an empty data folder. */
export function Welcome({
  qualifications,
}: {
  readonly qualifications: readonly { readonly id: string; readonly label: string }[];
}) {
  const [error, setError] = useState<RequestError>();
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    try {
      await send('POST /api/house', {
        body: asFilledIn<'POST /api/house'>({
          name: String(form.get('name') ?? ''),
          therapistName: String(form.get('therapistName') ?? ''),
          login: String(form.get('login') ?? ''),
          password: String(form.get('password') ?? ''),
          pin: String(form.get('pin') ?? ''),
          qualifications: form.getAll('qualification'),
        }),
      });
      window.location.assign('/');
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <main id="main" className={styles['view']}>
      <h1>Welcome to Velvet Stone</h1>
      <p>
        It plans light-touch drainage, leads the hands through it and keeps the record. It supports trained judgement
        and is no medical device: local law, professional codes and the limits of your licence come first.
      </p>
      <form onSubmit={(event) => void save(event)} noValidate>
        <Field label="Name of the house" name="name" autoFocus error={error?.fieldError('name')} />
        <Field label="Your name" name="therapistName" autoComplete="name" error={error?.fieldError('therapistName')} />
        <Field
          label="Sign-in name"
          name="login"
          autoComplete="username"
          autoCapitalize="none"
          error={error?.fieldError('login')}
        />
        <Field
          label="Password"
          name="password"
          type="password"
          autoComplete="new-password"
          hint="At least 10 characters; a short sentence is easy to remember."
          error={error?.fieldError('password')}
        />
        <Field
          label="PIN for the locked screen"
          name="pin"
          type="password"
          inputMode="numeric"
          autoComplete="off"
          hint="4 to 8 digits. It opens the screen again after a pause, and takes a tablet back from a client."
          error={error?.fieldError('pin')}
        />
        <fieldset>
          <legend>What you are qualified for</legend>
          {qualifications.map((q) => (
            <label key={q.id}>
              <input type="checkbox" name="qualification" value={q.id} /> {q.label}
            </label>
          ))}
        </fieldset>
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
        <Button look="filled" type="submit">
          Open the house
        </Button>
      </form>
    </main>
  );
}

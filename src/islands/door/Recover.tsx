import { type FormEvent, useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import { Codes } from './Codes';
import styles from './Door.module.css';
import { doorWords } from './door.words';

/** The owner’s way back in, by the code that was printed when the house was opened. */
export function Recover() {
  const [error, setError] = useState<RequestError>();
  const [code, setCode] = useState<string>();
  const submit = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '');
    try {
      const body = { login: text('login'), code: text('code'), password: text('password') };
      setCode((await send('POST /api/session/recover', { body })).code);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <main id="main" className={styles['cover']}>
      <div className={styles['door']}>
        {code === undefined ? (
          <>
            <h1>{doorWords.backByCode}</h1>
            <p>{doorWords.whoComesBackByCode}</p>
            <form onSubmit={(event) => void submit(event)} noValidate>
              <Field
                label={doorWords.signInName}
                name="login"
                autoComplete="username"
                autoCapitalize="none"
                autoFocus
                error={error?.fieldError('login')}
              />
              <Field
                label={doorWords.codeFromThePaper}
                name="code"
                autoComplete="off"
                autoCapitalize="characters"
                error={error?.fieldError('code')}
              />
              <Field
                label={doorWords.newPassword}
                name="password"
                type="password"
                autoComplete="new-password"
                error={error?.fieldError('password')}
              />
              {error && !error.problem.errors && (
                <p role="alert" className={styles['trouble']}>
                  {error.message}
                </p>
              )}
              <Button look="filled" type="submit">
                {doorWords.comeBackIn}
              </Button>
              <a href="/sign-in">{doorWords.backToSigningIn}</a>
            </form>
          </>
        ) : (
          <Codes
            title={doorWords.yourNewCode}
            codes={[code]}
            whatFor={doorWords.whatTheHouseCodeIsFor}
            onDone={() => window.location.replace('/sign-in')}
          />
        )}
      </div>
    </main>
  );
}

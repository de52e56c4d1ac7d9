import { doorWords } from './door.words';
import { type FormEvent, useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import styles from './Door.module.css';

interface Props {
  /** Whom one may go in as by one click; empty outside the demo. */
  readonly people: readonly { readonly id: number; readonly name: string; readonly title: string }[];
  readonly onOpen: () => void;
}

/** Name and password, or in the demo house one click. */
export function SignInForm({ people, onOpen }: Props) {
  const [trouble, setTrouble] = useState<string>();
  const [isBusy, setIsBusy] = useState(false);
  const [asksCode, setAsksCode] = useState(false);
  const go = async (enter: () => Promise<unknown>) => {
    setIsBusy(true);
    try {
      await enter();
      onOpen();
    } catch (error) {
      if (error instanceof RequestError && error.problem.type === '/problems/second-factor') setAsksCode(true);
      setTrouble(sentenceOf(error));
      setIsBusy(false);
    }
  };
  const submit = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const body = {
      login: String(form.get('login')),
      password: String(form.get('password')),
      code: String(form.get('code') ?? ''),
    };
    void go(() => send('POST /api/session', { body }));
  };
  if (people.length > 0) {
    return (
      <>
        <ul className={styles['people']}>
          {people.map((person) => (
            <li key={person.id}>
              <button
                type="button"
                disabled={isBusy}
                onClick={() => void go(() => send('POST /api/session/demo', { body: { staffId: person.id } }))}
              >
                <strong>{doorWords.goInAs(person.name)}</strong>
                <span>{person.title}</span>
              </button>
            </li>
          ))}
        </ul>
        {trouble && (
          <p role="alert" className={styles['trouble']}>
            {trouble}
          </p>
        )}
      </>
    );
  }
  return (
    <form onSubmit={submit} noValidate>
      <Field label={doorWords.signInName} name="login" autoComplete="username" autoCapitalize="none" autoFocus />
      <Field label={doorWords.password} name="password" type="password" autoComplete="current-password" />
      {asksCode && (
        <Field
          label={doorWords.sixDigits}
          name="code"
          autoComplete="one-time-code"
          autoCapitalize="characters"
          autoFocus
        />
      )}
      {trouble && (
        <p role="alert" className={styles['trouble']}>
          {trouble}
        </p>
      )}
      <Button look="filled" type="submit" disabled={isBusy}>
        {doorWords.signIn}
      </Button>
      <a href="/recover">{doorWords.lostEverything}</a>
    </form>
  );
}

import { firstRunWords } from './first-run.words';
import { useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { asFilledIn, send } from '../api';
import { useHouseForm } from '../forms/use-house-form';
import { Codes } from '../door/Codes';
import styles from './Welcome.module.css';

/** First start on an empty data folder. */
export function Welcome({
  qualifications,
}: {
  readonly qualifications: readonly { readonly id: string; readonly label: string }[];
}) {
  const [code, setCode] = useState<string>();
  const form = useHouseForm({
    first: { name: '', therapistName: '', login: '', password: '', pin: '', qualifications: [] as string[] },
    onSend: async (values) => {
      const opened = await send('POST /api/house', { body: asFilledIn<'POST /api/house'>(values) });
      window.scrollTo(0, 0);
      setCode(opened.code);
    },
  });
  const { field } = form;
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
      <form onSubmit={form.submit} noValidate>
        <Field label={firstRunWords.nameOfTheHouse} autoFocus {...field('name')} />
        <Field label={firstRunWords.yourName} autoComplete="name" {...field('therapistName')} />
        <Field label={firstRunWords.signInName} autoComplete="username" autoCapitalize="none" {...field('login')} />
        <Field
          label={firstRunWords.password}
          type="password"
          autoComplete="new-password"
          hint={firstRunWords.atLeastCharactersAShortSentence}
          {...field('password')}
        />
        <Field
          label={firstRunWords.pinForTheLockedScreen}
          type="password"
          inputMode="numeric"
          autoComplete="off"
          hint={firstRunWords.toDigitsItOpensTheScreen}
          {...field('pin')}
        />
        <fieldset>
          <legend>{firstRunWords.whatYouAreQualifiedFor}</legend>
          {qualifications.map((q) => (
            <label key={q.id}>
              <input type="checkbox" value={q.id} {...form.register('qualifications')} /> {q.label}
            </label>
          ))}
        </fieldset>
        {form.trouble && <p role="alert">{form.trouble}</p>}
        <Button look="filled" type="submit">
          {firstRunWords.openTheHouse}
        </Button>
      </form>
    </main>
  );
}

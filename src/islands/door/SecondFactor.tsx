import { type FormEvent, useCallback, useEffect, useState } from 'react';
import type { FactorSetUp, FactorView } from '../../contracts/sign-in';
import { Button } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { send, sentenceOf } from '../api';
import { Codes } from './Codes';
import styles from './Codes.module.css';
import door from './Door.module.css';
import { doorWords } from './door.words';

/** One’s own second factor: setting it up, seeing how many codes are left, taking it away. */
export function SecondFactor({ onDone }: { readonly onDone: () => void }) {
  const [view, setView] = useState<FactorView>();
  const [setUp, setSetUp] = useState<FactorSetUp>();
  const [codes, setCodes] = useState<readonly string[]>();
  const [trouble, setTrouble] = useState<string>();
  const look = useCallback(() => send('GET /api/session/factor').then(setView), []);
  const attempt = async (doing: () => Promise<unknown>) => {
    setTrouble(undefined);
    try {
      await doing();
    } catch (error) {
      setTrouble(sentenceOf(error));
    }
  };
  useEffect(() => {
    look().catch((error: unknown) => setTrouble(sentenceOf(error)));
  }, [look]);
  const finish = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const code = String(new FormData(event.currentTarget).get('code') ?? '');
    void attempt(async () => setCodes((await send('PUT /api/session/factor', { body: { code } })).codes));
  };
  if (codes)
    return (
      <Codes title={doorWords.codesForWhenItIsLost} codes={codes} whatFor={doorWords.eachOpensOnce} onDone={onDone} />
    );
  if (setUp)
    return (
      <form className={door['pinForm']} onSubmit={finish} noValidate>
        <p>{doorWords.takeThePicture}</p>
        {/* Drawn by our own server out of squares. */}
        <div
          className={styles['picture']}
          role="img"
          aria-label={doorWords.pictureForTheAuthenticator}
          dangerouslySetInnerHTML={{ __html: setUp.qrSvg }}
        />
        <p className={styles['secret']}>{doorWords.orTypeThis(setUp.secret)}</p>
        <Field
          label={doorWords.sixDigitsItShows}
          name="code"
          inputMode="numeric"
          autoComplete="one-time-code"
          autoFocus
          error={trouble}
        />
        <Button look="filled" type="submit">
          {doorWords.turnItOn}
        </Button>
      </form>
    );
  const shown = view?.isOn ? doorWords.factorIsOn(view.codesLeft) : doorWords.whatAFactorIs;
  return (
    <div className={door['pinForm']}>
      {view && <p>{shown}</p>}
      {view?.isOwed && <p>{doorWords.theHouseAsksForOne}</p>}
      {trouble && <p role="alert">{trouble}</p>}
      {view && !view.isOn && (
        <Button
          look="filled"
          onClick={() => void attempt(async () => setSetUp(await send('POST /api/session/factor')))}
        >
          {doorWords.setItUp}
        </Button>
      )}
      {view?.isOn && (
        <div className={styles['buttons']}>
          <Button
            onClick={() => void attempt(async () => setCodes((await send('POST /api/session/factor/codes')).codes))}
          >
            {doorWords.newCodes}
          </Button>
          <Button
            onClick={() =>
              void attempt(async () => {
                await send('DELETE /api/session/factor');
                await look();
              })
            }
          >
            {doorWords.removeFactor}
          </Button>
        </div>
      )}
    </div>
  );
}

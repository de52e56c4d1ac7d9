import { moneyText } from '../../core/money';
import { oilsWords } from './oils.words';
import type { Drops } from '../../core/quantities';
import type { OilId } from '../../core/ids';
import { useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { MixView } from '../../contracts/oil-views';
import { carrierOf, oilOf } from '../../core/oils/book';
import { totalMlOf } from '../../core/oils/amounts';
import { dropsFromGrams } from '../../core/oils/drop-scale';
import { labelSizes } from '../../core/oils/label';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { Shortcuts } from '../../ui/shortcuts/Shortcuts';
import { send, sentenceOf } from '../api';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import styles from './MixingCard.module.css';
import { useScale } from './useScale';

/** Mixing step by step, large: each oil drop by drop, by key or by the scale, and the label at the end. */
export function MixingCard({ first }: { readonly first: MixView }) {
  const [mix, setMix] = useState(first);
  const [counted, setCounted] = useState<Readonly<Record<string, number>>>(first.counted);
  const { blend } = mix;
  const firstOpen = blend.parts.findIndex(({ oil }) => first.counted[oil] === undefined);
  const [at, setAt] = useState(firstOpen < 0 ? blend.parts.length : firstOpen);
  const [said, setSaid] = useState('');
  const scale = useScale(mix.state === 'mixing');
  const part = blend.parts[at];
  const count = part ? (counted[part.oil] ?? 0) : 0;

  const keep = (next: Readonly<Record<string, number>>) => {
    setCounted(next);
    send('PUT /api/oils/mixes/{id}', { params: { id: mix.id }, body: { counted: next } }).catch((error: unknown) =>
      setSaid(sentenceOf(error)),
    );
  };
  const set = (drops: Drops) => part && keep({ ...counted, [part.oil]: Math.max(0, drops) });
  const next = (drops = Math.max(count, part?.drops ?? 0)) => {
    if (!part) return;
    keep({ ...counted, [part.oil]: drops });
    setAt(at + 1);
    void scale.drive({ tare: true });
  };
  const finish = async () => {
    try {
      const { words } = await send('POST /api/oils/mixes/{id}', { params: { id: mix.id } });
      setMix(await send('GET /api/oils/mixes/{id}', { params: { id: mix.id } }));
      setSaid(words);
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const giveUp = async () => {
    try {
      await send('DELETE /api/oils/mixes/{id}', { params: { id: mix.id } });
      window.location.assign(backTo(mix));
    } catch (error) {
      setSaid(sentenceOf(error));
    }
  };
  const fromScale = () => {
    if (!part) return;
    const { grams } = scale.view;
    if (grams === null) return setSaid(oilsWords.theScaleDoesNotAnswerCount);
    const { densityGPerMl, dropsPerMl } = oilOf(oilBook, part.oil);
    set(dropsFromGrams(grams, densityGPerMl, part.dropsPerMl ?? dropsPerMl));
  };
  const isMixing = mix.state === 'mixing';
  useShortcuts([
    { keys: ['Space', '↑'], words: oilsWords.aDropIsIn, act: isMixing ? () => set(count + 1) : undefined },
    { keys: ['↓'], words: oilsWords.oneTooManyCounted, act: isMixing ? () => set(count - 1) : undefined },
    { keys: ['Enter'], words: oilsWords.allOfThisOilAreIn, act: part && isMixing ? () => next() : undefined },
    { keys: ['←'], words: oilsWords.backToTheOilBefore, act: () => setAt((now) => Math.max(0, now - 1)) },
    { keys: ['G'], words: oilsWords.takeTheCountFromTheScale, act: fromScale },
  ]);
  const isIn = (oil: OilId, drops: Drops, i: number) => {
    const has = counted[oil];
    return has !== undefined && (has >= drops || i !== at || !isMixing);
  };
  const carrierMl = blend.volumeMl - totalMlOf(oilBook, blend.parts);
  return (
    <>
      <div className={styles['head']}>
        <h1>{blend.name}</h1>
        <p>
          {mix.client ? oilsWords.for(mix.client.name) : oilsWords.forTheHouse} · {blend.volumeMl} {oilsWords.ml3}
          {mix.costCents > 0 && oilsWords.costs(moneyText(mix.costCents, mix.currency))}
        </p>
        <div>
          <a href={backTo(mix)}>{oilsWords.backToTheBench}</a>
          <Shortcuts />
        </div>
      </div>
      <div className={styles['view']}>
        <ol className={styles['steps']} aria-label={oilsWords.steps}>
          {blend.parts.map(({ oil, drops }, i) => (
            <li
              key={oil}
              aria-current={i === at && isMixing ? 'step' : undefined}
              data-done={isIn(oil, drops, i) || undefined}
            >
              <button type="button" onClick={() => setAt(i)} disabled={!isMixing}>
                <span>{oilOf(oilBook, oil).name}</span>
                <strong>{oilsWords.of2(counted[oil] ?? 0, drops)}</strong>
                <small>
                  {mix.from
                    .find((one) => one.oil === oil)
                    ?.lots.map((lot) => oilsWords.lot2(lot || 'unknown'))
                    .join(', ')}
                </small>
              </button>
            </li>
          ))}
          <li
            aria-current={at >= blend.parts.length && isMixing ? 'step' : undefined}
            data-done={mix.state === 'mixed' || undefined}
          >
            <button type="button" onClick={() => setAt(blend.parts.length)} disabled={!isMixing}>
              <span>{carrierOf(oilBook, blend.carrier).name}</span>
              <strong>{oilsWords.ml4(carrierMl.toFixed(1))}</strong>
              <small>{oilsWords.fillsUpToMl(blend.volumeMl)}</small>
            </button>
          </li>
        </ol>
        <main id="main" className={styles['main']}>
          {mix.state === 'given-up' && <p className={styles['big']}>{oilsWords.thisBottleWasGivenUp}</p>}
          {isMixing && part && (
            <>
              <p className={styles['oil']}>{oilOf(oilBook, part.oil).name}</p>
              <p className={styles['latin']}>{oilOf(oilBook, part.oil).latin}</p>
              <p className={styles['count']} role="status" data-over={count > part.drops || undefined}>
                <strong>{count}</strong> {oilsWords.of3} {part.drops}
              </p>
              {count > part.drops && <p className={styles['over']}>{oilsWords.tooManyAreInItIs(count - part.drops)}</p>}
              <div className={styles['bigButtons']}>
                <Button onClick={() => set(count - 1)} aria-label={oilsWords.oneTooManyCounted2}>
                  − 1
                </Button>
                <Button look="filled" onClick={() => set(count + 1)}>
                  <Kbd>{oilsWords.space}</Kbd> {oilsWords.aDrop}
                </Button>
                <Button onClick={() => next()}>
                  <Kbd>{oilsWords.enter}</Kbd> {count < part.drops ? oilsWords.allAreIn(part.drops) : oilsWords.next}
                </Button>
              </div>
              {count > 0 && count < part.drops && (
                <Button look="link" onClick={() => next(count)}>
                  {oilsWords.leaveItAt(count)}
                </Button>
              )}
              <details className={styles['scale']}>
                <summary>{oilsWords.dropScale(scale.view.words)}</summary>
                <p>{oilsWords.aStandInForAScale}</p>
                <Button onClick={fromScale}>{oilsWords.takeItsCount}</Button>{' '}
                <Button onClick={() => void scale.drive({ tare: true })}>{oilsWords.toZero}</Button>
              </details>
            </>
          )}
          {isMixing && !part && (
            <>
              <p className={styles['oil']}>{carrierOf(oilBook, blend.carrier).name}</p>
              <p className={styles['count']}>
                <strong>{carrierMl.toFixed(1)}</strong> {oilsWords.ml3}
              </p>
              <p className={styles['latin']}>{oilsWords.fillUpToMlCloseTurn(blend.volumeMl)}</p>
              <div className={styles['bigButtons']}>
                <Button onClick={() => setAt(blend.parts.length - 1)} disabled={blend.parts.length === 0}>
                  <Kbd>←</Kbd> {oilsWords.back}
                </Button>
                <Button look="filled" onClick={() => void finish()}>
                  {oilsWords.itIsMixed}
                </Button>
              </div>
            </>
          )}
          {mix.state === 'mixed' && <Finished mix={mix} />}
        </main>
      </div>
      <footer className={styles['foot']}>
        <em role="status">{said}</em>
        {isMixing && (
          <Button look="link" onClick={() => void giveUp()}>
            {oilsWords.giveThisBottleUp}
          </Button>
        )}
        {mix.state === 'mixed' && mix.visitId !== null && (
          <ButtonLink look="filled" href={`/visits/${mix.visitId}/prepare`}>
            {oilsWords.backToTheRoomList}
          </ButtonLink>
        )}
      </footer>
    </>
  );
}

const backTo = ({ visitId, client }: MixView) =>
  visitId !== null ? `/bench/oils?visit=${visitId}` : client ? `/bench/oils?client=${client.id}` : '/bench/oils';

/** The label as it is printed, on what it fits, and what to tell the client. */
function Finished({ mix }: { readonly mix: MixView }) {
  return (
    <div className={styles['finished']}>
      <h2>{oilsWords.mixedStickTheLabelOn}</h2>
      <div className={styles['label']}>
        {mix.label.map(({ look, text }) => (
          <p key={text} data-look={look}>
            {text}
          </p>
        ))}
      </div>
      <p className={styles['prints']}>
        {labelSizes.map(({ id, words }) =>
          mix.fits.includes(id) ? (
            <ButtonLink key={id} href={`/api/oils/mixes/${mix.id}/label.pdf?size=${id}`} target="_blank">
              {words}
            </ButtonLink>
          ) : (
            <span key={id}>{oilsWords.theTextDoesNotFit(words)}</span>
          ),
        )}
      </p>
      <h2>{oilsWords.forTheWayHome}</h2>
      <ul className="marked-list">
        {mix.aftercare.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <ButtonLink href={`/api/oils/mixes/${mix.id}/aftercare.pdf`} target="_blank">
        {oilsWords.printItForTheClient}
      </ButtonLink>
    </div>
  );
}

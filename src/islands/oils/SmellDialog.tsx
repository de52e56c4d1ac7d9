import { oilsWords } from './oils.words';
import { useEffect, useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { BlendInput } from '../../contracts/oil-house';
import { scaleBlend } from '../../core/oils/amounts';
import { oilOf } from '../../core/oils/book';
import { checkBlend } from '../../core/oils/check';
import { dropsText } from '../../core/oils/finding-words';
import { bestLiked, mostStrips, restSeconds, shuffled, type SmellAnswer, type Strip } from '../../core/oils/smell';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { send } from '../api';
import shared from './Oils.module.css';
import styles from './SmellDialog.module.css';
import { useBench } from './bench-context';

type Stage = 'looking' | 'prepare' | 'smell' | 'reveal';

const ordinals = ['first', 'second', 'third'];
/** A random number in [0, 1) that nobody can guess. */
const dice = () => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) / 2 ** 32;

/** Two or three blends that pass every limit, smelled without a name, in a random order, with plain air between. */
export function SmellDialog({ onClose }: { readonly onClose: () => void }) {
  const bench = useBench();
  const { worker, wish, blend, isScented, mayCompose, usable, client: limits } = bench;
  const { visit, client, blends } = bench.view;
  /** Blends of the house that this client may have, for those who make none of their own. */
  const readyStrips = (): readonly Strip[] =>
    blends
      .filter((ready) => ready.blend.area === blend.area && ready.blend.carrier === blend.carrier)
      .map((ready) => ({ parts: scaleBlend(oilBook, ready.blend.parts, ready.blend.volumeMl, blend.volumeMl).parts }))
      .filter(({ parts }) => {
        const check = checkBlend(oilBook, { ...blend, parts, client: limits, basis: 'max' });
        return check !== null && check.verdict !== 'over' && check.withinGuide;
      })
      .slice(0, mostStrips);
  const [stage, setStage] = useState<Stage>('looking');
  const [strips, setStrips] = useState<readonly Strip[]>([]);
  const [answers, setAnswers] = useState<readonly SmellAnswer[]>([]);
  const [at, setAt] = useState(0);
  const [rest, setRest] = useState(0);
  const [trouble, setTrouble] = useState(isScented ? '' : (client?.unscentedWhy ?? oilsWords.unscentedOnly2));

  useEffect(() => {
    if (!isScented) return;
    let isGone = false;
    const look = async () => {
      const found = mayCompose ? await worker().strips(wish()) : readyStrips();
      if (isGone) return;
      if (found.length < 2) setTrouble(oilsWords.theShelfHasNoTwoBlends);
      else {
        setStrips(shuffled(found.length, dice).flatMap((i) => found[i] ?? []));
        setAnswers(found.map(() => ({ liking: null, word: '' })));
        setStage('prepare');
      }
    };
    void look();
    return () => {
      isGone = true;
    };
    // Looked for once, when the dialog opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  useEffect(() => {
    if (rest <= 0) return;
    const timer = setTimeout(() => setRest(rest - 1), 1000);
    return () => clearTimeout(timer);
  }, [rest]);

  const answer = (change: Partial<SmellAnswer>) =>
    setAnswers(answers.map((one, i) => (i === at ? { ...one, ...change } : one)));
  const next = () => {
    if (at + 1 >= strips.length) return setStage('reveal');
    setAt(at + 1);
    setRest(restSeconds);
  };
  const blendOf = ({ parts }: Strip): BlendInput => ({
    ...blend,
    parts: parts.map(({ oil, drops }) => {
      const dropsPerMl = usable.find((entry) => entry.oil === oil)?.dropsPerMl;
      return { oil, drops, ...(dropsPerMl ? { dropsPerMl } : {}) };
    }),
  });
  const choose = (chosen: number | null) =>
    bench.attempt(async () => {
      if (!visit) return '';
      await send('POST /api/oils/smell', {
        body: {
          visitId: visit.id,
          strips: strips.map((strip, i) => ({
            blend: blendOf(strip),
            liking: answers[i]?.liking ?? null,
            word: answers[i]?.word ?? '',
          })),
          chosen,
        },
      });
      const taken = chosen === null ? undefined : strips[chosen];
      if (taken) bench.change({ kind: 'whole', blend: blendOf(taken) });
      await bench.reload();
      onClose();
      return taken ? oilsWords.chosenByNoseTheVisitCarries : oilsWords.writtenDownNoneOfThem;
    });
  const liked = bestLiked(answers);
  return (
    <Dialog title={oilsWords.chooseByNose2} isOpen onClose={onClose} size="wide">
      {trouble !== '' && <p role="alert">{trouble}</p>}
      {trouble === '' && stage === 'looking' && <p role="status">{oilsWords.lookingForBlendsThatSmellDifferent}</p>}
      {stage === 'prepare' && (
        <>
          <p>{oilsWords.oneDropOfEachOilOn}</p>
          <ol className={styles['strips']}>
            {strips.map((strip, i) => (
              <li key={i}>
                <span className={styles['strip']}>{i + 1}</span>
                <span>{strip.parts.map(({ oil }) => oilOf(oilBook, oil).name.toLowerCase()).join(', ')}</span>
              </li>
            ))}
          </ol>
          <div className={shared['buttons']}>
            <Button onClick={onClose}>{oilsWords.notNow}</Button>
            <Button look="filled" onClick={() => setStage('smell')}>
              {oilsWords.hideTheNamesAndBegin}
            </Button>
          </div>
        </>
      )}
      {stage === 'smell' && (
        <div className={styles['smelling']}>
          <span className={styles['strip']} data-big>
            {at + 1}
          </span>
          {rest > 0 ? (
            <p role="timer">
              <strong>{rest}</strong> {oilsWords.plainAirFirstLetTheNose} {ordinals[at]} {oilsWords.strip}{' '}
              <Button look="link" onClick={() => setRest(0)}>
                {oilsWords.itIsRested}
              </Button>
            </p>
          ) : (
            <>
              <p>
                {oilsWords.the} {ordinals[at]} {oilsWords.stripHowMuchDoYouLike}
              </p>
              <div role="radiogroup" aria-label={oilsWords.howMuchItIsLikedTo} className={styles['liking']}>
                {Array.from({ length: 11 }, (_, value) => (
                  <label key={value} data-on={answers[at]?.liking === value || undefined}>
                    <input
                      type="radio"
                      className="visually-hidden"
                      name={`liking-${at}`}
                      checked={answers[at]?.liking === value}
                      onChange={() => answer({ liking: value })}
                    />
                    {value}
                  </label>
                ))}
              </div>
              <label className={styles['word']}>
                {oilsWords.theFirstWordThatComes}
                <input
                  key={at}
                  maxLength={40}
                  value={answers[at]?.word ?? ''}
                  onChange={(event) => answer({ word: event.target.value })}
                />
              </label>
              <div className={shared['buttons']}>
                <Button look="filled" onClick={next} disabled={answers[at]?.liking === null}>
                  {at + 1 < strips.length ? oilsWords.restThenTheNext : oilsWords.showWhatTheyAre}
                </Button>
              </div>
            </>
          )}
        </div>
      )}
      {stage === 'reveal' && (
        <>
          <ol className={styles['strips']}>
            {strips.map((strip, i) => (
              <li key={i} data-liked={i === liked || undefined}>
                <span className={styles['strip']}>{i + 1}</span>
                <span>
                  <strong>
                    {answers[i]?.liking ?? '–'} {oilsWords.of4}
                    {answers[i]?.word && `, “${answers[i]?.word ?? ''}”`}
                  </strong>
                  {strip.parts.map(({ oil, drops }) => `${oilOf(oilBook, oil).name} ${drops}`).join(', ')} ·{' '}
                  {dropsText(strip.parts.reduce((sum, { drops }) => sum + drops, 0))}
                </span>
                <Button look={i === liked ? 'filled' : 'quiet'} onClick={() => void choose(i)}>
                  {oilsWords.takeThisOne}
                </Button>
              </li>
            ))}
          </ol>
          <div className={shared['buttons']}>
            <Button onClick={() => void choose(null)}>{oilsWords.noneOfThem}</Button>
          </div>
        </>
      )}
    </Dialog>
  );
}

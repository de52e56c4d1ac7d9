import { oilsWords } from './oils.words';
import { oilBook } from '../../catalogue/oils/oils';
import { oilOf } from '../../core/oils/book';
import { tightestOf } from '../../core/oils/check';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import shared from './Oils.module.css';
import styles from './Verdict.module.css';
import { useBench } from './bench-context';
import type { Bench } from './useBlend';

/** What is to be said of the blend: what is over, what would mend it, what is tightest, what would serve better. */
export function Verdict() {
  const bench = useBench();
  const { check, safe, better, blend, makeItSafe, makeItBetter } = bench;
  if (check === null)
    return (
      <div className={shared['say']} data-tone="over" role="alert">
        <p>
          <strong>{oilsWords.moreOilThanTheBottleHolds}</strong> {oilsWords.takeDropsOutOrMixMore}
        </p>
      </div>
    );
  if (blend.parts.length === 0) return null;
  const over = check.findings.filter(({ severity }) => severity === 'over');
  const cautions = check.findings.filter(({ severity }) => severity === 'caution');
  return (
    <div role="status" className={styles['verdict']}>
      {over.length > 0 && (
        <div className={shared['say']} data-tone="over">
          <p>
            <strong>{oilsWords.notLikeThis2}</strong>
          </p>
          {over.map(({ text }) => (
            <p key={text}>{text}</p>
          ))}
          {safe && <Mend words={safe.words} onMend={makeItSafe} />}
        </div>
      )}
      {over.length === 0 && !check.withinGuide && (
        <div className={shared['say']} data-tone="near">
          {cautions.map(({ text }) => (
            <p key={text}>{text}</p>
          ))}
          {safe && <Mend words={safe.words} onMend={makeItSafe} />}
        </div>
      )}
      {over.length === 0 && check.withinGuide && (
        <div className={shared['say']} data-tone="ok">
          <p>
            <strong>{oilsWords.insideEveryLimit}</strong> {tightWords(bench)}
          </p>
          {cautions.map(({ text }) => (
            <p key={text}>{text}</p>
          ))}
        </div>
      )}
      {over.length === 0 && check.withinGuide && better && (
        <div className={shared['say']} data-tone="ok">
          <p>{better.words}</p>
          <Button look="mend" onClick={makeItBetter}>
            <Kbd>M</Kbd> {oilsWords.doIt}
          </Button>
        </div>
      )}
    </div>
  );
}

function Mend({ words, onMend }: { readonly words: string; readonly onMend: () => void }) {
  return (
    <div>
      <Button look="mend" onClick={onMend}>
        <Kbd>S</Kbd> {oilsWords.makeItSafe2}
      </Button>{' '}
      {words}
    </div>
  );
}

function tightWords({ check }: Bench): string {
  const tightest = check && tightestOf(check);
  if (!tightest) return '';
  const share = Math.round(100 * tightest.share);
  switch (tightest.kind) {
    case 'oil':
      return oilsWords.theTightestIsAtOfIts(oilOf(oilBook, tightest.id).name.toLowerCase(), share);
    case 'constituent':
      return oilsWords.theTightestIsAtOfIts2(oilBook.constituents.get(tightest.id)?.name ?? tightest.id, share);
    case 'sun':
      return oilsWords.theTightestIsWhatBurnsIn(share);
    case 'whole':
      return oilsWords.theTightestIsTheWholeBlend(share);
  }
}

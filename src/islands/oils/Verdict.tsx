import { oilBook } from '../../catalogue/oils/oils';
import { oilOf } from '../../core/oils/book';
import { tightestOf } from '../../core/oils/check';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import shared from './Oils.module.css';
import styles from './Verdict.module.css';
import type { Bench } from './useBlend';

/** What is to be said of the blend: what is over, what would mend it, what is tightest, what would serve better. */
export function Verdict({ bench }: { readonly bench: Bench }) {
  const { check, safe, better, blend, makeItSafe, makeItBetter } = bench;
  if (check === null)
    return (
      <div className={shared['say']} data-tone="over" role="alert">
        <p>
          <strong>More oil than the bottle holds.</strong> Take drops out, or mix more.
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
            <strong>Not like this.</strong>
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
            <strong>Inside every limit.</strong> {tightWords(bench)}
          </p>
          {cautions.map(({ text }) => (
            <p key={text}>{text}</p>
          ))}
        </div>
      )}
      {over.length === 0 && check.withinGuide && better && (
        <div className={shared['say']} data-tone="near">
          <p>{better.words}</p>
          <Button look="mend" onClick={makeItBetter}>
            <Kbd>M</Kbd> Do it
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
        <Kbd>S</Kbd> Make it safe
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
      return `The tightest is ${oilOf(oilBook, tightest.id).name.toLowerCase()}, at ${share} % of its limit.`;
    case 'constituent':
      return `The tightest is ${oilBook.constituents.get(tightest.id)?.name ?? tightest.id}, at ${share} % of its limit.`;
    case 'sun':
      return `The tightest is what burns in the sun, at ${share} % of what skin bears.`;
    case 'whole':
      return `The tightest is the whole blend, at ${share} % of what is usual.`;
  }
}

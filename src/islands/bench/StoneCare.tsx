import { benchWords } from './bench.words';
import type { StoneBenchView } from '../../contracts/stone-views';
import { careKinds } from '../../core/stones/care';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import shared from './Bench.module.css';
import styles from './StoneCare.module.css';

const careWords = {
  cleaned: benchWords.cleaned,
  oiled: benchWords.oiled2,
  'water-changed': benchWords.waterChanged,
  checked: benchWords.lookedForCracks,
} as const;

/** When the stones were last cleaned and oiled and the water changed, and a press for each time it is done again. */
export function StoneCare({
  bench,
  onSaid,
}: {
  readonly bench: StoneBenchView;
  /** What was written down, or why it was not. */
  readonly onSaid: (words: string, isDone: boolean) => void;
}) {
  const [stone] = bench.stones.filter(({ state }) => state === 'in-use');
  const care = async (what: (typeof careKinds)[number]) => {
    try {
      await send('POST /api/stones/care', { body: { what, stones: [] } });
      onSaid(benchWords.writtenDown(careWords[what]), true);
    } catch (error) {
      onSaid(sentenceOf(error), false);
    }
  };
  return (
    <section className={styles['care']}>
      <h2>{benchWords.care}</h2>
      <p className={shared['soft']}>
        {benchWords.cleaned} {stone?.lastCleaned ?? benchWords.neverYet} {benchWords.oiled}{' '}
        {stone?.lastOiled ?? benchWords.neverYet} {benchWords.waterChanged2}{' '}
        {bench.lastWaterChange ?? benchWords.neverYet}
      </p>
      <div className={shared['pairButtons']}>
        {careKinds.map((what) => (
          <Button key={what} onClick={() => void care(what)}>
            {careWords[what]}
          </Button>
        ))}
      </div>
    </section>
  );
}

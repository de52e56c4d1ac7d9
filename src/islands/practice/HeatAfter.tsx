import type { BenchCase } from '../../workers/stones.worker';
import { StoneChart } from '../bench/StoneChart';
import { useStoneAnswer } from '../bench/useStoneAnswer';
import type { DrillProps } from './drill-props';
import styles from './Drill.module.css';
import { practiceWords } from './practice.words';

interface Props {
  readonly question: DrillProps<'heat'>['question'];
  /** Null or no number where nothing was typed. */
  readonly own: { readonly firstC: number | null; readonly seconds: number | null };
  readonly best: { readonly firstC: number; readonly seconds: number };
}

const leastSeconds = 60;

/** The skin under the stone over time: as it was answered, and as it would have been right. */
export function HeatAfter({ question, own, best }: Props) {
  const { size, material, thicknessMm, towelLayers, skin, ambientC } = question;
  const caseAt = (startC: number, seconds: number): BenchCase => ({
    ...{ size, material, thicknessMm, towelLayers, skin, ambientC, startC, mode: 'still', flip: false },
    ...{ usefulC: 37, seconds: Math.max(leastSeconds, seconds) },
  });
  const isWhole = Number.isFinite(own.firstC) && own.firstC !== null && Number.isFinite(own.seconds ?? NaN);
  const right = useStoneAnswer(caseAt(best.firstC, best.seconds));
  const given = useStoneAnswer(isWhole ? caseAt(own.firstC ?? 0, own.seconds ?? 0) : undefined);
  return (
    <figure className={styles['after']}>
      <figcaption>{isWhole ? practiceWords.skinOverTimeBoth : practiceWords.skinOverTime}</figcaption>
      <StoneChart
        contact={given?.contact ?? right?.contact}
        bare={undefined}
        before={given ? right?.contact : undefined}
        isCold={false}
        label={practiceWords.skinOverTime}
      />
    </figure>
  );
}

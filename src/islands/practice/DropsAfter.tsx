import { oilBook } from '../../catalogue/oils/oils';
import { checkBlend } from '../../core/oils/check';
import { Limits } from '../oils/Limits';
import type { DrillProps } from './drill-props';
import styles from './Drill.module.css';

interface Props {
  readonly question: DrillProps<'drops'>['question'];
  readonly drops: Readonly<Record<string, number>>;
}

/** The drops that were given, beside the limits of this client. */
export function DropsAfter({ question, drops }: Props) {
  const { client, area, volumeMl, oils } = question;
  const parts = oils.flatMap(({ id }) => ((drops[id] ?? 0) > 0 ? [{ oil: id, drops: drops[id] ?? 0 }] : []));
  const check = parts.length > 0 ? checkBlend(oilBook, { client, area, volumeMl, basis: 'max', parts }) : undefined;
  return check ? (
    <div className={styles['after']}>
      <Limits check={check} onSkin={null} />
    </div>
  ) : null;
}

import type { TapingView, VisitView } from '../../contracts/views';
import { defaultMdcMl } from '../../core/swelling/change';
import { compareTapings } from '../../core/swelling/compare-tapings';
import { formatNumber, formatSigned, fromCm } from '../../core/units';
import styles from './MeasureView.module.css';
import type { useTapeRun } from './useTapeRun';

interface FiguresProps {
  readonly run: ReturnType<typeof useTapeRun>;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly lastTime: (TapingView & { date?: string }) | null;
  readonly phase: 'before' | 'after';
  readonly visit: VisitView;
}

/** Volume, difference and change as large numbers, with what the tape can err. */
export function TapeFigures(props: FiguresProps) {
  const { run, limb, side, lastTime, phase } = props;
  const { value, refusal } = run.volume;
  const isBegun = run.girths.affected.some((girth) => girth !== null);
  if (!value)
    return (
      <p className={styles['soft']}>
        {isBegun && refusal ? refusal : 'Type the first girths; volume and difference grow with each.'}
      </p>
    );
  const other = side === 'left' ? 'right' : 'left';
  const isComplete = [...run.girths.affected, ...run.girths.reference].every((girth) => girth !== null);
  const doubts = value.warnings.filter((w) => !/^(trimmed|interpolated|simpson)/.test(w.code));
  const change = isComplete ? changeSince(run, props) : undefined;
  const top =
    value.excessMl === null ? undefined : [...value.segments].sort((a, b) => (b.excessMl ?? 0) - (a.excessMl ?? 0))[0];
  return (
    <>
      <div className={styles['figures']}>
        <div>
          <strong>
            {value.excessMl === null ? `${formatNumber(value.affectedMl)} mL` : `${formatNumber(value.excessMl)} mL`}
          </strong>
          <span>
            {value.excessMl === null
              ? `the ${side} ${limb} so far`
              : `over the ${other} ${limb}${isComplete ? '' : ' so far'}`}
          </span>
        </div>
        {value.excessPercent !== null && (
          <div>
            <strong>{formatNumber(value.excessPercent, 1)} %</strong>
            <span>± {formatNumber(((value.excessSdMl ?? 0) * 196) / (value.referenceMl ?? 1), 1)} from the tape</span>
          </div>
        )}
        {change && (
          <div>
            <strong>{formatSigned(change.ml)} mL</strong>
            <span>{phase === 'after' ? 'in this visit' : `since ${lastTime?.date ?? 'last time'}`}</span>
          </div>
        )}
      </div>
      <dl className={styles['volumes']}>
        <div>
          <dt>
            {side} {limb}
          </dt>
          <dd>
            {formatNumber(value.affectedMl)} mL <small>± {formatNumber(1.96 * value.affectedSdMl)}</small>
          </dd>
        </div>
        {value.referenceMl !== null && (
          <div>
            <dt>
              {other} {limb}
            </dt>
            <dd>{formatNumber(value.referenceMl)} mL</dd>
          </div>
        )}
      </dl>
      {change && (
        <p className={styles['verdict']} data-beyond={change.beyond ? true : undefined}>
          <strong>{change.beyond ? 'Beyond what the tape can err.' : 'Within measuring error.'}</strong>{' '}
          {change.beyond
            ? `${change.ml < 0 ? 'Smaller' : 'Larger'} by more than ${formatNumber(change.limitMl)} mL.`
            : `May be no change: only beyond ${formatNumber(change.limitMl)} mL counts.`}
          {top && ` Fluid sits highest between ${formatNumber(top.from)} and ${formatNumber(top.to)} ${run.unit}.`}
        </p>
      )}
      {!isComplete && (
        <p className={styles['soft']}>
          {refusal ??
            `Compared over ${formatNumber(value.segments[0]?.from ?? 0)} to ${formatNumber(value.segments.at(-1)?.to ?? 0)} ${run.unit}, where both sides are taped.`}
        </p>
      )}
      {doubts.length > 0 && (
        <p className={styles['provisional']} role="status">
          <strong>Provisional.</strong> {[...new Set(doubts.map((w) => w.message))].join(' ')}
        </p>
      )}
    </>
  );
}

/** Change since the taping to compare with, over the marks that both have; within one visit the marks are the same ones. */
function changeSince(run: FiguresProps['run'], { limb, side, lastTime, phase, visit }: FiguresProps) {
  if (!lastTime) return undefined;
  const mdcMl =
    phase === 'after' ? 0 : defaultMdcMl[limb][lastTime.therapistId === visit.therapist.id ? 'same' : 'different'];
  const positions = run.positionsCm.map((cm) => fromCm(cm, run.unit));
  const change = compareTapings(
    lastTime,
    { limb, side, unit: run.unit, method: 'frustum', positions, ...run.girths },
    mdcMl,
  );
  return change?.of === 'excess' ? change : undefined;
}

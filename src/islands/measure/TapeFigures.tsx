import { measureWords } from './measure.words';
import type { MeasureView } from '../../contracts/measure-views';
import type { DefinitionVerdict } from '../../core/swelling/definitions';
import { fewestOwnPairs } from '../../core/swelling/detectable';
import { errorBudget } from '../../core/swelling/error-budget';
import { formatNumber, formatSigned, fromCm, toCm } from '../../core/units';
import { type ShownVolumes, volumesIn } from '../../core/volume-units';
import shared from './MeasureView.module.css';
import styles from './TapeFigures.module.css';
import { baselineChange, caveatsOf, changeSince, verdictsOf } from './judge-run';
import type { TapeRun } from './useTapeRun';

interface FiguresProps {
  readonly view: MeasureView;
  readonly run: TapeRun;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly phase: 'before' | 'after';
}

const severityWords = {
  none: measureWords.noExcessOfNote,
  early: measureWords.earlyFlag,
  minimal: 'minimal',
  moderate: 'moderate',
  severe: 'severe',
} as const;

/** Volume, difference and change as large numbers, with what the tape can err. */
export function TapeFigures({ view, run, limb, side, phase }: FiguresProps) {
  const { value, refusal } = run.volume;
  if (!value)
    return (
      <p className={shared['soft']}>
        {run.settled.affected.some((girth) => girth !== null) && refusal
          ? refusal
          : measureWords.typeTheFirstGirthsVolumeAnd}
      </p>
    );
  const volumes = volumesIn(view.house.volumeUnit);
  const other = side === 'left' ? 'right' : 'left';
  const now = {
    limb,
    side,
    unit: run.unit,
    positions: run.positionsCm.map((cm) => fromCm(cm, run.unit)),
    affected: run.settled.affected,
    reference: run.settled.reference,
  };
  const isComplete = [...now.affected, ...now.reference].every((girth) => girth !== null);
  const isProvisional = run.doubts.length > 0;
  const change = isComplete && run.last ? changeSince(view, run.last, now, run.settings, phase === 'after') : undefined;
  const baseline = view.baselines.find((one) => one.limb === limb && one.side === side);
  const fromStart = isComplete
    ? baselineChange(baseline, now, run.context.weightKg, run.settings.method)
    : { rvc: null, wac: null };
  const top =
    value.excessMl === null ? undefined : value.segments.toSorted((a, b) => (b.excessMl ?? 0) - (a.excessMl ?? 0))[0];
  const caveats =
    change && run.last ? caveatsOf(run.last, { takenAt: new Date(), view, ticks: run.context.ticks }) : [];
  return (
    <>
      <div className={styles['figures']}>
        <div>
          <strong>
            {volumes.bare(value.excessMl ?? value.affectedMl)} <small>{volumes.name}</small>
          </strong>
          <span>
            {value.excessMl === null
              ? measureWords.theSoFar(side, limb)
              : measureWords.overThe(other, limb, isComplete ? '' : measureWords.soFar)}
          </span>
        </div>
        {value.excessPercent !== null && (
          <div>
            <strong>{formatNumber(value.excessPercent, 1)} %</strong>
            <span>
              {measureWords.fromTheTape(formatNumber(((value.excessSdMl ?? 0) * 196) / (value.referenceMl ?? 1), 1))}
            </span>
          </div>
        )}
        {change && (
          <div>
            <strong>
              {volumes.signedBare(change.ml)} <small>{volumes.name}</small>
            </strong>
            <span>
              {phase === 'after'
                ? measureWords.inThisVisit
                : measureWords.since(run.last?.date ?? measureWords.lastTime4)}
            </span>
          </div>
        )}
      </div>
      {isProvisional && (
        <p className={styles['provisional']} role="status">
          <strong>{measureWords.provisional}</strong>{' '}
          {[...new Set(run.doubts.map((doubt) => doubt.message))].slice(0, 3).join(' ')}
        </p>
      )}
      {change && (
        <p className={styles['verdict']} data-beyond={change.beyond ? true : undefined}>
          <strong>{change.beyond ? measureWords.beyondWhatTheTapeCanErr : measureWords.withinMeasuringError}</strong>{' '}
          {change.beyond
            ? measureWords.byMoreThan(
                change.ml < 0 ? measureWords.smaller : measureWords.larger,
                volumes.text(change.limitMl),
              )
            : measureWords.mayBeNoChangeOnlyBeyond(volumes.text(change.limitMl))}{' '}
          {limitSource(view, limb, phase)}
          {top && measureWords.fluidSitsHighestBetweenAnd(formatNumber(top.from), formatNumber(top.to), run.unit)}
          {caveats.length > 0 && measureWords.compareWithCare(caveats.join(', '))}
        </p>
      )}
      {!isComplete && (
        <p className={shared['soft']}>
          {refusal ??
            measureWords.comparedOverToWhereBothSides(
              formatNumber(value.segments[0]?.from ?? 0),
              formatNumber(value.segments.at(-1)?.to ?? 0),
              run.unit,
            )}
        </p>
      )}
      <dl className={styles['volumes']}>
        <div>
          <dt>
            {side} {limb}
          </dt>
          <dd>
            {volumes.text(value.affectedMl)} <small>± {volumes.bare(1.96 * value.affectedSdMl)}</small>
          </dd>
        </div>
        {value.referenceMl !== null && (
          <div>
            <dt>
              {other} {limb}
            </dt>
            <dd>{volumes.text(value.referenceMl)}</dd>
          </div>
        )}
        {value.severity && !isProvisional && (
          <div>
            <dt>{measureWords.bandAsObserved}</dt>
            <dd>{severityWords[value.severity]}</dd>
          </div>
        )}
        {(fromStart.rvc ?? fromStart.wac) && baseline && (
          <div>
            <dt>{measureWords.since(baseline.date)}</dt>
            <dd>
              {formatSigned((fromStart.rvc ?? fromStart.wac)?.changePercent ?? 0, 1)} %{' '}
              <small>{fromStart.rvc ? measureWords.besideTheOtherLimb : measureWords.besideTheWeight}</small>
            </dd>
          </div>
        )}
      </dl>
      {isComplete && <Budget run={run} volumes={volumes} />}
      {isComplete && <Definitions verdicts={verdictsOf(view, now, value, fromStart)} />}
    </>
  );
}

/** Usual errors of placing marks, of the zero mark and of the ruler; the tape's own is the house's. */
const usualErrors = { markSigmaCm: 0.2, startSigmaCm: 0.3, scaleFraction: 0.002 } as const;

/** Where the error of the volume comes from; the zero mark is usually the largest part on a tapering limb. */
function Budget({ run, volumes }: { readonly run: TapeRun; readonly volumes: ShownVolumes }) {
  const girthsCm = run.settled.affected.map((girth) => toCm(girth ?? 0, run.unit));
  const budget = errorBudget(run.positionsCm, girthsCm, { ...usualErrors, tapeSigmaCm: run.settings.tapeSigmaCm });
  const parts = [
    ['tape', budget.tapeSdMl],
    ['marks', budget.marksSdMl],
    [measureWords.zeroMark, budget.startSdMl],
    ['ruler', budget.scaleSdMl],
  ] as const;
  return (
    <details className={styles['definitions']}>
      <summary>
        {measureWords.whatCanErr} <strong>{measureWords.inAll(volumes.text(1.96 * budget.totalSdMl))}</strong>
      </summary>
      <ul>
        {parts.map(([name, sdMl]) => (
          <li key={name}>
            <span>{name}</span>
            <span>± {volumes.text(1.96 * sdMl)}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Whose figure the limit is; within one visit the marks are shared, and only the tape errs. */
function limitSource(view: MeasureView, limb: 'arm' | 'leg', phase: 'before' | 'after'): string {
  const own = view.ownErrors[limb];
  if (phase === 'after') return '';
  if (own?.isShifted) return measureWords.yourSecondReadingsDifferSteadily;
  return own && own.pairs >= fewestOwnPairs ? measureWords.theLimitComesFromYourOwn(own.pairs) : '';
}

/** The house's definition in a sentence, the others on demand: they disagree often. */
function Definitions({ verdicts }: { readonly verdicts: readonly DefinitionVerdict[] }) {
  const [own, ...others] = verdicts;
  if (!own) return null;
  return (
    <details className={styles['definitions']}>
      <summary>
        {measureWords.by} {own.definition.short}:{' '}
        <strong>{own.isMet === null ? measureWords.cannotBeToldWithout(own.definition.needs) : metWords(own)}</strong>
      </summary>
      <ul>
        {others.map((one) => (
          <li key={one.definition.id}>
            <span>{one.definition.name}</span>
            <span>{one.isMet === null ? measureWords.needs(one.definition.needs) : metWords(one)}</span>
          </li>
        ))}
      </ul>
    </details>
  );
}

const metWords = ({ isMet, value, definition }: DefinitionVerdict) => {
  const unit = { excessPercent: '%', excessMl: 'mL', girthDifferenceCm: 'cm', rvcPercent: '%', wacPercent: '%' }[
    definition.quantity
  ];
  return `${isMet ? 'met' : measureWords.notMet} (${formatSigned(value ?? 0, unit === 'mL' ? 0 : 1)} ${unit})`;
};

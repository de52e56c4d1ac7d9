import { closeWords } from './close.words';
import { useState } from 'react';
import type { TapingView, VisitAtWork } from '../../contracts/visit-views';
import { compareTapings } from '../../core/swelling/compare-tapings';
import type { VolumeSettings } from '../../core/swelling/settings';
import { type ShownVolumes, volumesIn } from '../../core/volume-units';
import { ButtonLink } from '../../ui/button/Button';
import shared from './CloseView.module.css';
import styles from './Measured.module.css';
import { ShortTape } from './ShortTape';

/** Before and after in one visit: the change, and the shortest way to take the after-measure. */
export function Measured({ visit, isTaped }: { readonly visit: VisitAtWork; readonly isTaped: boolean }) {
  const [after, setAfter] = useState<TapingView | null>(visit.after);
  const { before } = visit;
  return (
    <>
      {(isTaped || before) && (
        <Change before={before} after={after} settings={visit.volumeSettings} volumes={volumesIn(visit.volumeUnit)} />
      )}
      {before?.volume && <ShortTape visit={visit} before={before} after={after} onSaved={setAfter} />}
      <ButtonLink href={`/visits/${visit.id}/measure-after`}>
        {after ? closeWords.seeTheAfterMeasure : closeWords.measureAgain}
      </ButtonLink>
    </>
  );
}

interface ChangeProps {
  readonly before: TapingView | null;
  readonly after: TapingView | null;
  readonly settings: VolumeSettings;
  readonly volumes: ShownVolumes;
}

function Change({ before, after, settings, volumes }: ChangeProps) {
  if (!before?.volume) return <p className={shared['soft']}>{closeWords.nothingWasTapedBeforeTheWork}</p>;
  if (!after)
    return (
      <p className={shared['soft']}>
        {closeWords.before}{' '}
        {before.volume.excessMl === null
          ? volumes.text(before.volume.affectedMl)
          : closeWords.overTheOtherSide(volumes.text(before.volume.excessMl))}
        {closeWords.tapeTheSamePointsWithThe}
      </p>
    );
  const change = compareTapings(before, after, 0, settings);
  if (!change) return <p className={shared['soft']}>{closeWords.theTwoTapingsShareTooFew}</p>;
  const limit = volumes.text(change.limitMl);
  return (
    <div className={styles['measured']}>
      <strong>{volumes.signed(change.ml)}</strong>
      <p>
        {volumes.bare(change.fromMl)} {closeWords.before2} {volumes.bare(change.toMl)}{' '}
        {closeWords.afterOverTheMarksTapedBoth}{' '}
        {change.beyond ? closeWords.beyondMeasuringError(limit) : closeWords.withinMeasuringErrorMayBeNo(limit)}
      </p>
    </div>
  );
}

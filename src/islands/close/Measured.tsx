import { useState } from 'react';
import type { TapingView, VisitView } from '../../contracts/visit-views';
import { compareTapings } from '../../core/swelling/compare-tapings';
import type { VolumeSettings } from '../../core/swelling/settings';
import { type ShownVolumes, volumesIn } from '../../core/volume-units';
import { ButtonLink } from '../../ui/button/Button';
import shared from './CloseView.module.css';
import styles from './Measured.module.css';
import { ShortTape } from './ShortTape';

/** Before and after in one visit: the change, and the shortest way to take the after-measure. */
export function Measured({ visit }: { readonly visit: VisitView }) {
  const [after, setAfter] = useState<TapingView | null>(visit.after);
  const { before } = visit;
  return (
    <>
      <Change before={before} after={after} settings={visit.volumeSettings} volumes={volumesIn(visit.volumeUnit)} />
      {before?.volume && <ShortTape visit={visit} before={before} after={after} onSaved={setAfter} />}
      <ButtonLink href={`/visits/${visit.id}/measure-after`}>
        {after ? 'See the after-measure' : 'Measure again'}
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
  if (!before?.volume)
    return (
      <p className={shared['soft']}>
        Nothing was taped before the work, so an after-measure has nothing to stand beside.
      </p>
    );
  if (!after)
    return (
      <p className={shared['soft']}>
        Before:{' '}
        {before.volume.excessMl === null
          ? volumes.text(before.volume.affectedMl)
          : `${volumes.text(before.volume.excessMl)} over the other side`}
        . Tape the same points with the marks left on.
      </p>
    );
  const change = compareTapings(before, after, 0, settings);
  if (!change) return <p className={shared['soft']}>The two tapings share too few marks to be compared.</p>;
  const limit = volumes.text(change.limitMl);
  return (
    <div className={styles['measured']}>
      <strong>{volumes.signed(change.ml)}</strong>
      <p>
        {volumes.bare(change.fromMl)} before, {volumes.bare(change.toMl)} after, over the marks taped both times.{' '}
        {change.beyond ? `Beyond measuring error (${limit}).` : `Within measuring error (${limit}): may be no change.`}
      </p>
    </div>
  );
}

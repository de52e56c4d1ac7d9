import { lazy, useEffect, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import { tapeProtocols } from '../../catalogue/tape-protocols';
import type { TapingView, VisitView } from '../../contracts/views';
import { expandArea } from '../../core/anatomy/areas';
import { fromCm, toCm } from '../../core/units';
import { BodyMap } from '../../ui/body-map/BodyMap';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Drawn } from '../../ui/charts/Drawn';
import { Choice } from '../../ui/choice/Choice';
import { Kbd } from '../../ui/kbd/Kbd';
import { VisitHead } from '../visit-head/VisitHead';
import styles from './MeasureView.module.css';
import { TapeLines } from './TapeLines';
import { TapeFigures } from './TapeFigures';
import { TapeTable } from './TapeTable';
import { type CellAddress, type SaveState, useTapeRun } from './useTapeRun';

const ProfileChart = lazy(() => import('./ProfileChart'));

const saveWords: Readonly<Record<SaveState, string>> = {
  kept: 'every number is kept as you type it',
  saving: 'keeping …',
  waiting: 'not on the server yet',
  conflict: 'edited in another window',
};

/** Which limb a visit is about; an arm or leg in focus, else the leg. */
function limbOfVisit(visit: VisitView): { readonly limb: 'arm' | 'leg'; readonly side: 'left' | 'right' } {
  const saved = visit.before ?? visit.lastTime;
  if (saved) return { limb: saved.limb, side: saved.side };
  const focus = visit.focus.flatMap((id) => expandArea(anatomy, id) ?? []).map((id) => anatomy.territories.get(id));
  const territory = focus.find((t) => t?.part === 'arm' || t?.part === 'leg');
  return { limb: territory?.part === 'arm' ? 'arm' : 'leg', side: territory?.side === 'right' ? 'right' : 'left' };
}

export function MeasureView({ visit, phase }: { readonly visit: VisitView; readonly phase: 'before' | 'after' }) {
  const first = limbOfVisit(visit);
  const [limb, setLimb] = useState(first.limb);
  const [side, setSide] = useState(first.side);
  return (
    <>
      <VisitHead visit={visit} here={phase === 'before' ? 'measure' : 'close'} />
      <TapeRun
        key={`${limb} ${side}`}
        visit={visit}
        phase={phase}
        limb={limb}
        side={side}
        onLimb={setLimb}
        onSide={setSide}
      />
    </>
  );
}

interface RunProps {
  readonly visit: VisitView;
  readonly phase: 'before' | 'after';
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly onLimb: (limb: 'arm' | 'leg') => void;
  readonly onSide: (side: 'left' | 'right') => void;
}

function TapeRun({ visit, phase, limb, side, onLimb, onSide }: RunProps) {
  const run = useTapeRun(visit, phase, limb, side);
  const [at, setAt] = useState<CellAddress>({ side: 'reference', index: 0 });
  const compare: (TapingView & { date?: string }) | null = phase === 'after' ? visit.before : visit.lastTime;
  const lastTime = compare && compare.limb === limb && compare.side === side ? compare : null;
  const isTouched = run.girths.affected.some((g) => g !== null) || run.girths.reference.some((g) => g !== null);
  const protocol = tapeProtocols[limb];
  const value = run.volume.value;

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 'i' || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      run.switchUnit();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const lastGirths = run.positionsCm.map((cm) => {
    const i = lastTime?.positions.findIndex((x) => Math.abs(toCm(x, lastTime.unit) - cm) < 0.01) ?? -1;
    const girth = i < 0 ? null : (lastTime?.affected[i] ?? null);
    return girth === null || !lastTime ? null : fromCm(toCm(girth, lastTime.unit), run.unit);
  });

  return (
    <>
      <div className={styles['view']}>
        <section className={styles['body']} aria-label="Where to tape">
          <BodyMap
            view="front"
            label={`Where to tape the ${limb}s`}
            zoomTo={
              limb === 'leg'
                ? ['thigh-upper-outer.left', 'thigh-upper-outer.right', 'toes.left', 'toes.right']
                : ['shoulder-cap.left', 'shoulder-cap.right', 'fingers.left', 'fingers.right']
            }
          >
            {(figure) => (
              <TapeLines
                figure={figure}
                limb={limb}
                side={side}
                positionsCm={run.positionsCm}
                hereCm={run.positionsCm[at.index] ?? 0}
                isHereAffected={at.side === 'affected'}
                segments={value?.excessMl === null ? [] : (value?.segments ?? [])}
                unit={run.unit}
              />
            )}
          </BodyMap>
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>{phase === 'before' ? 'Tape run' : 'Tape run, after'}</h2>
            <span>
              {side === 'left' ? 'right' : 'left'} side first, {limb === 'leg' ? 'ankle' : 'wrist'} upwards ·{' '}
              <Kbd>Enter</Kbd> next
            </span>
          </div>
          {!isTouched && phase === 'before' && (
            <div className={styles['which']}>
              <Choice
                label="Limb"
                isLabelHidden
                options={[
                  { value: 'leg', text: 'leg' },
                  { value: 'arm', text: 'arm' },
                ]}
                value={limb}
                onChange={onLimb}
              />
              <Choice
                label="Affected side"
                isLabelHidden
                options={[
                  { value: 'left', text: 'left is swollen' },
                  { value: 'right', text: 'right is swollen' },
                ]}
                value={side}
                onChange={onSide}
              />
            </div>
          )}
          <TapeTable run={run} limb={limb} side={side} lastTime={lastTime} at={at} onMove={setAt} />
        </main>
        <aside className={styles['aside']} aria-label="What the tape says">
          <div className={styles['heading']}>
            <h2>Along the {limb}</h2>
            <span>girth in {run.unit}</span>
          </div>
          <Drawn className={styles['profile']}>
            <ProfileChart
              positions={run.positionsCm.map((cm) => fromCm(cm, run.unit))}
              affected={run.girths.affected}
              reference={run.girths.reference}
              last={lastGirths}
              side={side}
              unit={run.unit}
              className={styles['profile'] ?? ''}
            />
          </Drawn>
          <p className={styles['posture']}>
            <strong>{protocol.posture}</strong> Zero mark: {protocol.zero}. Rest {protocol.restMinutes} minutes first.
          </p>
          <TapeFigures run={run} limb={limb} side={side} lastTime={lastTime} phase={phase} visit={visit} />
        </aside>
      </div>
      <footer className={styles['foot']}>
        <span>
          <Kbd>Enter</Kbd> next point
        </span>
        <span>
          <Kbd>↓</Kbd> back
        </span>
        <span>
          <Kbd>I</Kbd> {run.unit === 'cm' ? 'inches' : 'centimetres'}
        </span>
        <em role="status" data-state={run.saveState}>
          {run.trouble ?? saveWords[run.saveState]}
        </em>
        {run.saveState === 'waiting' && (
          <Button look="link" onClick={run.retry}>
            Try again
          </Button>
        )}
        <ButtonLink look="filled" href={phase === 'before' ? `/visits/${visit.id}/plan` : `/visits/${visit.id}/close`}>
          {phase === 'before' ? 'Go on to the plan' : 'Back to closing'}
        </ButtonLink>
      </footer>
    </>
  );
}

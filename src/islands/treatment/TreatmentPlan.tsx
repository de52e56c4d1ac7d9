import { useEffect, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { OfferedProtocol, TreatmentView } from '../../contracts/treatment-views';
import type { PlanView, VisitView } from '../../contracts/visit-views';
import { regionLabel } from '../../core/anatomy/place';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import type { RegionMark } from '../../ui/body-map/BodyMap';
import { bestDrawing } from '../../ui/body-map/views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { TextArea } from '../../ui/field/Field';
import { Kbd } from '../../ui/kbd/Kbd';
import { marksOf } from '../body-marks';
import { VisitHead } from '../visit-head/VisitHead';
import { Bands } from './Bands';
import { BlockList } from './BlockList';
import styles from './Treatment.module.css';
import { TreatmentSide } from './TreatmentSide';
import { useTreatment } from './useTreatment';

interface Props {
  readonly visit: VisitView;
  readonly plan: PlanView;
  readonly treatment: TreatmentView;
  readonly offered: readonly OfferedProtocol[];
}

/** A whole treatment of several parts: put into the best order and the time, rearranged with what breaks shown at once. */
export function TreatmentPlan({ visit, plan: first, treatment: firstTreatment, offered }: Props) {
  const handle = useTreatment(visit.id, first, firstTreatment);
  const { plan, treatment, status } = handle;
  const [selected, setSelected] = useState<string>();
  const [reason, setReason] = useState<string>();
  const errors = [...treatment.faults, ...treatment.stepFaults, ...treatment.conflicts].filter(
    ({ severity }) => severity === 'error',
  );
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || event.altKey || document.querySelector('[role="dialog"]'))
        return;
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && key === 'z') {
        event.preventDefault();
        handle.undo();
      } else if (!event.ctrlKey && !event.metaKey && key === 'm' && treatment.faults.length > 0) {
        event.preventDefault();
        handle.mendAll();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const block = treatment.blocks.find(({ id }) => id === selected);
  const inBlock = new Set(block?.steps);
  const places = plan.steps
    .filter(({ id }) => !block || inBlock.has(id))
    .flatMap((step) => step.told?.places ?? [step.place]);
  const marks = marksOf(visit.findings);
  const regions = new Map<string, RegionMark>(
    places.map((place) => [place, { tone: 'drain', words: block ? block.name : 'worked on' }]),
  );
  for (const [id, mark] of marks.regions) regions.set(id, mark);
  const nodes = new Map(marks.nodes);
  for (const place of places) if (anatomy.basins.has(place) && !nodes.has(place)) nodes.set(place, 'to clear');
  const drawing = bestDrawing(places);
  const isEmpty = treatment.blocks.length === 0;
  return (
    <>
      <VisitHead visit={visit} here="plan" />
      <div className={styles['view']}>
        <section className={styles['body']} aria-label="Body map">
          <BodyPanel
            key={`${drawing.view} ${drawing.side}`}
            label={`Treatment of ${visit.client.name}`}
            initial={drawing}
            regions={regions}
            nodes={nodes}
            signs={marks.signs}
            onPick={(place) =>
              setSelected(
                treatment.blocks.find(({ steps }) =>
                  plan.steps.some(
                    (step) => steps.includes(step.id) && (step.told?.places ?? [step.place]).includes(place),
                  ),
                )?.id,
              )
            }
          />
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>The treatment</h2>
            <span>
              {treatment.blocks.length} parts · drag, or <Kbd>Alt</Kbd> <Kbd>↑</Kbd>
            </span>
          </div>
          {plan.isStale && (
            <p className={styles['notice']}>
              What is known of the client has changed since this was planned.{' '}
              <Button look="link" onClick={handle.bestOrder}>
                Plan again
              </Button>
            </p>
          )}
          {status.kind === 'conflict' && (
            <p className={styles['notice']} role="alert">
              This plan was saved in another window in the meantime.{' '}
              <Button look="link" onClick={() => window.location.reload()}>
                Load the other one
              </Button>
            </p>
          )}
          {status.kind === 'trouble' && (
            <p className={styles['notice']} role="alert">
              {status.text}{' '}
              <Button look="link" onClick={handle.retry}>
                Try again
              </Button>
            </p>
          )}
          {treatment.faults.length > 0 && (
            <div className={styles['faults']} role="status">
              <span>
                {treatment.faults.length === 1 ? 'One rule is broken.' : `${treatment.faults.length} rules are broken.`}{' '}
                {plan.reason && `Kept because: ${plan.reason}`}
              </span>
              <Button look="link" onClick={handle.mendAll}>
                Mend all
              </Button>
              <Button look="link" onClick={handle.bestOrder}>
                Best order
              </Button>
            </div>
          )}
          {isEmpty && (
            <p className={styles['notice']}>Nothing of what was chosen may be given; the reasons stand at the right.</p>
          )}
          <BlockList handle={handle} selected={selected} onSelect={setSelected} />
        </main>
        <TreatmentSide handle={handle} offered={offered} regionLabel={(name) => regionLabel(anatomy, name)} />
      </div>
      <footer className={styles['foot']}>
        <Bands treatment={treatment} selected={selected} onSelect={setSelected} />
        <div className={styles['actions']}>
          <a href={`/visits/${visit.id}/print`}>Print</a>
          <Button look="link" onClick={handle.undo} disabled={!handle.canUndo}>
            Undo
          </Button>
          <span className={styles['soft']} role="status">
            {status.kind === 'saving' ? 'storing …' : status.kind === 'kept' ? 'stored' : ''}
          </span>
          {isEmpty || plan.isStale || !treatment.fits ? (
            <Button disabled>To the table</Button>
          ) : errors.length > 0 && plan.reason === '' ? (
            <Button look="filled" onClick={() => setReason('')}>
              To the table …
            </Button>
          ) : (
            <ButtonLink look="filled" href={`/visits/${visit.id}/table`}>
              To the table
            </ButtonLink>
          )}
        </div>
      </footer>
      <Dialog title="The order breaks a rule" isOpen={reason !== undefined} onClose={() => setReason(undefined)}>
        <form
          className={styles['chooser']}
          onSubmit={(event) => {
            event.preventDefault();
            if ((reason ?? '').trim() === '') return;
            handle.keepWithReason((reason ?? '').trim());
            setReason(undefined);
          }}
        >
          <ul>
            {errors.slice(0, 5).map(({ message }, i) => (
              <li key={`${message} ${i}`}>{message}</li>
            ))}
          </ul>
          <TextArea
            label="Why do you keep it this way? It stays in the record."
            value={reason ?? ''}
            maxLength={400}
            onChange={(event) => setReason(event.target.value)}
          />
          <div className={styles['buttons']}>
            <Button
              onClick={() => {
                handle.mendAll();
                setReason(undefined);
              }}
            >
              Mend all instead
            </Button>
            <Button look="filled" type="submit" disabled={(reason ?? '').trim() === ''}>
              Keep it
            </Button>
          </div>
        </form>
      </Dialog>
    </>
  );
}

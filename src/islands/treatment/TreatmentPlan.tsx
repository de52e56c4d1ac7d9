import { treatmentWords } from './treatment.words';
import { Suspense, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { TreatmentView } from '../../contracts/treatment-views';
import type { PlanView, VisitLookedBack } from '../../contracts/visit-views';
import { regionLabel } from '../../core/anatomy/place';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { MapLines } from '../../ui/body-map/MapLines';
import type { RegionMark } from '../../ui/body-map/map-marks';
import { bestDrawing } from '../../ui/body-map/views';
import { Button } from '../../ui/button/Button';
import { Kbd } from '../../ui/kbd/Kbd';
import { marksOf } from '../body-marks';
import { tapedExcess } from '../flow/taped';
import { fetchReplay, LazyReplay } from '../flow/lazy-replay';
import { Mention } from '../practice/Mention';
import { practiseCourse } from '../practice/practise-course';
import { useLater } from '../../ui/later';
import { FirmOffer } from '../plan/FirmOffer';
import { useRefresh } from '../visit-head/refresh';
import { PlanActions } from '../plan/PlanActions';
import { PlanNotices } from '../plan/PlanNotices';
import { ReasonDialog } from '../plan/ReasonDialog';
import { usePlanKeys } from '../plan/usePlanKeys';
import { VisitHead } from '../visit-head/VisitHead';
import { Bands } from './Bands';
import { BlockList } from './BlockList';
import { LeanOffer } from './LeanOffer';
import styles from './TreatmentPlan.module.css';
import { StoneTrouble } from './StoneTrouble';
import { TreatmentSide } from './TreatmentSide';
import { useTreatment } from './useTreatment';

interface Props {
  readonly visit: VisitLookedBack;
  readonly plan: PlanView;
  readonly treatment: TreatmentView;
}

const doNothing = () => Promise.resolve();
const workOfStep = ({ told }: PlanView['steps'][number]) => told?.modality ?? 'lymph-drainage';

/** A whole treatment of several parts: put into the best order and the time, rearranged with what breaks shown at once. */
export function TreatmentPlan({ visit, plan: first, treatment: firstTreatment }: Props) {
  const refresh = useRefresh();
  const handle = useTreatment(visit.id, first, firstTreatment);
  const { plan, treatment } = handle;
  const [selected, setSelected] = useState<string>();
  const [isTaught, setIsTaught] = useState(false);
  const [isReasonAsked, setIsReasonAsked] = useState(false);
  const [isFlowing, setIsFlowing] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  // Of several parts only a drainage is followed by the model.
  const drained = plan.steps.filter(({ told }) => !told);
  const canFlow = drained.some(({ kind }) => kind === 'drain');
  useLater(canFlow ? fetchReplay : doNothing);
  const errors = [...treatment.faults, ...treatment.stepFaults, ...treatment.conflicts].filter(
    ({ severity }) => severity === 'error',
  );
  usePlanKeys({
    teach: () => {
      if (!selected) setSelected(treatment.blocks[0]?.id);
      setIsTaught((is) => !is);
    },
    undo: handle.undo,
    flow: canFlow ? () => setIsFlowing(true) : undefined,
    asTaught: treatment.wish.isFree || treatment.wish.order ? () => handle.setFree(false) : undefined,
    mend: () => {
      if (treatment.faults.length > 0) handle.mendAll();
    },
  });

  const block = treatment.blocks.find(({ id }) => id === selected);
  const inBlock = new Set(block?.steps);
  const places = plan.steps
    .filter(({ id }) => !block || inBlock.has(id))
    .flatMap((step) => step.told?.places ?? [step.place]);
  const marks = marksOf(visit.findings);
  const regions = new Map<string, RegionMark>(
    places.map((place) => [place, { tone: 'drain', words: block ? block.name : treatmentWords.workedOn }]),
  );
  for (const [id, mark] of marks.regions) regions.set(id, mark);
  const nodes = new Map(marks.nodes);
  for (const place of places) if (anatomy.basins.has(place) && !nodes.has(place)) nodes.set(place, 'to clear');
  const drawing = bestDrawing(places);
  const worked = new Set(
    plan.steps.filter(({ id }) => !block || inBlock.has(id)).flatMap(({ told }) => told?.lines ?? []),
  );
  const isEmpty = treatment.blocks.length === 0;
  return (
    <>
      <VisitHead visit={visit} here="plan" />
      <div className={styles['view']}>
        <section className={styles['body']} aria-label={treatmentWords.bodyMap}>
          <BodyPanel
            key={`${drawing.view} ${drawing.side}`}
            label={treatmentWords.treatmentOf(visit.client.name)}
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
          >
            {(figure) => <MapLines figure={figure} lines={treatment.lines} worked={worked} />}
          </BodyPanel>
        </section>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>{treatmentWords.theTreatment}</h2>
            <span>
              {treatment.blocks.length} {treatmentWords.partsDragOr} <Kbd>{treatmentWords.alt}</Kbd> <Kbd>↑</Kbd>
            </span>
          </div>
          <PlanNotices
            stale={plan.isStale ? treatmentWords.whatIsKnownOfTheClient : undefined}
            onPlanAgain={handle.bestOrder}
            saves={handle}
            broken={treatment.faults.length}
            reason={plan.reason}
            onMendAll={handle.mendAll}
          >
            <Button look="link" onClick={handle.bestOrder}>
              {treatmentWords.bestOrder}
            </Button>
          </PlanNotices>
          {trouble !== undefined && (
            <p role="alert" className={styles['notice']}>
              {trouble}
            </p>
          )}
          {canFlow && <FirmOffer visit={visit} onTaken={() => void refresh()} onTrouble={setTrouble} />}
          {treatment.lean && <LeanOffer lean={treatment.lean} onAnswer={handle.leanTo} />}
          <Mention therapistId={visit.therapist.id} modalities={plan.steps.map(workOfStep)} />
          {treatment.sinceLast && <SinceLast {...treatment.sinceLast} />}
          {isEmpty && <p className={styles['notice']}>{treatmentWords.nothingOfWhatWasChosenMay}</p>}
          <StoneTrouble
            stones={treatment.stones ?? []}
            onTake={(stones) => handle.change({ kind: 'stones', stones })}
          />
          <BlockList {...{ handle, selected, isTaught }} blends={visit.blends} onSelect={setSelected} />
        </main>
        <TreatmentSide handle={handle} visit={visit} regionLabel={(name) => regionLabel(anatomy, name)} />
      </div>
      <footer className={styles['foot']}>
        <Bands treatment={treatment} selected={selected} onSelect={setSelected} />
        <PlanActions
          visitId={visit.id}
          saving={handle.saving}
          onUndo={handle.undo}
          canUndo={handle.canUndo}
          isBlocked={isEmpty || plan.isStale || !treatment.fits}
          needsReason={errors.length > 0 && plan.reason === ''}
          onAskReason={() => setIsReasonAsked(true)}
        >
          {treatment.oil && (treatment.oil.body ?? treatment.oil.face) && (
            <a href={`/bench/oils?visit=${visit.id}`}>
              {(visit.blends.body ?? visit.blends.face) ? treatmentWords.oils : treatmentWords.chooseOils}
            </a>
          )}
          {canFlow && (
            <>
              <Button look="link" onClick={() => setIsFlowing(true)}>
                <Kbd>F</Kbd> {treatmentWords.seeItFlow}
              </Button>
              <Button look="link" onClick={() => void practiseCourse(visit.id, setTrouble)}>
                {treatmentWords.practiseIt}
              </Button>
            </>
          )}
          <a href={`/visits/${visit.id}/prepare`}>{treatmentWords.roomList}</a>
          <a href={`/visits/${visit.id}/print`}>{treatmentWords.print}</a>
        </PlanActions>
      </footer>
      {isFlowing && (
        <Suspense>
          <LazyReplay
            name={visit.client.name}
            drainageCase={plan.drainageCase}
            steps={drained}
            taped={tapedExcess(visit.before)}
            proposed={undefined}
            nodes={nodes}
            selected={undefined}
            onClose={() => setIsFlowing(false)}
          />
        </Suspense>
      )}
      <ReasonDialog
        title={treatmentWords.theOrderBreaksARule}
        faults={errors.map(({ message }) => message)}
        isOpen={isReasonAsked}
        onClose={() => setIsReasonAsked(false)}
        onMendAll={handle.mendAll}
        onKeep={handle.keepWithReason}
      />
    </>
  );
}

/** As last time, but: what differs from it. */
function SinceLast({ date, words }: { readonly date: string; readonly words: readonly string[] }) {
  if (words.length === 0) return <p className={styles['since']}>{treatmentWords.asOn(date)}</p>;
  return (
    <details className={styles['since']} open={words.length <= 2}>
      <summary>
        {treatmentWords.asOn2} {date}
        {treatmentWords.but} {words.length === 1 ? treatmentWords.oneThingIs : treatmentWords.thingsAre(words.length)}{' '}
        {treatmentWords.different}
      </summary>
      <ul className="marked-list">
        {words.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </details>
  );
}

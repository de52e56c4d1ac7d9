import { planWords } from './plan.words';
import { lazy, Suspense, useRef, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { TherapistView } from '../../contracts/people-views';
import type { PlanView as Plan, VisitLookedBack } from '../../contracts/visit-views';
import { limbOfArea } from '../../core/anatomy/areas';
import type { PlaceId } from '../../core/anatomy/place';
import { phasesOf, stepTitle } from '../../core/drainage/step-words';
import { BodySheet } from '../../ui/body-sheet/BodySheet';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button } from '../../ui/button/Button';
import { useIsBrowser } from '../../ui/charts/Drawn';
import { Kbd } from '../../ui/kbd/Kbd';
import type { Move } from '../../ui/sortable/SortableList';
import { TimeRibbon } from '../../ui/time-ribbon/TimeRibbon';
import { useLater } from '../../ui/later';
import { useToasts } from '../../ui/toast/useToasts';
import { VisitHead } from '../visit-head/VisitHead';
import { arrange, arrangementOf } from './arrangement';
import { tapedExcess } from '../flow/taped';
import { fetchReplay, LazyReplay } from '../flow/lazy-replay';
import { Mention } from '../practice/Mention';
import { practiseCourse } from '../practice/practise-course';
import { Course } from './Course';
import { FirmOffer } from './FirmOffer';
import { planMarks } from './plan-marks';
import { PlanActions } from './PlanActions';
import { PlanNotices } from './PlanNotices';
import { PlanSide } from './PlanSide';
import styles from './PlanView.module.css';
import { ReasonDialog } from './ReasonDialog';
import { usePlan, wishOf } from './usePlan';
import { usePlanKeys } from './usePlanKeys';
import { useRefresh } from '../visit-head/refresh';
import { WayCard } from './WayCard';
import { waysOf } from './ways';

const OrderCost = lazy(async () => ({ default: (await import('../flow/OrderCost')).OrderCost }));
const Chooser = lazy(async () => ({ default: (await import('../treatment/Chooser')).Chooser }));

const drainageWork = ['lymph-drainage', 'reroute-drainage'];

interface Props {
  readonly visit: VisitLookedBack;
  readonly first: Plan;
  readonly therapists: readonly TherapistView[];
}

/** The plan: body with ways and numbers, the course, the ways out compared, the time. */
export function PlanView({ visit, first, therapists }: Props) {
  const plan = usePlan(visit, first);
  const refresh = useRefresh();
  useLater(fetchReplay);
  const [selectedId, setSelectedId] = useState<string>();
  const [isReasonAsked, setIsReasonAsked] = useState(false);
  const [isTaught, setIsTaught] = useState(false);
  const [isFlowing, setIsFlowing] = useState(false);
  const [isChoosing, setIsChoosing] = useState(false);
  const [wayTo, setWayTo] = useState<PlaceId>();
  const [hover, setHover] = useState<Move>();
  const isBrowser = useIsBrowser();
  const ways = waysOf(plan);
  const { say, toasts } = useToasts();
  const selected = plan.steps.find((step) => step.id === selectedId);
  const errors = plan.violations.filter((v) => v.severity === 'error');
  const faults = new Set(plan.violations.map((v) => v.step));
  const marks = planMarks(visit.findings, plan.view.plan, plan.steps, selected, faults);
  const phases = phasesOf(plan.steps);
  const focusPlaces = plan.steps.filter((step) => step.kind === 'drain').map((step) => step.place);
  const isForbidden = plan.view.plan.decision === 'refer' || plan.view.plan.decision === 'stop';

  usePlanKeys({
    teach: () => {
      if (!selectedId) select(plan.steps[0]?.id);
      setIsTaught((is) => !is);
    },
    undo: plan.undo,
    flow: () => setIsFlowing(true),
    mend: () => {
      const ofSelected = plan.violations.find((v) => v.step === selectedId && v.fix);
      const fix = (ofSelected ?? plan.violations.find((v) => v.fix))?.fix;
      if (fix) plan.mend(fix);
    },
  });

  const view = useRef<HTMLDivElement>(null);
  const select = (id: string | undefined) => {
    setSelectedId(id);
    if (id)
      requestAnimationFrame(() =>
        view.current
          ?.querySelector(`[data-row="${id}"]`)
          ?.closest('li')
          ?.scrollIntoView({ block: 'nearest', behavior: 'smooth' }),
      );
  };

  return (
    <>
      <VisitHead visit={visit} here="plan" />
      <div ref={view} className={styles['view']}>
        <BodySheet className={styles['body']} label={planWords.bodyMap}>
          <BodyPanel
            label={planWords.planFor(visit.client.name)}
            initial={bestDrawing(focusPlaces)}
            regions={marks.regions}
            nodes={marks.nodes}
            signs={marks.signs}
            routes={marks.routes}
            pebbles={marks.pebbles}
            selected={wayTo ?? selected?.place}
            areNodesPickable
            onPick={(place) => {
              const isWay = ways.at(place) !== undefined;
              setWayTo(isWay ? place : undefined);
              if (isWay) return;
              const at = plan.steps.filter((step) => step.place === place);
              select((at.find((step) => step.kind === 'drain') ?? at[0])?.id);
              if (at.length === 0) say(planWords.noStepOfThisPlanIs);
            }}
            onPickPebble={select}
          />
          {wayTo && <WayCard to={wayTo} ways={ways} onClose={() => setWayTo(undefined)} />}
        </BodySheet>
        <main id="main" className={styles['main']}>
          <div className={styles['heading']}>
            <h2>{planWords.theCourse}</h2>
            <Button look="link" onClick={() => setIsChoosing(true)}>
              {planWords.moreThanDrainage}
            </Button>
            <span>
              {plan.steps.length} {planWords.stepsDragOr} <Kbd>{planWords.alt}</Kbd> <Kbd>↑</Kbd>
            </span>
          </div>
          <PlanNotices
            stale={plan.view.isStale ? planWords.findingsOrTherapistHaveChanged : undefined}
            onPlanAgain={() => plan.replan(wishOf(plan.view.drainageCase))}
            saves={plan}
            broken={plan.violations.length}
            reason={plan.view.reason}
            onMendAll={plan.mendAll}
          />
          <FirmOffer
            visit={visit}
            // An order that was made by hand is not planned over: it says that it is stale, and waits.
            onTaken={() => (plan.view.isRearranged ? void refresh() : plan.replan(wishOf(plan.view.drainageCase)))}
            onTrouble={(text) => say(text, 'error')}
          />
          <Mention therapistId={visit.therapist.id} modalities={drainageWork} />
          <Course
            plan={plan}
            selected={selectedId}
            onSelect={select}
            isTaught={isTaught}
            onHover={setHover}
            remembered={visit.remembered}
          />
          {isBrowser && (hover ?? plan.view.isRearranged) && (
            <Suspense>
              <div className={styles['cost']}>
                <OrderCost
                  taped={tapedExcess(visit.before)}
                  drainageCase={plan.view.drainageCase}
                  proposed={plan.view.plan.steps}
                  own={hover ? arrange(arrangementOf(plan.steps), { kind: 'moved', ...hover }).steps : plan.steps}
                />
              </div>
            </Suspense>
          )}
        </main>
        <PlanSide visit={visit} plan={plan} therapists={therapists} say={say} />
      </div>
      <footer className={styles['foot']}>
        <TimeRibbon
          beads={plan.steps.map((step, i) => ({
            id: step.id,
            kind: step.kind,
            seconds: step.seconds,
            title: stepTitle(anatomy, step),
            phase: phases[i] ?? '',
            ...(faults.has(step.id) ? { state: 'fault' } : {}),
          }))}
          budgetSeconds={plan.view.drainageCase.minutes * 60}
          selected={selectedId}
          onSelect={select}
        />
        <PlanActions
          visitId={visit.id}
          saving={plan.saving}
          onUndo={plan.undo}
          canUndo={plan.canUndo}
          isBlocked={isForbidden || plan.view.isStale || plan.steps.length === 0}
          needsReason={errors.length > 0 && plan.view.reason === ''}
          onAskReason={() => setIsReasonAsked(true)}
        >
          <Button look="link" onClick={() => setIsFlowing(true)}>
            <Kbd>F</Kbd> {planWords.seeItFlow}
          </Button>
          <Button look="link" onClick={() => void practiseCourse(visit.id, (text) => say(text, 'error'))}>
            {planWords.practiseIt}
          </Button>
          <a href={`/visits/${visit.id}/print`}>{planWords.print}</a>
        </PlanActions>
      </footer>
      {isFlowing && (
        <Suspense>
          <LazyReplay
            name={visit.client.name}
            drainageCase={plan.view.drainageCase}
            steps={plan.steps}
            taped={tapedExcess(visit.before)}
            proposed={plan.view.isRearranged ? plan.view.plan.steps : undefined}
            nodes={marks.nodes}
            selected={selectedId}
            onClose={() => setIsFlowing(false)}
          />
        </Suspense>
      )}
      {isChoosing && (
        <Suspense>
          <Chooser
            clientId={visit.client.id}
            chosen={[{ id: 'c1', protocol: drainageOf(visit) }]}
            onClose={() => setIsChoosing(false)}
            onChoose={(chosen) => {
              setIsChoosing(false);
              void plan.combine(chosen).then((trouble) => (trouble === undefined ? refresh() : say(trouble, 'error')));
            }}
          />
        </Suspense>
      )}
      <ReasonDialog
        title={planWords.theCourseBreaksARule}
        faults={errors.map(({ text }) => text)}
        isOpen={isReasonAsked}
        onClose={() => setIsReasonAsked(false)}
        onMendAll={plan.mendAll}
        onKeep={plan.keepWithReason}
      />
      {toasts}
    </>
  );
}

/** The drainage protocol that fits what the visit is about. */
function drainageOf({ focus }: VisitLookedBack): string {
  if (focus.some((id) => limbOfArea(id) === 'leg')) return 'leg-drainage';
  if (focus.some((id) => limbOfArea(id) === 'arm')) return 'arm-drainage';
  return focus.includes('face') ? 'face-drainage' : 'breast-chest-after-surgery';
}

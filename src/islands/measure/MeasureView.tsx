import { measureWords } from './measure.words';
import { lazy, Suspense, useCallback, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import { usualProtocol } from '../../catalogue/swelling/protocols';
import type { ClientMeasuringInput } from '../../contracts/measures';
import type { FlagView, MeasureView as View } from '../../contracts/measure-views';
import { expandArea } from '../../core/anatomy/areas';
import { Choice } from '../../ui/choice/Choice';
import { ButtonLink } from '../../ui/button/Button';
import { useToasts } from '../../ui/toast/useToasts';
import { sending } from '../saving/sending';
import { useSaving } from '../saving/use-saving';
import { VisitHead } from '../visit-head/VisitHead';
import { Flags } from './Flags';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import styles from './MeasureView.module.css';
import { TapeSheet } from './TapeSheet';
import { useObservations } from './useObservations';
import { unpacked } from '../../ui/frame/packed';

const TouchSheet = lazy(() => import('./TouchSheet'));
const FaceSheet = lazy(() => import('./FaceSheet'));
const LinesSheet = lazy(() => import('./LinesSheet'));
const BellySheet = lazy(() => import('./BellySheet'));
const FeelSheet = lazy(() => import('./FeelSheet'));
const PictureSheet = lazy(() => import('./PictureSheet'));

const sheets = [
  { value: 'tape', text: measureWords.tape, cap: 'T', tells: measureWords.tapeRun },
  { value: 'skin', text: measureWords.skin, cap: 'K', tells: measureWords.skinAndTissueKey },
  { value: 'feel', text: measureWords.feeling, cap: 'F', tells: measureWords.howItFeels },
  { value: 'face', text: measureWords.face, cap: 'N', tells: measureWords.faceAndNeckKey },
  { value: 'lines', text: measureWords.lines3, cap: 'L', tells: measureWords.linesOfTheFaceKey },
  { value: 'belly', text: measureWords.belly2, cap: 'G', tells: measureWords.girthsOfTheBelly },
  { value: 'pictures', text: measureWords.pictures, cap: 'P', tells: measureWords.pictures },
] as const;
export type Sheet = (typeof sheets)[number]['value'];

/** Which limb a visit is about: as it was taped before, as remembered, or the arm or leg in focus. */
function limbOfVisit(view: View, phase: 'before' | 'after') {
  const { visit, client } = view;
  const before = view.tapings.findLast((one) => one.phase === phase) ?? view.tapings.at(-1);
  const saved = before ?? visit.lastTime;
  if (saved) return { limb: saved.limb, side: saved.side };
  const focus = visit.focus.flatMap((id) => expandArea(anatomy, id) ?? []).map((id) => anatomy.territories.get(id));
  const territory = focus.find((t) => t?.part === 'arm' || t?.part === 'leg');
  const inFocus = territory?.part === 'arm' ? 'arm' : 'leg';
  return {
    limb: client.limb ?? inFocus,
    side: client.side ?? (territory?.side === 'right' ? ('right' as const) : ('left' as const)),
  };
}

interface Props {
  readonly view: View;
  readonly phase: 'before' | 'after';
  readonly sheet: Sheet;
}

export function MeasureView({ view: input, phase, sheet: first }: Props) {
  const start = limbOfVisit(input, phase);
  const [limb, setLimb] = useState(start.limb);
  const [side, setSide] = useState(start.side);
  const [sheet, setSheet] = useState<Sheet>(first);
  const [client, setClient] = useState<ClientMeasuringInput>(input.client);
  const [flags, setFlags] = useState<readonly FlagView[]>(input.flags);
  const { say, toasts } = useToasts();
  const { visit } = input;
  const view: View = { ...input, client };
  const onFlags = useCallback((next: readonly FlagView[]) => setFlags(next), []);
  const observations = useObservations(input, phase, onFlags);

  const ways = useSaving(measureWords.clientMeasuring(visit.client.id));
  const remember = (change: Partial<ClientMeasuringInput>) => {
    const next = { ...client, ...change };
    setClient(next);
    const body = sending('PUT /api/clients/{id}/measuring', { id: visit.client.id }, next);
    void ways.queue.submit('measuring', body).then((verdict) => {
      if (verdict.kind === 'refused') say(verdict.problem.errors?.[0]?.message ?? verdict.problem.title, 'error');
    });
  };
  useShortcuts(
    sheets.map(({ cap, tells, value }) => ({ keys: [cap], words: tells, act: () => setSheet(value) })),
    { whileWriting: 'numbers' },
  );

  const protocol = view.protocols.find((one) => one.id === client.protocols[limb]) ?? usualProtocol(limb);
  const isBefore = phase === 'before';
  const common = {
    view,
    phase,
    head: (
      <>
        {view.lastReaction && (
          <p className={styles['reaction']} role="note">
            {view.lastReaction}
          </p>
        )}
        <Flags clientId={visit.client.id} flags={flags} onChange={setFlags} />
        <div className={styles['sheets']}>
          <Choice label={measureWords.whatToMeasure} isLabelHidden options={sheets} value={sheet} onChange={setSheet} />
        </div>
      </>
    ),
    onward: (
      <ButtonLink look="filled" href={isBefore ? `/visits/${visit.id}/plan` : `/visits/${visit.id}/close`}>
        {isBefore ? measureWords.goOnToThePlan : measureWords.backToClosing}
      </ButtonLink>
    ),
    observations,
    client,
    onClient: remember,
  };
  return (
    <>
      <VisitHead visit={visit} here={isBefore ? 'measure' : 'close'} />
      {sheet === 'tape' ? (
        <TapeSheet
          key={`${limb} ${side} ${protocol.id}`}
          {...common}
          limb={limb}
          side={side}
          protocol={protocol}
          onLimb={setLimb}
          onSide={(next) => {
            setSide(next);
            remember({ side: next, limb });
          }}
          onFlags={onFlags}
        />
      ) : (
        <Suspense fallback={<main id="main" className={styles['loading']} aria-busy="true" />}>
          {sheet === 'skin' && <TouchSheet {...common} limb={limb} side={side} />}
          {sheet === 'feel' && <FeelSheet {...common} limb={limb} side={side} />}
          {sheet === 'face' && <FaceSheet {...common} />}
          {sheet === 'lines' && <LinesSheet {...common} />}
          {sheet === 'belly' && <BellySheet {...common} />}
          {sheet === 'pictures' && <PictureSheet {...common} />}
        </Suspense>
      )}
      {toasts}
    </>
  );
}

/** As the page shows it. */
export const MeasureIsland = unpacked(MeasureView);

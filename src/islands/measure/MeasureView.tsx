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
import { send, sentenceOf } from '../api';
import { VisitHead } from '../visit-head/VisitHead';
import { Flags } from './Flags';
import { useLetters } from '../letters';
import styles from './MeasureView.module.css';
import { TapeSheet } from './TapeSheet';
import { useObservations } from './useObservations';

const TouchSheet = lazy(() => import('./TouchSheet'));
const FaceSheet = lazy(() => import('./FaceSheet'));
const LinesSheet = lazy(() => import('./LinesSheet'));
const BellySheet = lazy(() => import('./BellySheet'));
const FeelSheet = lazy(() => import('./FeelSheet'));
const PictureSheet = lazy(() => import('./PictureSheet'));

const sheets = [
  { value: 'tape', text: measureWords.tape, key: 't' },
  { value: 'skin', text: measureWords.skin, key: 'k' },
  { value: 'feel', text: measureWords.feeling, key: 'f' },
  { value: 'face', text: measureWords.face, key: 'n' },
  { value: 'lines', text: measureWords.lines3, key: 'l' },
  { value: 'belly', text: measureWords.belly2, key: 'g' },
  { value: 'pictures', text: measureWords.pictures, key: 'p' },
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

export function MeasureView({ view: given, phase, sheet: first }: Props) {
  const start = limbOfVisit(given, phase);
  const [limb, setLimb] = useState(start.limb);
  const [side, setSide] = useState(start.side);
  const [sheet, setSheet] = useState<Sheet>(first);
  const [client, setClient] = useState<ClientMeasuringInput>(given.client);
  const [flags, setFlags] = useState<readonly FlagView[]>(given.flags);
  const { say, toasts } = useToasts();
  const { visit } = given;
  const view: View = { ...given, client };
  const onFlags = useCallback((next: readonly FlagView[]) => setFlags(next), []);
  const observations = useObservations(given, phase, onFlags);

  const remember = useCallback(
    (change: Partial<ClientMeasuringInput>) => {
      setClient((now) => {
        const next = { ...now, ...change };
        send('PUT /api/clients/{id}/measuring', { params: { id: visit.client.id }, body: next }).catch(
          (error: unknown) => say(sentenceOf(error), 'error'),
        );
        return next;
      });
    },
    [say, visit.client.id],
  );
  useLetters(Object.fromEntries(sheets.map(({ key, value }) => [key, () => setSheet(value)])));

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
